import type { Grade } from '../model/grade';
import type { AskedItem, LogEntry, SnapItem } from '../model/game';
import { FIRST_SNAP } from '../film/log/series';
import type { Call, Situation } from '../model/snap';
import { A_CALL } from './a-call';

/** A logged snap for tests: what is not given is an ordinary first and ten. */
export const anEntry = (number: number, call: Partial<Call> = {}, situation: Partial<Situation> = {}): LogEntry => ({
  number,
  call: { ...A_CALL, ...call },
  situation: { ...FIRST_SNAP, ...situation },
  logged: { personnel: '', said: '', notCounted: '' },
});

/** The same as a list shows it, with what men were asked and how they were marked. */
export const anItem = (
  entry: LogEntry,
  asked: readonly AskedItem[] = [],
  graded: readonly { blocker: string; grade: Grade }[] = [],
): SnapItem => ({ ...entry, id: 100 + entry.number, asked: [...asked], graded: [...graded], angles: ['end zone'] });
