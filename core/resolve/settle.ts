import { moreThan } from '../geometry/compare';
import { HAND_HELP } from '../geometry/tolerances';
import { always } from '../vocabulary/finding';
import type { BlockId } from '../vocabulary/index';
import { NOBODY, type Proposal, type Scene } from '../vocabulary/scene';
import type { TargetFinder } from '../vocabulary/word';
import { bumpOver } from './bump';
import type { CompiledAction, CompiledScheme, CompiledSentence } from './compile';
import { NO_DEFENDERS, NO_PROPOSAL } from './set-scene';

/** What settling the first level leaves behind: enough to explain every choice, without saying any of it yet. */
export interface Settled {
  readonly scene: Scene & { proposals: Proposal[] };
  /** Each man's sentences on this front, in the order he tries them. */
  readonly sheets: readonly (readonly CompiledSentence[])[];
  /** Men with rules who block: not those who stand for a read or for who is left. */
  readonly blockers: readonly number[];
  /** For each man, his refused sentences and the partner who could not come. */
  readonly refusals: readonly ReadonlyMap<number, number>[];
  /** Men who settled on the nearest man because none of their sentences could stand. */
  readonly fallbacks: readonly number[];
  /** Line of the scheme's "bump"; 0 where nobody bumps. */
  readonly bumpLine: number;
  /** The ball is snapped: who pulls, pulls. */
  readonly snapped: boolean;
  /** What a man does who takes somebody by himself whom his own sentence did not give him. */
  readonly lone: BlockId;
  /** Men whose sentences chased each other. */
  readonly cycle: readonly number[];
}

/** What binds a man after the snap when his rules are read again. */
export interface Bound {
  /** Already decided, by a follow-up or because it was decided before the snap. */
  readonly fixed: readonly (Proposal | null)[];
  /** May he use this sentence? Nobody starts or stops pulling once the ball is snapped. */
  readonly mayUse: (man: number, sentence: CompiledSentence, index: number) => boolean;
  /** What he does when none of those finds anybody. */
  readonly keeps: (man: number) => Proposal;
}

const MAX_ROUNDS = 24;
/** Rules that settle at all do so in fewer rounds; states are compared only after these. */
const PATIENCE = 6;

/**
 * First level: every man proposes by his first fitting sentence, partners answer, a refused sentence stays refused; repeated until
 * nothing changes. Men speak from the play side to the back side, then those off the line. A state that comes back is a cycle.
 */
export function settleFirstLevel(scheme: CompiledScheme, scene: Settled['scene'], bound: Bound | null = null): Settled {
  const { sheets, order, blockers, steady } = sheetsOf(scheme, scene);
  const done: boolean[] = [];
  const refusals: ReadonlyMap<number, number>[] = scene.men.map(() => NO_REFUSALS);
  let cycle: readonly number[] = NO_DEFENDERS;
  for (let round = 0; round < MAX_ROUNDS; round++) {
    cycle = untilStill(scene, { sheets, order, steady }, refusals, done, bound);
    if (!refusePartners(scene, order, refusals, done)) break;
  }
  let fallbacks = NO_DEFENDERS;
  for (const man of order) if (scene.proposals[man]!.sentence < 0 && man < scene.lineCount) fallbacks = [...fallbacks, man];
  const lone = scheme.head.throw ? 'man' : 'base';
  for (const man of fallbacks) scene.proposals[man] = nearestMan(scene, man, lone);
  const settled = { scene, sheets, blockers, refusals, fallbacks, cycle, bumpLine: scheme.bumpLine, snapped: bound !== null, lone } as const;
  if (scheme.bumpLine > 0) bumpOver(settled);
  return settled;
}

const NO_REFUSALS: ReadonlyMap<number, number> = new Map();

interface Sheets {
  readonly sheets: readonly (readonly CompiledSentence[])[];
  readonly order: readonly number[];
  readonly blockers: readonly number[];
  /** For each man how many of his first sentences ask nothing of other men: once one of them stands, it stands for good. */
  readonly steady: readonly number[];
}

