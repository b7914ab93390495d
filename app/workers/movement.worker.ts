import { readMovement } from '#core/film/alignment/movement-job';
import { serveJobs, type Port } from './serve';

serveJobs(self as unknown as Port, readMovement, 100);
