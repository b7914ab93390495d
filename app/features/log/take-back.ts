import type { LogEntry, SnapItem } from '#core/model/game';

/** What one step made of the log of a game: the snaps it touched, as they were before and as they were after. */
export interface LogStep {
  readonly game: number;
  /** What was done, as the way back names it. */
  readonly says: string;
  readonly before: ReadonlyMap<number, LogEntry>;
  readonly after: ReadonlyMap<number, LogEntry>;
}

const entryOf = ({ number, call, situation, logged }: SnapItem): LogEntry => ({ number, call, situation, logged });
const byNumber = (log: readonly SnapItem[]): Map<number, LogEntry> => new Map(log.map((s) => [s.number, entryOf(s)]));
const same = (a: LogEntry | undefined, b: LogEntry | undefined): boolean => JSON.stringify(a) === JSON.stringify(b);
const only = (log: ReadonlyMap<number, LogEntry>, numbers: readonly number[]): Map<number, LogEntry> =>
  new Map([...log].filter(([n]) => numbers.includes(n)));

/**
 * The step that made one state of a log into another, with everything that followed from it. `touched`: the snaps that were written; what
 * somebody else did at the same time is no part of it. `null` when nothing differs.
 */
export function stepBetween(
  game: number,
  says: string,
  touched: readonly number[],
  logBefore: readonly SnapItem[],
  logAfter: readonly SnapItem[],
): LogStep | null {
  const [before, after] = [byNumber(logBefore), byNumber(logAfter)];
  const other = touched.filter((n) => !same(before.get(n), after.get(n)));
  return other.length ? { game, says, before: only(before, other), after: only(after, other) } : null;
}

/** What has to be written to take a step back: snaps as they were, and those it had added taken out. */
export const backOf = ({ before, after }: LogStep): { entries: LogEntry[]; without: number[] } => ({
  entries: [...before.values()],
  without: [...after.keys()].filter((n) => !before.has(n)),
});

/** Snaps of a step that somebody has changed since: they are not what it made of them any more. */
export function changedSince({ before, after }: LogStep, log: readonly SnapItem[]): number[] {
  const now = byNumber(log);
  const touched = [...new Set([...before.keys(), ...after.keys()])].sort((a, b) => a - b);
  return touched.filter((n) => !same(after.get(n), now.get(n)));
}
