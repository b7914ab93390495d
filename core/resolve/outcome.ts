import { FULL_DOUBLE } from '../geometry/tolerances';
import { atMost } from '../geometry/compare';
import type { DefenderStatus } from '../model/resolution';
import type { BlockId } from '../vocabulary/index';
import { NOBODY, type Proposal, type Scene } from '../vocabulary/scene';
import { claimLinebackers } from './claim-linebackers';
import type { CompiledAction } from './sentence';
import type { Settled } from './settle';

/** The decision record of one resolution, in scene indices: compact, and all that explanations are built from. */
export interface Outcome {
  readonly settled: Settled;
  readonly men: readonly ManOutcome[];
  readonly defenders: readonly DefenderOutcome[];
}

export interface DefenderOutcome {
  readonly status: DefenderStatus;
  readonly by: readonly number[];
  /** Whose rule reads or leaves him: the man who stands for it. */
  readonly rule?: number;
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
export function settleOutcome(settled: Settled): Outcome {
  const { scene, sheets } = settled;
  const claims = claimLinebackers(settled);
  const targets = scene.proposals.map((p, man) => (p.target === NOBODY ? claims.target[man]! : p.target));
  const men: ManOutcome[] = [];
  for (const man of settled.call.blockers) {
    const proposal = scene.proposals[man]!;
    // A man off the line whose rules ask nothing of him here plays his own part and is no blocker.
    if (man >= scene.lineCount && proposal.sentence < 0) continue;
    const { instead } = proposal;
    const action = proposal.sentence < 0 || instead ? null : sheets[man]![proposal.sentence]!.actions[claims.action[man]!]!;
    const target = targets[man]!;
    const partners = target === NOBODY ? ALONE : partnersOf(settled, targets, man);
    // A pair whose other half bumped over is one man on his own.
    const alone = proposal.pairs && partners.length === 0;
    men.push({
      man, sentence: proposal.sentence, instead, action, target, next: claims.next[man]!, partners,
      block: instead ? proposal.job as BlockId : proposal.tooFar ? action?.then?.id ?? 'climb' : alone ? settled.lone : action?.id ?? settled.lone,
      pull: !instead && !proposal.tooFar && (action?.block.pulls ?? false),
      help: alone ? null : helpOf(scene, man, target),
    });
  }
  return { settled, men, defenders: statuses(scene, men, targets) };
}

const isBlocker = (kind: Scene['men'][number]['kind']): boolean => kind !== 'quarterback-read' && kind !== 'design';

/** Two men on one defender work together when either asked for it. */
function partnersOf({ scene: { proposals }, call: { blockers } }: Settled, targets: readonly number[], man: number): readonly number[] {
  const mine = targets[man]!;
  let partners: number[] | null = null;
  for (const other of blockers) {
    if (targets[other] === mine && other !== man && (proposals[man]!.pairs || proposals[other]!.pairs)) (partners ??= []).push(other);
  }
  return partners ?? ALONE;
}

/** A helper within three feet gives a full double; farther, one hand on the way to the linebacker. */
function helpOf(scene: Scene, man: number, target: number): ManOutcome['help'] {
  if (target === NOBODY || !scene.proposals[man]!.pairs) return null;
  return atMost(Math.abs(scene.men[man]!.x - scene.defenders[target]!.x), FULL_DOUBLE) ? 'full' : 'hand';
}

const FREE: DefenderOutcome = { status: 'free', by: ALONE };

function statuses(scene: Scene, men: readonly ManOutcome[], targets: readonly number[]): DefenderOutcome[] {
  const out = scene.defenders.map(() => FREE);
  for (const man of scene.men) {
    if (isBlocker(man.kind)) continue;
    const status = man.kind === 'design' ? 'left' : 'read';
    const { all } = scene.proposals[man.index]!;
    const target = targets[man.index]!;
    if (target !== NOBODY && out[target] === FREE) out[target] = { status, by: ALONE, rule: man.index };
    for (const d of all) if (out[d] === FREE) out[d] = { status, by: ALONE, rule: man.index };
  }
  const by = scene.defenders.map((): number[] | null => null);
  const on = scene.defenders.map(() => 0);
  for (const m of men) {
    if (m.target !== NOBODY) {
      (by[m.target] ??= []).push(m.man);
      on[m.target]!++;
    }
    if (m.next !== NOBODY && m.next !== m.target) (by[m.next] ??= []).push(m.man);
  }
  by.forEach((who, d) => {
    if (who) out[d] = { status: on[d]! >= 3 ? 'triple' : on[d] === 2 ? 'double' : 'single', by: who };
  });
  return out;
}
