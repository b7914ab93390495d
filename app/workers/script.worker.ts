import { writeScript } from '#core/practice/script/script-job';
import { serveJobs, type Port } from './serve';

serveJobs(self as unknown as Port, writeScript, 1);
