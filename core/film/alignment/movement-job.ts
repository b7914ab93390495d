import { Playbook, type OwnText } from '../../calls/playbook';
import { workCall } from '../../calls/resolve-call';
import type { CallWords } from '../../model/call-words';
import type { Settings } from '../../model/settings';
import type { Call } from '../../model/snap';
import { nameMovement, type LaterLook, type MovementReading } from './movement';
import type { MeasuredMan } from './places';

/** What a front did after the snap, asked as plain data so that it can cross to a worker. */
export interface MovementJob {
  readonly own: readonly OwnText[];
  readonly settings: Settings;
  readonly words: CallWords;
  readonly call: Call;
  readonly atSnap: readonly MeasuredMan[];
  readonly looks: readonly LaterLook[];
}

/** All readings, likeliest first; none when the call cannot be worked out. */
export function* readMovement({ own, settings, words, call, atSnap, looks }: MovementJob): Generator<MovementReading> {
  const worked = workCall(call, { playbook: new Playbook(own, settings), settings, words });
  if (worked.ok) yield* nameMovement(worked.value, atSnap, looks, settings);
}