const bySeating = new WeakMap<CompiledScheme, WeakMap<readonly unknown[], Sheets>>();

/** Which sentences are whose, and who speaks when: jobs go by formation, so this is the same for every front. */
function sheetsOf(scheme: CompiledScheme, scene: Scene): Sheets {
  let known = bySeating.get(scheme);
  if (!known) bySeating.set(scheme, known = new WeakMap());
  let found = known.get(scene.men);
  if (!found) {
    const sheets = scene.men.map((_, man) => scheme.sheets.filter((s) => s.includes(scene, man)).flatMap((s) => s.sentences));
    const withRules = (man: number): boolean => sheets[man]!.length > 0;
    const blockers = scene.men.map((m) => m.index).filter((man) => withRules(man) && scene.men[man]!.kind !== 'quarterback-read' && scene.men[man]!.kind !== 'design');
    const steady = sheets.map((own, man) => {
      const asks = own.findIndex((s) => s.asksOthers);
      // What is left by design is read off all of its sentences, so all of them have to be steady.
      return asks < 0 ? own.length : scene.men[man]!.kind === 'design' ? 0 : asks;
    });
    known.set(scene.men, found = { sheets, order: speakingOrder(scene).filter(withRules), blockers, steady });
  }
  return found;
}

/** Play side to back side along the line, then everybody else as seated. */
const speakingOrder = (scene: Scene): number[] => [
  ...Array.from({ length: scene.lineCount }, (_, i) => scene.lineCount - 1 - i),
  ...scene.men.slice(scene.lineCount).map((m) => m.index),
];

/** Repeats proposals until a whole round changes nothing; returns the men of a cycle, if there is one. Men who are `done` are not asked again. */
function untilStill(
  scene: Settled['scene'], { sheets, order, steady }: Pick<Sheets, 'sheets' | 'order' | 'steady'>, refusals: readonly ReadonlyMap<number, number>[], done: boolean[], bound: Bound | null,
): readonly number[] {
  let seen: Set<string> | null = null;
  for (let round = 0; ; round++) {
    let changed = false;
    const before = round > PATIENCE ? [...scene.proposals] : null;
    for (const man of order) {
      if (done[man]) continue;
      const proposal = bound?.fixed[man] ?? propose(scene, man, sheets[man]!, refusals[man]!, bound);
      changed ||= !sameProposal(proposal, scene.proposals[man]!);
      scene.proposals[man] = proposal;
      done[man] = proposal.sentence >= 0 && proposal.sentence < steady[man]!;
    }
    if (!changed) return NO_DEFENDERS;
    if (!before) continue;
    const state = scene.proposals.map((p) => `${p.sentence},${p.target},${p.all.join('+')}`).join('|');
    if (seen?.has(state)) return order.filter((man) => !sameProposal(before[man]!, scene.proposals[man]!));
    (seen ??= new Set()).add(state);
  }
}

const sameProposal = (a: Proposal, b: Proposal): boolean => a.sentence === b.sentence && a.target === b.target && a.partner === b.partner
  && a.all.length === b.all.length && a.all.every((d, i) => d === b.all[i]);

function propose(scene: Scene, man: number, sentences: readonly CompiledSentence[], refused: ReadonlyMap<number, number>, bound: Bound | null): Proposal {
  if (scene.men[man]!.kind === 'design') return proposeLeft(scene, man, sentences);
  for (let s = 0; s < sentences.length; s++) {
    if (refused.size > 0 && refused.has(s)) continue;
    const sentence = sentences[s]!;
    if (bound && !bound.mayUse(man, sentence, s)) continue;
    scene.him = NOBODY;
    if (sentence.when && !sentence.when(scene, man)) continue;
    const proposal = takeAction(scene, man, sentence, s);
    if (proposal) return proposal;
  }
  return bound?.keeps(man) ?? NO_PROPOSAL;
}

