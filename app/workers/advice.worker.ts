import { adviseOn } from '#core/calls/advice-job';
import { serveJobs, type Port } from './serve';

serveJobs(self as unknown as Port, adviseOn, 1);
