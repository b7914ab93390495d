import { BLOCKS, type BlockId } from '../../vocabulary/index';
import { NOBODY, type Proposal } from '../../vocabulary/scene';
import type { Claim, TargetFinder } from '../../vocabulary/word';
import type { CompiledAction } from '../prepare/sentence';
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
  /** What the sentence asks for, first wish first, each with its place in the sentence's else-chain. */
  readonly wishes: readonly { readonly finder: TargetFinder; readonly action: number }[];
  /** Whom the sentence calls "him". */
  readonly him: number;
  /** Where the job is, feet: the nose of the man; for an exit that of the man who is doubled. */
  readonly from: number;
  /** The man whom an exit's pair doubles; -1 for others. */
  readonly on: number;
}

const ALONE: readonly number[] = [];
const ANYBODY: TargetFinder = { claim: 'matched', every: false, seek: () => NOBODY };

/** Every wish for somebody who is handed out together with the others, play side first. */
export function jobsOf(settled: Settled): Job[] {
  const { scene, call } = settled;
  const jobs: Job[] = [];
  let paired = ALONE;
  for (const man of call.across) {
    const proposal = scene.proposals[man]!;
    const from = scene.men[man]!.x;
    const base = { man, mates: ALONE, him: proposal.him, from, on: NOBODY };
    if (proposal.instead === 'on' || proposal.instead === 'climb') {
      jobs.push({ ...base, kind: loneKind(settled, man, proposal), wishes: [{ finder: ANYBODY, action: 0 }] });
    }
    const act = actionOf(settled, man);
    if (!act) continue;
    const { target, then } = act;
    if (proposal.tooFar) {
      const finder = then?.target ?? ANYBODY;
      jobs.push({ ...base, kind: loneKind(settled, man, proposal), wishes: [{ finder, action: proposal.action }] });
    } else if (target && isHandedOut(target.claim)) {
      jobs.push({ ...base, kind: loneKind(settled, man, proposal), wishes: wishesOf(settled, man, proposal) });
    } else if (then && isHandedOut(then.target.claim) && !paired.includes(man) && !leftAlone(settled, man)) {
      const mates = proposal.pairs ? comingOffToo(settled, man, proposal.target) : ALONE;
      if (mates.length) paired = [...paired, ...mates];
      const wishes = [{ finder: then.target, action: proposal.action }];
      const on = proposal.target;
      jobs.push({ ...base, kind: 'exit', mates, wishes, on, from: on === NOBODY ? from : scene.defenders[on]!.x });
    }
  }
  return jobs;
}

/** Scanning men look when everybody else has been given his man. */
const isHandedOut = (claim: Claim | null): boolean => claim !== null && claim !== 'last';

export function actionOf({ scene, sheets }: Settled, man: number): CompiledAction | null {
  const { sentence, action, instead } = scene.proposals[man]!;
  return sentence < 0 || instead !== null ? null : (sheets[man]![sentence]!.actions[action] ?? null);
}

function wishesOf({ sheets }: Settled, man: number, { sentence, action }: Proposal): Job['wishes'] {
  const { actions } = sheets[man]![sentence]!;
  const wishes: { finder: TargetFinder; action: number }[] = [];
  for (let a = action; a < actions.length; a++) {
    const finder = actions[a]!.target;
    if (finder && isHandedOut(finder.claim)) wishes.push({ finder, action: a });
  }
  return wishes;
}

function loneKind({ scene }: Settled, man: number, { job, instead }: Proposal): JobKind {
  const { kind } = scene.men[man]!;
  const block = BLOCKS[job as BlockId];
  if (instead === null && (block.pulls || block.runsToHim)) return 'errand';
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

/** How far to the side a job is from a defender, feet: the shortest way of those who may go. */
export function wayTo({ scene }: Settled, { man, mates }: Job, defender: number): number {
  const { x } = scene.defenders[defender]!;
  let way = Math.abs(scene.men[man]!.x - x);
  for (const mate of mates) way = Math.min(way, Math.abs(scene.men[mate]!.x - x));
  return way;
}