/** What is left by design is everybody any of its sentences names: nobody has to choose there. */
function proposeLeft(scene: Scene, man: number, sentences: readonly CompiledSentence[]): Proposal {
  let first: Proposal | null = null;
  const all: number[] = [];
  for (let s = 0; s < sentences.length; s++) {
    const named = leftBy(scene, man, sentences[s]!, s);
    first ??= named;
    for (const d of named?.all ?? NO_DEFENDERS) if (!all.includes(d)) all.push(d);
  }
  return first ? { ...first, all } : NO_PROPOSAL;
}

/** Whom one sentence of a man leaves, or `null`. */
export function leftBy(scene: Scene, man: number, sentence: CompiledSentence, index: number): Proposal | null {
  scene.him = NOBODY;
  if (sentence.when && !sentence.when(scene, man)) return null;
  const proposal = takeAction(scene, man, sentence, index);
  return proposal && { ...proposal, target: NOBODY, all: proposal.target === NOBODY ? proposal.all : [proposal.target] };
}

/** The first action of a sentence that has somebody to act on; linebackers are handed out later. */
function takeAction(scene: Scene, man: number, sentence: CompiledSentence, index: number): Proposal | null {
  for (let a = 0; a < sentence.actions.length; a++) {
    const action = sentence.actions[a]!;
    const { target } = action;
    if (!target || target.claim) return proposalOf(index, a, action, NOBODY);
    if (target.every) {
      const all = everyone(scene, man, target);
      if (all.length) return { ...proposalOf(index, a, action, NOBODY), all };
      continue;
    }
    const found = target.seek(scene, man, always);
    if (found === NOBODY) continue;
    if (action.block.role !== 'pair') return proposalOf(index, a, action, found);
    const mate = action.partner ? action.partner(scene, man) : NOBODY;
    if (mate === NOBODY) continue;
    const other = action.other ? action.other(scene, man) : NOBODY;
    const tooFar = isTooFar(scene, man, mate, found);
    return { ...proposalOf(index, a, action, tooFar ? NOBODY : found), partner: mate, other, pairs: !tooFar, tooFar };
  }
  return null;
}

const proposalOf = (sentence: number, action: number, { id, block }: CompiledAction, target: number): Proposal => ({
  sentence, action, target, all: NO_DEFENDERS, partner: NOBODY, other: NOBODY, job: id, pulls: block.pulls, pairs: false, tooFar: false, instead: null,
});

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
function refusePartners(scene: Scene, order: readonly number[], refusals: ReadonlyMap<number, number>[], done: boolean[]): boolean {
  let lost: [man: number, sentence: number, partner: number][] | null = null;
  for (const man of order) {
    const p = scene.proposals[man]!;
    if (!p.pairs) continue;
    const away = (mate: number): boolean => mate !== NOBODY && scene.proposals[mate]!.target !== p.target;
    const missing = away(p.partner) ? p.partner : away(p.other) ? p.other : NOBODY;
    if (missing !== NOBODY) (lost ??= []).push([man, p.sentence, missing]);
  }
  if (!lost) return false;
  for (const [man, sentence, partner] of lost) {
    refusals[man] = new Map([...refusals[man]!, [sentence, partner]]);
    done[man] = false;
  }
  return true;
}

/** With no sentence left: the man on him, else the nearest free first-level man in a gap beside him. */
function nearestMan(scene: Scene, man: number, job: BlockId): Proposal {
  const self = scene.men[man]!;
  const lo = self.backside === NOBODY ? self.x - 4 : scene.men[self.backside]!.x;
  const hi = self.playside === NOBODY ? self.x + 4 : scene.men[self.playside]!.x;
  const near = scene.first.filter((d) => scene.defenders[d]!.x > lo && scene.defenders[d]!.x < hi)
    .filter((d) => scene.on[man]!.includes(d) || !scene.proposals.some((p) => p.target === d))
    .sort((a, b) => Math.abs(scene.defenders[a]!.x - self.x) - Math.abs(scene.defenders[b]!.x - self.x));
  return { ...NO_PROPOSAL, target: near[0] ?? NOBODY, job };
}
