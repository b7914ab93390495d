import type { Situation } from '../../model/snap';

export const FIRST_SNAP: Situation = { quarter: 1, down: 1, distance: 10, hash: 'middle', gain: 0 };

/** The situation that follows from one and what was gained in it: the series goes on, or a new one begins. Quarter and hash stay. */
export function situationAfter(last: Situation): Situation {
  const { quarter, hash, down, distance, gain } = last;
  const left = distance - gain;
  if (left <= 0 || down === 4) return { ...FIRST_SNAP, quarter, hash };
  return { quarter, hash, down: down + 1, distance: Math.min(99, left), gain: 0 };
}

const sameStart = (a: Situation, b: Situation): boolean =>
  a.quarter === b.quarter && a.hash === b.hash && a.down === b.down && a.distance === b.distance;

/**
 * A game's situations in order after one of them was corrected. Those after it that were what followed from the one before are still: whoever
 * writes down what a snap gained need not touch the next one. The first that somebody set otherwise stays, with all after it.
 */
export function correctSituation(all: readonly Situation[], at: number, to: Situation): Situation[] {
  const next = [...all];
  next[at] = to;
  for (let i = at + 1; i < all.length; i++) {
    if (!sameStart(all[i]!, situationAfter(all[i - 1]!))) break;
    next[i] = { ...situationAfter(next[i - 1]!), gain: all[i]!.gain };
  }
  return next;
}
