import { howMany } from '../../vocabulary/how-many';
import type { Front } from '../../model/front';
import type { Rep, Script, ScriptKind } from '../../model/script';
import { SCRIPT_KINDS } from '../../model/script';
import type { WeekPlan } from '../../model/week-plan';
import type { Ways } from '../../calls/resolve-call';
import { sayTimes } from '../../plan/say-number';
import type { Standing } from '../../plan/standing';
import { fewestBodies } from './bodies';
import { risingReps } from './series';
import type { Practised } from '../../plan/reps-so-far';
import { candidatesFor, type Candidate } from './candidates';
import { walked, walkedRep } from './walk';

/** What a second rep of the same play against the same look is worth, and another rep of the same play, against the first. */
const SAME_AGAIN = 0.45;
const PLAY_AGAIN = 0.85;

/** What a script is made from. */
export interface ScriptJob {
  readonly id: string;
  readonly kind: ScriptKind;
  /** How many reps. */
  readonly reps: number;
  readonly plan: WeekPlan;
  readonly standings: readonly Standing[];
  readonly ways: Ways;
  readonly sayPlay: (play: number) => string;
  /** What was practised this week before. */
  readonly practised: Practised;
  /** Plays in the order in which they are put in. */
  readonly order: readonly number[];
}

/**
 * Chooses reps so that the likely, the dangerous and what was missed is covered first, and again before the unlikely; orders them so that the scout team moves
 * least and sides take turns; and leaves out every defender nobody of us does anything about. `null` when nothing of the plan belongs in it.
 */
export function makeScript({
  id,
  kind,
  reps,
  plan,
  standings,
  ways,
  sayPlay,
  practised,
  order,
}: ScriptJob): Script | null {
  const candidates = candidatesFor(kind, plan, standings, ways, practised);
  if (candidates.length === 0) return null;
  if (kind === 'short yardage')
    return { id, kind, resets: 0, film: [], reps: risingReps(candidates, reps, ways), uncovered: [] };
  if (kind === 'walk-through') {
    const walks = walked(candidates, order);
    return { id, kind, resets: resetsOf(walks), film: [], reps: walks.map(walkedRep), uncovered: [] };
  }
  const chosen = choose(candidates, reps);
  const ordered = inOrder(chosen);
  const needed = new Map([...new Set(chosen)].map((c) => [c, fewestBodies(c.worked, c.call, c.seats, ways)] as const));
  const uncovered = candidates
    .filter((c) => !chosen.includes(c))
    .sort((a, b) => b.times - a.times)
    .map((c) => `${sayPlay(c.play)} against ${c.call.frontName}`);
  return {
    ...{ id, kind, resets: resetsOf(ordered), film: [] },
    reps: ordered.map((c): Rep => {
      const { scheme, side, tags, formation, formationName, front, frontName } = c.call;
      const { bodies, cones } = needed.get(c)!;
      return {
        ...{ scheme, side, tags, formation, formationName, front, frontName },
        ...{ bodies: [...bodies], cones: [...cones], why: whyOf(c) },
      };
    }),
    uncovered: uncovered.slice(0, 40),
  };
}

function whyOf({ times, risk, soFar: { good, of } }: Candidate): string {
  const missed = of > good ? `, missed ${of - good} of ${of} this week` : '';
  return `${sayTimes(times)} in the game, ${risk.toFixed(1)} yards to lose${missed}`;
}

/** One after the other whatever is worth most then: times it comes, what there is to lose, less for what is in already. */
function choose(candidates: readonly Candidate[], reps: number): Candidate[] {
  const chosen: Candidate[] = [];
  const had = new Map<Candidate, number>();
  const played = new Map<number, number>();
  for (let i = 0; i < reps; i++) {
    const worth = (c: Candidate): number =>
      c.times * c.risk * SAME_AGAIN ** (had.get(c) ?? 0) * PLAY_AGAIN ** (played.get(c.play) ?? 0);
    const best = candidates.reduce((a, b) => (worth(b) > worth(a) ? b : a));
    chosen.push(best);
    had.set(best, (had.get(best) ?? 0) + 1);
    played.set(best.play, (played.get(best.play) ?? 0) + 1);
  }
  return chosen;
}

/** Next is always whatever moves the fewest of them; of several that move as many, the one to the other side. */
function inOrder(chosen: readonly Candidate[]): Candidate[] {
  const left = [...chosen];
  const out: Candidate[] = [left.shift()!];
  while (left.length > 0) {
    const last = out.at(-1)!;
    const cost = (c: Candidate): number =>
      moved(last.worked.front, c.worked.front) + (c.call.side === last.call.side ? 0.5 : 0);
    const at = left.reduce((best, c, i) => (cost(c) < cost(left[best]!) ? i : best), 0);
    out.push(...left.splice(at, 1));
  }
  return out;
}

const resetsOf = (reps: readonly Candidate[]): number =>
  reps.slice(1).reduce((sum, c, i) => sum + moved(reps[i]!.worked.front, c.worked.front), 0);

/** Nobody walks for half a yard. */
const NEAR = 1.5;
/** How many of them stand elsewhere than before, or were not there. */
function moved(before: Front, now: Front): number {
  return now.defenders.filter((d) => {
    const was = before.defenders.find((o) => o.id === d.id);
    return !was || Math.hypot(was.x - d.x, was.y - d.y) > NEAR;
  }).length;
}

/** How a script is called: "Inside run, 24 reps". */
export const scriptName = ({ kind, reps }: Pick<Script, 'kind' | 'reps'>): string =>
  `${SCRIPT_KINDS[kind].name}, ${howMany(reps.length, 'rep')}`;
