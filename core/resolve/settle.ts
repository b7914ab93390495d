import { HAND_HELP } from '../geometry/tolerances';
import { moreThan } from '../geometry/compare';
import { always } from '../vocabulary/finding';
import { NOBODY, type Proposal, type Scene } from '../vocabulary/scene';
import type { TargetFinder } from '../vocabulary/word';
import type { CompiledScheme, CompiledSentence } from './compile';
import { emptyProposal } from './set-scene';

/** What settling the first level leaves behind: enough to explain every choice, without saying any of it yet. */
export interface Settled {
  readonly scene: Scene & { proposals: Proposal[] };
  /** Each man's sentences on this front, in the order he tries them. */
  readonly sheets: readonly (readonly CompiledSentence[])[];
  /** For each man, his refused sentences and the partner who could not come. */
  readonly refusals: readonly ReadonlyMap<number, number>[];
  /** Men who settled on the nearest man because none of their sentences could stand. */
  readonly fallbacks: readonly number[];
  /** Men whose sentences chased each other. */
  readonly cycle: readonly number[];
}

const MAX_ROUNDS = 24;

/**
 * First level: every man proposes by his first fitting sentence, partners answer, a refused sentence stays refused; repeated until
 * nothing changes. Men speak from the play side to the back side, then those off the line. A state that comes back is a cycle.
 */
export function settleFirstLevel(scheme: CompiledScheme, scene: Settled['scene']): Settled {
  const sheets = scene.men.map((_, man) => scheme.sheets.filter((s) => s.includes(scene, man)).flatMap((s) => s.sentences));
  const refusals = scene.men.map(() => new Map<number, number>());
  const order = speakingOrder(scene).filter((man) => sheets[man]!.length > 0);
  let cycle: number[] = [];
  for (let round = 0; round < MAX_ROUNDS; round++) {
    cycle = untilStill(scene, sheets, refusals, order);
    const refused = refusePartners(scene, order, refusals);
    if (!refused) break;
  }
  const fallbacks = order.filter((man) => scene.proposals[man]!.sentence < 0 && man < scene.lineCount);
  for (const man of fallbacks) scene.proposals[man] = nearestMan(scene, man);
  return { scene, sheets, refusals, fallbacks, cycle };
}

/** Play side to back side along the line, then everybody else as seated. */
const speakingOrder = (scene: Scene): number[] => [
  ...Array.from({ length: scene.lineCount }, (_, i) => scene.lineCount - 1 - i),
  ...scene.men.slice(scene.lineCount).map((m) => m.index),
];

/** Repeats proposals until a whole round changes nothing; returns the men of a cycle, if there is one. */
function untilStill(scene: Settled['scene'], sheets: Settled['sheets'], refusals: readonly Map<number, number>[], order: readonly number[]): number[] {
  const seen = new Set<string>();
  for (;;) {
    const changed: number[] = [];
    for (const man of order) {
      const proposal = propose(scene, man, sheets[man]!, refusals[man]!);
      if (!sameProposal(proposal, scene.proposals[man]!)) changed.push(man);
      scene.proposals[man] = proposal;
    }
    if (changed.length === 0) return [];
    const state = scene.proposals.map((p) => `${p.sentence},${p.target},${p.all.join('+')}`).join('|');
    if (seen.has(state)) return changed;
    seen.add(state);
  }
}

const sameProposal = (a: Proposal, b: Proposal): boolean =>
  a.sentence === b.sentence && a.target === b.target && a.partner === b.partner && a.all.length === b.all.length && a.all.every((d, i) => d === b.all[i]);

function propose(scene: Scene, man: number, sentences: readonly CompiledSentence[], refused: ReadonlyMap<number, number>): Proposal {
  for (let s = 0; s < sentences.length; s++) {
    if (refused.has(s)) continue;
    const sentence = sentences[s]!;
    scene.him = NOBODY;
    if (sentence.when && !sentence.when(scene, man)) continue;
    const proposal = takeAction(scene, man, sentence, s);
    if (proposal) return proposal;
  }
  return emptyProposal();
}

/** The first action of a sentence that has somebody to act on; linebackers are handed out later. */
function takeAction(scene: Scene, man: number, sentence: CompiledSentence, index: number): Proposal | null {
  for (let a = 0; a < sentence.actions.length; a++) {
    const { target, partner, block } = sentence.actions[a]!;
    const base = { ...emptyProposal(), sentence: index, action: a };
    if (!target || target.claim) return base;
    if (target.every) {
      const all = everyone(scene, man, target);
      if (all.length) return { ...base, all };
      continue;
    }
    const found = target.seek(scene, man, always);
    if (found === NOBODY) continue;
    const mate = partner ? partner(scene, man) : NOBODY;
    if (block.role === 'pair' && mate === NOBODY) continue;
    const pairs = block.role === 'pair';
    const tooFar = pairs && isTooFar(scene, man, mate, found);
    return { ...base, target: tooFar ? NOBODY : found, partner: mate, pairs: pairs && !tooFar, tooFar };
  }
  return null;
}

function everyone(scene: Scene, man: number, target: TargetFinder): number[] {
  const all: number[] = [];
  for (let d = target.seek(scene, man, always); d !== NOBODY; d = target.seek(scene, man, (x) => !all.includes(x))) all.push(d);
  return all;
}

/** The farther man of a pair, more than five feet to the side of the man to be doubled, goes to the next level at once. */
function isTooFar(scene: Scene, man: number, mate: number, defender: number): boolean {
  const away = (who: number): number => Math.abs(scene.men[who]!.x - scene.defenders[defender]!.x);
  return moreThan(away(man), HAND_HELP) && away(man) >= away(mate);
}

/** Pairs whose partner is not on the same man are refused; true when any was. */
function refusePartners(scene: Scene, order: readonly number[], refusals: readonly Map<number, number>[]): boolean {
  const refused = order.filter((man) => {
    const p = scene.proposals[man]!;
    return p.pairs && scene.proposals[p.partner]!.target !== p.target;
  });
  for (const man of refused) refusals[man]!.set(scene.proposals[man]!.sentence, scene.proposals[man]!.partner);
  return refused.length > 0;
}

/** With no sentence left: the man on him, else the nearest free first-level man in a gap beside him. */
function nearestMan(scene: Scene, man: number): Proposal {
  const self = scene.men[man]!;
  const lo = self.backside === NOBODY ? self.x - 4 : scene.men[self.backside]!.x;
  const hi = self.playside === NOBODY ? self.x + 4 : scene.men[self.playside]!.x;
  const near = scene.first.filter((d) => scene.defenders[d]!.x > lo && scene.defenders[d]!.x < hi)
    .filter((d) => Math.abs(scene.defenders[d]!.x - self.x) <= 1.5 || !scene.proposals.some((p) => p.target === d))
    .sort((a, b) => Math.abs(scene.defenders[a]!.x - self.x) - Math.abs(scene.defenders[b]!.x - self.x));
  return { ...emptyProposal(), target: near[0] ?? NOBODY };
}
