import { proveAll, type ProtectJob, type Proved } from '#core/calls/protect-job';
import { serveJobs, type Port } from './serve';

/** What cannot be read is left out. */
function* proved(job: ProtectJob): Generator<Proved> {
  for (const answer of proveAll(job)) if (answer.ok) yield answer.value;
}

serveJobs(self as unknown as Port, proved, 8);
