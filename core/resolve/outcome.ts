import { FULL_DOUBLE } from '../geometry/tolerances';
import { atMost } from '../geometry/compare';
import type { DefenderStatus } from '../model/resolution';
import type { BlockId } from '../vocabulary/index';
import { NOBODY, type Scene } from '../vocabulary/scene';
import { claimLinebackers } from './claim-linebackers';
import type { CompiledAction } from './compile';
import type { Settled } from './settle';

/** The decision record of one resolution, in scene indices: compact, and all that explanations are built from. */
export interface Outcome {
  readonly settled: Settled;
  readonly men: readonly ManOutcome[];
  readonly defenders: readonly { status: DefenderStatus; by: readonly number[] }[];
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
  readonly help: 'full' | 'hand' | null;
}

/** Hands out the second level and reads off who has whom. */
export function settleOutcome(settled: Settled): Outcome {
  const { scene, sheets } = settled;
  const claims = claimLinebackers(settled);
  // A man off the line whose rules ask nothing of him here plays his own part and is no blocker.
  const blocks = (m: Scene['men'][number]): boolean => isBlocker(m.kind) && sheets[m.index]!.length > 0
    && (m.index < scene.lineCount || scene.proposals[m.index]!.sentence >= 0);
  const plans = scene.men.filter(blocks).map(({ index: man }) => {
    const proposal = scene.proposals[man]!;
    const action = proposal.sentence < 0 ? null : sheets[man]![proposal.sentence]!.actions[claims.action[man]!]!;
    const target = proposal.target === NOBODY ? claims.target[man]! : proposal.target;
    const block: BlockId = proposal.tooFar ? action?.then?.id ?? 'climb' : action?.id ?? 'base';
    return { man, sentence: proposal.sentence, block, action, target, next: claims.next[man]!, pull: !proposal.tooFar && (action?.block.pulls ?? false) };
  });
  const men = plans.map((plan): ManOutcome => {
    const partners = plan.target === NOBODY ? [] : plans.filter((p) => p.man !== plan.man && p.target === plan.target && works(scene, p.man, plan.man)).map((p) => p.man);
    return { ...plan, partners, help: helpOf(scene, plan.man, plan.target) };
  });
  return { settled, men, defenders: scene.defenders.map((d) => statusOf(scene, men, d.index)) };
}

const isBlocker = (kind: Scene['men'][number]['kind']): boolean => kind !== 'quarterback-read' && kind !== 'design';

/** Two men on one defender work together when either asked for it. */
const works = (scene: Scene, a: number, b: number): boolean => scene.proposals[a]!.pairs || scene.proposals[b]!.pairs;

/** A helper within three feet gives a full double; farther, one hand on the way to the linebacker. */
function helpOf(scene: Scene, man: number, target: number): ManOutcome['help'] {
  if (target === NOBODY || !scene.proposals[man]!.pairs) return null;
  return atMost(Math.abs(scene.men[man]!.x - scene.defenders[target]!.x), FULL_DOUBLE) ? 'full' : 'hand';
}

function statusOf(scene: Scene, men: readonly ManOutcome[], defender: number): Outcome['defenders'][number] {
  const by = men.filter((m) => m.target === defender || m.next === defender);
  const onHim = men.filter((m) => m.target === defender).length;
  if (by.length > 0) return { status: onHim >= 3 ? 'triple' : onHim === 2 ? 'double' : 'single', by: by.map((m) => m.man) };
  const named = scene.men.find((m) => !isBlocker(m.kind) && (scene.proposals[m.index]!.target === defender || scene.proposals[m.index]!.all.includes(defender)));
  if (named) return { status: named.kind === 'design' ? 'left' : 'read', by: [] };
  return { status: 'free', by: [] };
}
