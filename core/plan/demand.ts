import { sharesOf, type WeekPlan } from '../model/week-plan';
import type { PlanCell } from './work-plan';

/** What the game asks of one place: one kind of block, how often, and what it costs when it is lost. */
export interface Demand {
  readonly seat: string;
  readonly block: string;
  /** How often he will be asked for it: calls times the share of the looks in which it comes. */
  readonly times: number;
  /** Yards a lost one costs, on average over them; 0 where that was not worked out. */
  readonly costs: number;
  /** Plays that die with it in some look, by their places in the plan, the one that asks for it most first. */
  readonly kills: readonly number[];
  /** Plays it comes from, by their places in the plan, with how often, the most first. */
  readonly from: readonly { readonly play: number; readonly times: number }[];
}

/**
 * Block times look times probability: how often the plan will ask each place for each block. Together the demands of a place are the calls in
 * which he blocks somebody; a play that cannot be worked out against a look asks nobody for anything.
 */
export function demandOf(plan: Pick<WeekPlan, 'plays' | 'looks'>, cells: readonly PlanCell[]): Demand[] {
  const shares = sharesOf(plan.looks);
  const found = new Map<string, Gathered>();
  for (const { play, look, asked, losses } of cells) {
    const times = plan.plays[play]!.times * shares[look]!;
    for (const { seat, block, target } of asked) {
      if (target === null) continue;
      const key = `${seat} ${block}`;
      const sum = found.get(key) ?? { seat, block, times: 0, cost: 0, kills: new Map(), from: new Map() };
      found.set(key, sum);
      sum.times += times;
      sum.from.set(play, (sum.from.get(play) ?? 0) + times);
      const loss = losses?.find((l) => l.blocker === seat);
      sum.cost += times * (loss?.costs ?? 0);
      if (loss?.kills) sum.kills.set(play, (sum.kills.get(play) ?? 0) + times);
    }
  }
  return [...found.values()].map(({ seat, block, times, cost, kills, from }) => ({
    ...{ seat, block, times },
    costs: cost / times,
    kills: mostFirst(kills).map((k) => k.play),
    from: mostFirst(from),
  }));
}

interface Gathered {
  readonly seat: string;
  readonly block: string;
  times: number;
  cost: number;
  readonly kills: Map<number, number>;
  readonly from: Map<number, number>;
}

const mostFirst = (plays: ReadonlyMap<number, number>): { play: number; times: number }[] =>
  [...plays].map(([play, times]) => ({ play, times })).sort((a, b) => b.times - a.times || a.play - b.play);

/** How much of the game each play is sound against: the share of its looks, by their weights; `null` for a play nobody could work out. */
export function soundShares(plan: Pick<WeekPlan, 'plays' | 'looks'>, cells: readonly PlanCell[]): (number | null)[] {
  const shares = sharesOf(plan.looks);
  return plan.plays.map((_, play) => {
    const his = cells.filter((c) => c.play === play);
    const whole = his.reduce((sum, c) => sum + shares[c.look]!, 0);
    const sound = his.reduce((sum, c) => sum + (c.verdict === 'sound' ? shares[c.look]! : 0), 0);
    return whole === 0 ? null : sound / whole;
  });
}
