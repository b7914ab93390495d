import { workCall, type WorkedCall, type Ways } from '../calls/resolve-call';
import type { Result } from '../diagnostics/diagnostic';
import type { Call } from '../model/snap';

const known = new WeakMap<Ways, Map<string, Result<WorkedCall>>>();

/** As `workCall`, once for each call as long as the ways are the same: the sheets of a week ask for the same calls again and again. */
export function workOnce(call: Call, ways: Ways): Result<WorkedCall> {
  let worked = known.get(ways);
  if (!worked) known.set(ways, (worked = new Map()));
  const key = JSON.stringify(call);
  let answer = worked.get(key);
  if (!answer) worked.set(key, (answer = workCall(call, ways)));
  return answer;
}
