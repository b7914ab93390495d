import type { NightSnap } from '../model/night';
import { isSamePlay, type PlannedAnswer, type PlayName } from '../model/week-plan';
import { rateOf, type Rate } from '../statistics/rate';

/** A sign of theirs as a game has borne it out so far. */
export interface SignSeen {
  readonly sign: string;
  /** The plays that use it, as the plan has them; empty once it is out of the plan. */
  readonly plays: readonly PlayName[];
  /** Of the snaps it was seen on, those on which one of its plays was called. */
  readonly answered: Rate;
  /** Of those, the ones on which nobody lost his man. */
  readonly clean: Rate;
}

/** Signs of the plan and of the snaps, those that were seen and let go the most often first. */
export function signsSeen(snaps: readonly NightSnap[], answers: readonly PlannedAnswer[]): SignSeen[] {
  const names = [...new Set([...answers.map((a) => a.sign), ...snaps.flatMap((s) => s.signs)])];
  return names
    .map((sign): SignSeen => {
      const plays = answers.filter((a) => a.sign === sign).map(({ scheme, side, tags }) => ({ scheme, side, tags }));
      const seen = snaps.filter((s) => s.signs.includes(sign));
      const used = seen.filter(({ call }) => plays.some((p) => isSamePlay(p, call)));
      const clean = used.filter((s) => s.lost.length === 0);
      return {
        sign,
        plays,
        answered: rateOf(used.length, seen.length, 0),
        clean: rateOf(clean.length, used.length, 0),
      };
    })
    .sort((a, b) => letGo(b) - letGo(a) || b.answered.of - a.answered.of);
}

/** How often it was seen and none of its plays was called. */
export const letGo = ({ answered }: SignSeen): number => answered.of - answered.good;
