import type { LogEntry } from '../../model/game';
import type { Call } from '../../model/snap';
import { FIRST_SNAP, situationAfter } from './series';

/** What came most often, of equals the latest; `null` of nothing. */
function mostOften<T>(all: readonly T[], key: (one: T) => string): T | null {
  const counts = new Map<string, number>();
  for (const one of all) counts.set(key(one), (counts.get(key(one)) ?? 0) + 1);
  return all.reduce<T | null>(
    (best, one) => (!best || counts.get(key(one))! >= counts.get(key(best))! ? one : best),
    null,
  );
}

/** The formation a play was called from most often in this log, with its name; `null` when it was never called. */
export function usualFormation(
  log: readonly LogEntry[],
  scheme: string,
): Pick<Call, 'formation' | 'formationName'> | null {
  const found = mostOften(
    log.filter((e) => e.call.scheme === scheme),
    (e) => e.call.formation,
  );
  return found && { formation: found.call.formation, formationName: found.call.formationName };
}

/** The front they showed most often against a formation in this log, else against any; `null` of an empty log. */
export function usualFront(log: readonly LogEntry[], formation: string): Pick<Call, 'front' | 'frontName'> | null {
  const against = log.filter((e) => e.call.formation === formation);
  const found = mostOften(against.length ? against : log, (e) => e.call.front);
  return found && { front: found.call.front, frontName: found.call.frontName };
}

/** Who was on the field when this formation was last called; empty when nobody wrote it down. */
export const usualPersonnel = (log: readonly LogEntry[], formation: string): string =>
  [...log].reverse().find((e) => e.call.formation === formation && e.logged.personnel)?.logged.personnel ?? '';

/** What the next snap most likely is: the situation that follows, called as the last one, against what they show most. */
export function nextEntry(log: readonly LogEntry[], first: Call): LogEntry {
  const last = log.at(-1);
  const call = last ? { ...last.call, ...usualFront(log, last.call.formation), overrides: {} } : first;
  return {
    number: Math.min(400, (last?.number ?? 0) + 1),
    call,
    situation: last ? situationAfter(last.situation) : FIRST_SNAP,
    logged: { personnel: usualPersonnel(log, call.formation), said: '', notCounted: '' },
  };
}
