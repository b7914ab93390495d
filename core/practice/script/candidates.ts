import { lineOf } from '../../model/formation';
import type { ScriptKind } from '../../model/script';
import { SCRIPT_KINDS } from '../../model/script';
import type { Call } from '../../model/snap';
import { sharesOf, type WeekPlan } from '../../model/week-plan';
import { workCall, type Ways, type WorkedCall } from '../../calls/resolve-call';
import { callsOf } from '../../plan/work-plan';
import type { Standing } from '../../plan/standing';
import { repsSoFar, type Count, type Practised } from '../../plan/reps-so-far';

/** A play against a look that a script can have in it. */
export interface Candidate {
  readonly play: number;
  readonly look: number;
  readonly call: Call;
  readonly worked: WorkedCall;
  /** Places of ours that are on the field. */
  readonly seats: readonly string[];
  /** How often it will come in the game. */
  readonly times: number;
  /** What there is to lose in it, yards: of every man how likely he loses his block, and what that costs; more where it was missed. */
  readonly risk: number;
  /** How the play went in this week's scripts so far. */
  readonly soFar: Count;
}

/** What a man nobody knows anything of loses a block with, and what a lost one costs at least. */
const UNKNOWN = 0.25;
const LEAST_COST = 0.5;
/** A play that was missed every time is worth so much more than one that never was. */
const MISSED_AGAIN = 1;

/** Everything of the plan that belongs in a script of this kind; what cannot be worked out, and what the cut rules out, does not. */
export function candidatesFor(
  kind: ScriptKind,
  plan: WeekPlan,
  standings: readonly Standing[],
  ways: Ways,
  practised: Practised,
): Candidate[] {
  const shares = sharesOf(plan.looks);
  return callsOf(plan).flatMap(({ play, look, call }): Candidate[] => {
    const work = workCall(call, ways);
    if (!work.ok) return [];
    const { resolution } = work.value;
    const throws = resolution.passing !== null;
    const { calls } = SCRIPT_KINDS[kind];
    if ((calls === 'runs' && throws) || (calls === 'throws' && !throws)) return [];
    const seats = seatsIn(kind, work.value, call);
    const comesFromElsewhere = resolution.assignments.some((a) => a.pull && !seats.includes(a.blocker));
    if (kind === 'half line' && comesFromElsewhere) return [];
    const risk = resolution.assignments
      .filter((a) => a.target !== null && seats.includes(a.blocker))
      .reduce((sum, a) => {
        const his = standings.find((s) => s.seat === a.blocker && s.block === a.block);
        return sum + (his ? 1 - his.expected : UNKNOWN) * Math.max(LEAST_COST, his?.costs ?? 0);
      }, 0);
    const soFar = repsSoFar(call, practised);
    const again = 1 + (soFar.of > 0 ? MISSED_AGAIN * (1 - soFar.good / soFar.of) : 0);
    const times = plan.plays[play]!.times * shares[look]!;
    return [{ play, look, call, worked: work.value, seats, times, risk: risk * again, soFar }];
  });
}

/** Who of us is on the field: of half a line the centre and the side the play goes to. */
function seatsIn(kind: ScriptKind, { formation, resolution }: WorkedCall, { side }: Call): string[] {
  const blocking = resolution.assignments.map((a) => a.blocker);
  if (kind === 'half line') {
    const sign = side === 'right' ? 1 : -1;
    const half = lineOf(formation).filter((m) => m.id === 'C' || m.x * sign > 0);
    return half.map((m) => m.id);
  }
  if (kind === 'without backs') return lineOf(formation).map((m) => m.id);
  return blocking;
}
