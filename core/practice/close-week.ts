import * as z from 'zod';
import { compareRates } from '../grade/book/lines';
import type { Drill } from '../model/drill';
import type { PracticeWeek } from '../model/practice';
import { rateOf, type Rate } from '../statistics/rate';

/** How often a man had a fault in a game, out of all his graded blocks at which it is looked for. */
export const FaultCountSchema = z.object({
  gameId: z.int(),
  week: z.int(),
  playerId: z.int(),
  fault: z.string(),
  times: z.int(),
  of: z.int(),
});
export type FaultCount = z.infer<typeof FaultCountSchema>;

/** A week's practice with the game it was for. */
export interface PractisedWeek {
  readonly week: number;
  readonly practice: PracticeWeek;
}

/** One fault of one man, followed from a game over the practice after it to the next one. */
export interface Followed {
  readonly playerId: number;
  readonly fault: string;
  /** The week in which it was marked, and the next in which he was graded. */
  readonly from: number;
  readonly to: number | null;
  /** Blocks without it, before and after. */
  readonly before: Rate;
  readonly after: Rate | null;
  /** What was done about it in between: drills that mend it with him in them, reps and minutes. */
  readonly drills: readonly { readonly drill: string; readonly reps: number; readonly minutes: number }[];
  readonly became: 'better' | 'worse' | 'no telling';
}

/**
 * Follows every fault that was marked more than once in a game. Counts stay counts: few blocks tell nothing, and what became better after a
 * drill may have become so without it.
 */
export function followFaults(
  counts: readonly FaultCount[],
  weeks: readonly PractisedWeek[],
  drills: readonly Drill[],
): Followed[] {
  const mends = (id: string, fault: string): boolean => drills.some((d) => d.id === id && d.faults.includes(fault));
  return counts
    .filter((c) => c.times > 1)
    .map((c): Followed => {
      const later = counts
        .filter((o) => o.playerId === c.playerId && o.fault === c.fault && o.week > c.week)
        .sort((a, b) => a.week - b.week)[0];
      const between = weeks.filter((w) => w.week > c.week && w.week <= (later?.week ?? Infinity));
      const done = new Map<string, { drill: string; reps: number; minutes: number }>();
      for (const { practice } of between)
        for (const { lines } of practice.days)
          for (const { stations, minutes } of lines)
            for (const s of stations) {
              if (!s.men.includes(c.playerId) || !mends(s.drill, c.fault)) continue;
              const sum = done.get(s.drill) ?? { drill: s.drill, reps: 0, minutes: 0 };
              done.set(s.drill, { ...sum, reps: sum.reps + s.reps, minutes: sum.minutes + minutes });
            }
      const rate = ({ of, times }: FaultCount): Rate => rateOf(of - times, of, 0);
      return {
        ...{ playerId: c.playerId, fault: c.fault, from: c.week, to: later?.week ?? null },
        ...{ before: rate(c), after: later ? rate(later) : null },
        drills: [...done.values()].sort((a, b) => b.reps - a.reps),
        became: later ? compareRates(rate(later), rate(c)) : 'no telling',
      };
    })
    .sort((a, b) => b.from - a.from || (a.before.share ?? 0) - (b.before.share ?? 0));
}

/** What drills did: how many faults were followed over them, and what became of those. */
export function whatDrillsDid(followed: readonly Followed[]): {
  drill: string;
  followed: number;
  better: number;
  worse: number;
}[] {
  const sums = new Map<string, { drill: string; followed: number; better: number; worse: number }>();
  for (const { drills, became, after } of followed) {
    if (after === null) continue;
    for (const { drill } of drills) {
      const sum = sums.get(drill) ?? { drill, followed: 0, better: 0, worse: 0 };
      sum.followed++;
      if (became === 'better') sum.better++;
      if (became === 'worse') sum.worse++;
      sums.set(drill, sum);
    }
  }
  return [...sums.values()].sort(
    (a, b) => b.better - a.better || b.followed - a.followed || (a.drill < b.drill ? -1 : 1),
  );
}
