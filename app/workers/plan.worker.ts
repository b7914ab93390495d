import { workPlan } from '#core/plan/work-plan';
import { serveJobs, type Port } from './serve';

serveJobs(self as unknown as Port, workPlan, 4);
