import type { Rep } from '../../model/script';
import { WALKS } from '../../plan/reps-so-far';
import type { Candidate } from './candidates';

/** Most reps of a script. */
const MOST = 60;

/**
 * Every play as often as it is walked through, against its likeliest looks in turn, one play after the other in the order given; plays that are
 * not in the order come last.
 */
export function walked(candidates: readonly Candidate[], order: readonly number[]): Candidate[] {
  const plays = [...new Set(candidates.map((c) => c.play))];
  const rank = (play: number): number => (order.includes(play) ? order.indexOf(play) : order.length + play);
  return plays
    .sort((a, b) => rank(a) - rank(b))
    .flatMap((play) => {
      const his = candidates.filter((c) => c.play === play).sort((a, b) => b.times - a.times);
      return Array.from({ length: WALKS }, (_, i) => his[i % his.length]!);
    })
    .slice(0, MOST);
}

/** A rep at a walk: everybody is there, no cone stands for anybody. */
export function walkedRep({ call, worked }: Candidate, at: number): Rep {
  const { scheme, side, tags, formation, formationName, front, frontName } = call;
  return {
    ...{ scheme, side, tags, formation, formationName, front, frontName },
    ...{ bodies: worked.front.defenders.map((d) => d.id), cones: [], why: `${(at % WALKS) + 1} of ${WALKS} at a walk` },
  };
}
