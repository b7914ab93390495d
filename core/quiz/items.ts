import type { QuizItem } from '../model/quiz';
import type { Assignment, Resolution } from '../model/resolution';
import type { Call } from '../model/snap';
import { sharesOf, type WeekPlan } from '../model/week-plan';
import { workCall, type Ways } from '../calls/resolve-call';
import { callsOf } from '../plan/work-plan';

/** One thing to know, with the call it is asked on and how often it will come in the game. */
export interface Asked {
  readonly item: QuizItem;
  readonly call: Call;
  readonly times: number;
}

/** Everything a man of these places is asked by the week's plan: his calls that can be worked out, and in which he has something to do. */
export function itemsOf(plan: Pick<WeekPlan, 'plays' | 'looks'>, seats: readonly string[], ways: Ways): Asked[] {
  if (plan.looks.length === 0) return [];
  const shares = sharesOf(plan.looks);
  return callsOf({ plays: [...plan.plays], looks: [...plan.looks] }).flatMap(({ play, look, call }): Asked[] => {
    const worked = workCall(call, ways);
    if (!worked.ok) return [];
    const times = plan.plays[play]!.times * shares[look]!;
    const { scheme, side, tags, formationName, frontName } = call;
    return seats
      .filter((seat) => hisIn(worked.value.resolution, seat)?.target != null)
      .map((seat) => ({ item: { scheme, side, tags, formationName, frontName, seat }, call, times }));
  });
}

export const hisIn = (resolution: Pick<Resolution, 'assignments'>, seat: string): Assignment | null =>
  resolution.assignments.find((a) => a.blocker === seat) ?? null;
