import { gistOf } from './gist';
import type { Assignment, DefenderStatus, Resolution } from '../model/resolution';

/** What one man does in two answers; a side is `null` where he has no rule there. */
export interface ManDifference {
  readonly blocker: string;
  readonly one: Assignment | null;
  readonly other: Assignment | null;
  readonly same: boolean;
}

export interface DefenderDifference {
  readonly id: string;
  readonly one: DefenderStatus;
  readonly other: DefenderStatus;
  readonly same: boolean;
}

export interface Comparison {
  readonly men: readonly ManDifference[];
  readonly defenders: readonly DefenderDifference[];
  readonly sameVerdict: boolean;
}

const gist = (a: Assignment | null): string => `${gistOf(a)} ${a ? [...a.partners].sort().join() : ''}`;

/** Two answers to one front side by side, men in the order of the first. */
export function compareResolutions(one: Resolution, other: Resolution): Comparison {
  const ids = [...new Set([...one.assignments, ...other.assignments].map((a) => a.blocker))];
  const of = (r: Resolution, id: string): Assignment | null => r.assignments.find((a) => a.blocker === id) ?? null;
  return {
    men: ids.map((blocker) => {
      const [a, b] = [of(one, blocker), of(other, blocker)];
      return { blocker, one: a, other: b, same: gist(a) === gist(b) };
    }),
    defenders: one.defenders.flatMap((d) => {
      const twin = other.defenders.find((x) => x.id === d.id);
      return twin ? [{ id: d.id, one: d.status, other: twin.status, same: d.status === twin.status }] : [];
    }),
    sameVerdict: one.verdict === other.verdict,
  };
}
