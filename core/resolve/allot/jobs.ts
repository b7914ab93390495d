import { lessThan } from '../../geometry/compare';
import { CLIMB_REACH, TURN_BACK } from '../../geometry/tolerances';
import { NOBODY, type Proposal, type Scene } from '../../vocabulary/scene';
import type { CompiledAction, Wish } from '../prepare/sentence';
import type { Settled } from '../settle/settled';

/**
 * What kind of second-level job it is. An `errand` comes from elsewhere and runs to his man: a puller, lead, insert, wrapper or crack. An
 * `end` is a spare tight end, wing or H: nobody on the line and no pair. An `exit` is the way of a pair to the next level, one job whoever
 * of them goes. Whoever else goes at once is a `climb`.
 */
export type JobKind = 'climb' | 'exit' | 'errand' | 'end';

/** One man's wish, or one pair's, for somebody off the line. */
export interface Job {
  readonly man: number;
  readonly kind: JobKind;
  /** Partners who may go as well: one of them comes off, so the job is one. */
  readonly mates: readonly number[];
  /** What the sentence asks for, first wish first. */
  readonly wishes: readonly Wish[];
  /** Whom the sentence calls "him". */
  readonly him: number;
  /** Where the job starts, feet: the nose of the man, for an exit that of the man who is doubled. */
  readonly from: number;
  /** The man whom an exit's pair doubles; -1 for others. */
  readonly on: number;
  /** A later action of his sentence names somebody by place: without a linebacker he is not idle as long as that one can be had. */
  readonly hasElse: boolean;
}

const ALONE: readonly number[] = [];
const ANYBODY: readonly Wish[] = [{ finder: { claim: 'matched', every: false, seek: () => NOBODY }, action: 0 }];

/** Every wish for somebody who is handed out together with the others, play side first. */
export function jobsOf(settled: Settled): Job[] {
  const { scene, call } = settled;
  const jobs: Job[] = [];
  let paired = ALONE;
  for (const man of call.across) {
    const proposal = scene.proposals[man]!;
    if (proposal.instead === 'on' || proposal.instead === 'climb') jobs.push(goesAlone(settled, man, ANYBODY, null));
    const act = actionOf(settled, man);
    if (!act) continue;
    const { target, wishes, then } = act;
    if (proposal.tooFar)
      jobs.push(goesAlone(settled, man, then && then.wishes.length > 0 ? then.wishes : ANYBODY, act));
    else if (proposal.target === NOBODY && target && wishes.length > 0 && wishes[0]!.action === proposal.action)
      jobs.push(goesAlone(settled, man, wishes, act));
    else if (then && then.wishes.length > 0 && !paired.includes(man) && !leftAlone(settled, man)) {
      const mates = proposal.pairs ? comingOffToo(settled, man, proposal.target) : ALONE;
      if (mates.length) paired = [...paired, ...mates];
      const on = proposal.target;
      const from = on === NOBODY ? scene.men[man]!.x : scene.defenders[on]!.x;
      jobs.push({ man, kind: 'exit', mates, wishes: then.wishes, him: proposal.him, from, on, hasElse: false });
    }
  }
  return jobs;
}

/** `act`: what his sentence has him do; `null` when he does something else. */
function goesAlone({ scene }: Settled, man: number, wishes: readonly Wish[], act: CompiledAction | null): Job {
  const proposal = scene.proposals[man]!;
  const kind = loneKind(scene, man, act);
  const hasElse = act?.hasElse ?? false;
  return { man, kind, mates: ALONE, wishes, him: proposal.him, from: scene.men[man]!.x, on: NOBODY, hasElse };
}

export function actionOf({ scene, sheets }: Settled, man: number): CompiledAction | null {
  const { sentence, action, instead } = scene.proposals[man]!;
  return sentence < 0 || instead !== null ? null : (sheets[man]![sentence]!.actions[action] ?? null);
}

function loneKind(scene: Scene, man: number, act: CompiledAction | null): JobKind {
  const { kind } = scene.men[man]!;
  if (act) {
    const { pulls, runsToHim, course } = act.block;
    if (pulls || runsToHim) return 'errand';
    // Whoever comes around from the backfield is on his way somewhere else too.
    if (man >= scene.lineCount && course === 'behind-the-line') return 'errand';
  }
  if (kind === 'tight' || kind === 'wing' || kind === 'hback') return 'end';
  return man < scene.lineCount ? 'climb' : 'errand';
}

/** His partner bumped over: he stays on his man. */
function leftAlone({ scene: { proposals } }: Settled, man: number): boolean {
  const { partner, target, pairs } = proposals[man]!;
  return (
    pairs && proposals[partner]!.instead !== null && !proposals.some((p, mate) => mate !== man && p.target === target)
  );
}

/** The others of his pair who are to come off as well: one of them does. Two men who help one man from either side are no pair; each comes off. */
function comingOffToo(settled: Settled, man: number, defender: number): readonly number[] {
  const { proposals } = settled.scene;
  let mates: number[] | null = null;
  for (const other of settled.call.across) {
    const { pairs, target } = proposals[other]!;
    if (
      pairs &&
      target === defender &&
      other !== man &&
      (asks(proposals[man]!, other) || asks(proposals[other]!, man)) &&
      actionOf(settled, other)?.then
    )
      (mates ??= []).push(other);
  }
  return mates ?? ALONE;
}

const asks = ({ partner, other }: Proposal, mate: number): boolean => partner === mate || other === mate;

/**
 * Can this job never get to a linebacker: a climb too far to the side, or one for whom a puller would have to turn back behind the ball? Men
 * outside the box are another matter: an arc to the force has time.
 */
export function isOutOfReach(settled: Settled, job: Job, defender: number): boolean {
  const { scene } = settled;
  const { x } = scene.defenders[defender]!;
  if (job.kind !== 'errand')
    return scene.linebackers.includes(defender) && !lessThan(wayTo(settled, job, defender), CLIMB_REACH);
  return scene.proposals[job.man]!.pulls && lessThan(x, Math.min(scene.men[job.man]!.x - TURN_BACK, 0));
}

/** How far to the side a job is from a defender, feet: the shortest way of those who may go. */
export function wayTo({ scene }: Settled, { man, mates }: Job, defender: number): number {
  const { x } = scene.defenders[defender]!;
  let way = Math.abs(scene.men[man]!.x - x);
  for (const mate of mates) way = Math.min(way, Math.abs(scene.men[mate]!.x - x));
  return way;
}
