import { answerAll } from '#core/calls/answers-job';
import { serveJobs, type Port } from './serve';

serveJobs(self as unknown as Port, answerAll, 33);
