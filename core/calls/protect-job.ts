import type { Result } from '../diagnostics/diagnostic';
import type { PressureProof } from '../model/pressure';
import type { Overrides } from '../model/overrides';
import type { Settings } from '../model/settings';
import type { Side } from '../model/side';
import { provePressures } from '../protect/prove';
import { prepareCall } from '../resolve/prepare/prepare-call';
import { Playbook, type OwnText } from './playbook';

/** One protection called from a formation. */
export interface ProtectCall {
  readonly scheme: string;
  readonly formation: string;
  readonly side: Side;
  readonly tags: readonly string[];
  readonly without: readonly string[];
  readonly overrides: Overrides;
}

/** Protections against fronts, as plain data, so that it can cross to a worker: every call against every front. */
export interface ProtectJob {
  readonly own: readonly OwnText[];
  readonly settings: Settings;
  readonly calls: readonly ProtectCall[];
  /** Ids or notations. */
  readonly fronts: readonly string[];
}

export interface Proved {
  readonly call: number;
  readonly front: string;
  readonly proof: PressureProof;
}

/** Works a job out one proof at a time, so that whoever runs it can tell how far it is and stop. What cannot be read is a diagnostic in its place. */
export function* proveAll(job: ProtectJob): Generator<Result<Proved>> {
  const book = new Playbook(job.own, job.settings);
  for (const [i, call] of job.calls.entries()) {
    const [scheme, formation] = [book.scheme(call.scheme), book.formation(call.formation)];
    for (const front of job.fronts) {
      if (!scheme.ok || !formation.ok) {
        yield scheme.ok ? (formation as Result<never>) : (scheme as Result<never>);
        continue;
      }
      const theirs = book.front(front, formation.value, job.settings);
      if (!theirs.ok) {
        yield theirs;
        continue;
      }
      const { side, tags, without, overrides } = call;
      const prepared = prepareCall(scheme.value, formation.value, {
        side,
        tags,
        without,
        overrides,
        settings: job.settings,
      });
      yield { ok: true, value: { call: i, front, proof: provePressures(prepared, theirs.value) }, diagnostics: [] };
    }
  }
}
