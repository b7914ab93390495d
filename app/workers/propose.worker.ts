import { proposals } from '#core/grade/propose/propose-job';
import { serveJobs, type Port } from './serve';

serveJobs(self as unknown as Port, proposals, 100);
