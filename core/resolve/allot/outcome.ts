import { FULL_DOUBLE } from '../../geometry/tolerances';
import { atMost } from '../../geometry/compare';
import type { DefenderStatus } from '../../model/resolution';
import { PLAIN_CLIMB, type BlockId } from '../../vocabulary/index';
import { NOBODY, type Proposal } from '../../vocabulary/scene';
import type { Aim } from '../prepare/prepare-call';
import { allot, type Shared } from './allot';
import type { CompiledAction } from '../prepare/sentence';
import type { Settled } from '../settle/settled';

/** The decision record of one resolution, in scene indices: compact, and all that explanations are built from. */
export interface Outcome {
  readonly settled: Settled;
  /** How the second level was shared out. */
  readonly shared: Shared;
  readonly men: readonly ManOutcome[];
  readonly defenders: readonly DefenderOutcome[];
}

export interface DefenderOutcome {
  readonly status: DefenderStatus;
  readonly by: readonly number[];
  /** Whose rule reads or leaves him: the man who stands for it; -1 for nobody's. */
  readonly rule: number;
}

export interface ManOutcome {
  readonly man: number;
  /** Index into his sentences; -1 when he fell back to the nearest man. */
  readonly sentence: number;
  readonly block: BlockId;
  readonly action: CompiledAction | null;
  readonly target: number;
  readonly partners: readonly number[];
  readonly next: number;
  readonly pull: boolean;
  /** He does something else than his sentence says. */
  readonly instead: Proposal['instead'];
  readonly help: 'full' | 'hand' | null;
}

const ALONE: readonly number[] = [];

/** Hands out the second level and reads off who has whom. */
export function settleOutcome(settled: Settled, aim: Aim): Outcome {
  const { scene, call, sheets } = settled;
  const { target: targets, next, action: actions, shared } = allot(settled, aim);
  const on = scene.defenders.map(() => 0);
  for (const man of call.blockers) if (targets[man] !== NOBODY) on[targets[man]!]!++;
  const men: ManOutcome[] = [];
  for (const man of call.blockers) {
    const { sentence, instead, job, pairs, tooFar } = scene.proposals[man]!;
    // A man off the line whose rules ask nothing of him here plays his own part and is no blocker.
    if (man >= scene.lineCount && sentence < 0) continue;
    const action = sentence < 0 || instead ? null : sheets[man]![sentence]!.actions[actions[man]!]!;
    const target = targets[man]!;
    const partners = target !== NOBODY && on[target]! > 1 ? partnersOf(settled, targets, man) : ALONE;
    // A pair whose other half bumped over is one man on his own.
    const alone = pairs && partners.length === 0;
    men.push({
      man,
      sentence,
      instead,
      action,
      target,
      next: next[man]!,
      partners,
      block: instead
        ? (job as BlockId)
        : tooFar
          ? (action?.then?.id ?? PLAIN_CLIMB)
          : alone
            ? settled.lone
            : (action?.id ?? settled.lone),
      pull: !instead && !tooFar && (action?.block.pulls ?? false),
      help:
        !pairs || alone || target === NOBODY
          ? null
          : atMost(Math.abs(scene.men[man]!.x - scene.defenders[target]!.x), FULL_DOUBLE)
            ? 'full'
            : 'hand',
    });
  }
  return { settled, shared, men, defenders: statuses(settled, men, targets, on) };
}

/** Two men on one defender work together when either asked for it. */
function partnersOf(
  { scene: { proposals }, call: { blockers } }: Settled,
  targets: readonly number[],
  man: number,
): readonly number[] {
  const mine = targets[man]!;
  let partners: number[] | null = null;
  for (const other of blockers) {
    if (targets[other] === mine && other !== man && (proposals[man]!.pairs || proposals[other]!.pairs))
      (partners ??= []).push(other);
  }
  return partners ?? ALONE;
}

/** He gives his man a blow in passing and does not have him. */
export const onlyTouches = ({ action, target }: ManOutcome): boolean =>
  target !== NOBODY && action?.block.role === 'touch';

function join(by: (number[] | null)[], defender: number, man: number): void {
  const who = by[defender];
  if (who) who.push(man);
  else by[defender] = [man];
}

const FREE: DefenderOutcome = { status: 'free', by: ALONE, rule: NOBODY };

function statuses(
  { scene, call }: Settled,
  men: readonly ManOutcome[],
  targets: readonly number[],
  on: readonly number[],
): DefenderOutcome[] {
  const out = scene.defenders.map(() => FREE);
  for (const man of call.standIns) {
    const status = scene.men[man]!.kind === 'design' ? 'left' : 'read';
    const target = targets[man]!;
    if (target !== NOBODY && out[target] === FREE) out[target] = { status, by: ALONE, rule: man };
    for (const d of scene.proposals[man]!.all) if (out[d] === FREE) out[d] = { status, by: ALONE, rule: man };
  }
  const by: (number[] | null)[] = scene.defenders.map(() => null);
  let doTouch = false;
  for (const m of men) {
    const { man, target, next } = m;
    if (onlyTouches(m)) doTouch = true;
    else if (target !== NOBODY) join(by, target, man);
    if (next !== NOBODY && next !== target) join(by, next, man);
  }
  if (doTouch) for (const m of men) if (onlyTouches(m)) by[m.target]?.push(m.man);
  for (let d = 0; d < by.length; d++) {
    const who = by[d];
    if (who) out[d] = { status: on[d]! >= 3 ? 'triple' : on[d] === 2 ? 'double' : 'single', by: who, rule: NOBODY };
  }
  return out;
}
