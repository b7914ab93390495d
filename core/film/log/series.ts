import type { Situation } from '../../model/snap';

export const FIRST_SNAP: Situation = {
  quarter: 1,
  down: 1,
  distance: 10,
  hash: 'middle',
  gain: 0,
  beforeContact: null,
  series: 1,
  toGoal: null,
  result: 'went on',
  penalty: null,
};

/** Yards the ball moved to our side of it or theirs: what was gained, and what a flag gave or took. */
function moved({ gain, penalty }: Situation): number {
  if (!penalty) return gain;
  const walked = penalty.on === 'us' ? -penalty.yards : penalty.yards;
  return penalty.again ? walked : gain + walked;
}

/** The distance of a first down: ten yards, or to the goal line. */
const firstDown = (toGoal: number | null): number => (toGoal === null ? 10 : Math.min(10, toGoal));

/**
 * The situation that follows from one and how it ended: the next down, a new first down, or a new series after a score, a lost ball or a
 * fourth down that failed. Quarter and hash stay; where a new series begins nobody knows yet.
 */
export function situationAfter(last: Situation): Situation {
  const { quarter, hash, down, distance, series } = last;
  const goes: Situation = { ...FIRST_SNAP, quarter, hash, series };
  const newSeries: Situation = { ...goes, series: Math.min(60, series + 1) };
  if (last.result === 'no play') return { ...last, ...endOf(FIRST_SNAP) };
  if (last.result === 'touchdown' || last.result === 'ball lost') return newSeries;
  const yards = moved(last);
  const toGoal = last.toGoal === null ? null : last.toGoal - yards;
  if (toGoal !== null && toGoal <= 0) return newSeries;
  const here = toGoal === null ? null : Math.min(99, toGoal);
  const left = distance - yards;
  if (left <= 0) return { ...goes, distance: firstDown(here), toGoal: here };
  if (last.penalty?.again) return { ...goes, down, distance: Math.min(99, left), toGoal: here };
  if (down === 4) return newSeries;
  return { ...goes, down: down + 1, distance: Math.min(99, left), toGoal: here };
}

/** How a snap came to an end: never taken over by the next one. */
const endOf = ({ gain, beforeContact, result, penalty }: Situation): Ending => ({
  gain,
  beforeContact,
  result,
  penalty,
});
type Ending = Pick<Situation, 'gain' | 'beforeContact' | 'result' | 'penalty'>;

/** Whether a snap begins as it follows. Where the ball lies after it nobody can know when nobody wrote down where it lay before. */
const begins = (own: Situation, follows: Situation): boolean =>
  own.quarter === follows.quarter &&
  own.hash === follows.hash &&
  own.down === follows.down &&
  own.distance === follows.distance &&
  own.series === follows.series &&
  (follows.toGoal === null || own.toGoal === follows.toGoal);

/**
 * A game's situations in order after one of them was corrected. Those after it that were what followed from the one before are still: whoever
 * writes down what a snap gained need not touch the next one. The first that somebody set otherwise stays, with all after it.
 */
export function correctSituation(all: readonly Situation[], at: number, to: Situation): Situation[] {
  const next = [...all];
  next[at] = to;
  for (let i = at + 1; i < all.length; i++) {
    const own = all[i]!;
    if (!begins(own, situationAfter(all[i - 1]!))) break;
    const follows = situationAfter(next[i - 1]!);
    next[i] = { ...follows, ...endOf(own), toGoal: follows.toGoal ?? own.toGoal };
  }
  return next;
}
