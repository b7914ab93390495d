import { bitOf, has } from '../../geometry/bits';
import { moreThan } from '../../geometry/compare';
import { HAND_HELP } from '../../geometry/tolerances';
import { always } from '../../vocabulary/finding';
import { LONE_BLOCK, type BlockId } from '../../vocabulary/index';
import { NOBODY, type Proposal, type Scene } from '../../vocabulary/scene';
import type { TargetFinder } from '../../vocabulary/word';
import { bumpOver } from './bump';
import { naming, NO_DEFENDERS, NO_PROPOSAL, onto, openProposal, pairing, later } from '../prepare/proposals';
import { FAILS } from '../prepare/phrase';
import type { SeatedCall } from '../prepare/seat-call';
import { choicesOf, type OpenScene } from './set-scene';
import type { Bound, Settled } from './settled';
import type { CompiledSentence } from '../prepare/sentence';

const MAX_ROUNDS = 24;
/** Rules that settle at all do so in fewer rounds; states are compared only after these. */
const PATIENCE = 6;

/**
 * First level: every man proposes by his first fitting sentence, partners answer, a refused sentence stays refused; repeated until
 * nothing changes. Men speak from the play side to the back side, then those off the line. A state that comes back is a cycle.
 */
export function settleFirstLevel(call: SeatedCall, scene: OpenScene, bound: Bound | null = null): Settled {
  const { scheme, sheets, order } = call;
  const refusals = call.noRefusals.slice();
  const asking: Asking = { toAsk: EVERYBODY, done: NOBODY_YET };
  let cycle: readonly number[] = NO_DEFENDERS;
  for (let round = 0; round < MAX_ROUNDS; round++) {
    cycle = untilStill(scene, call, refusals, asking, bound);
    const refused = refusePartners(scene, order, refusals);
    if (refused.length === 0) break;
    for (const man of refused) {
      asking.done &= ~bitOf(man);
      asking.toAsk |= bitOf(man);
    }
  }
  const chosen = choicesOf(scene);
  let fallbacks = NO_DEFENDERS;
  for (const man of order)
    if (scene.proposals[man]!.sentence < 0 && man < scene.lineCount) fallbacks = [...fallbacks, man];
  const lone = LONE_BLOCK[scheme.head.throw ? 'pass' : 'run'];
  for (const man of fallbacks) scene.propose(man, nearestMan(scene, man, lone));
  const settled: Settled = {
    scene,
    chosen,
    call,
    sheets,
    refusals,
    fallbacks,
    cycle,
    bumpLine: scheme.bumpLine,
    bound,
    lone,
    own: [],
  };
  if (scheme.bumpLine > 0) bumpOver(settled);
  return settled;
}

const EVERYBODY = -1;
const NOBODY_YET = 0;

/**
 * Who is to be asked, a bit for each: with nothing new among the choices he looks at a man would say the same again. And who is done: he is
 * not asked again, whatever the others choose.
 */
interface Asking {
  toAsk: number;
  done: number;
}

/** Repeats proposals until a whole round changes nothing; returns the men of a cycle, if there is one. */
function untilStill(
  scene: OpenScene,
  call: SeatedCall,
  refusals: readonly ReadonlyMap<number, number>[],
  asking: Asking,
  bound: Bound | null,
): readonly number[] {
  const { order, steady, watchers } = call;
  let seen: Set<string> | null = null;
  for (let round = 0; ; round++) {
    let changed = false;
    const before = round > PATIENCE ? [...scene.proposals] : null;
    for (const man of order) {
      if (!has(asking.toAsk & ~asking.done, man)) continue;
      asking.toAsk &= ~bitOf(man);
      const runs = bound ? bound.running(man) : null;
      const proposal = bound?.fixed[man] ?? runs ?? propose(scene, man, call, refusals[man]!, bound);
      if (!sameProposal(proposal, scene.proposals[man]!)) {
        changed = true;
        asking.toAsk |= bound ? EVERYBODY : watchers[man]!;
        scene.propose(man, proposal);
      }
      const isDone = !runs && (proposal.sentence < 0 ? call.sheets[man]!.length : proposal.sentence) < steady[man]!;
      if (isDone) asking.done |= bitOf(man);
    }
    if (!changed) return NO_DEFENDERS;
    if (!before) continue;
    const state = scene.proposals.map((p) => `${p.sentence},${p.target},${p.all.join('+')}`).join('|');
    if (seen?.has(state)) return order.filter((man) => !sameProposal(before[man]!, scene.proposals[man]!));
    (seen ??= new Set()).add(state);
  }
}

const sameProposal = (a: Proposal, b: Proposal): boolean =>
  a === b ||
  (a.sentence === b.sentence &&
    a.target === b.target &&
    a.him === b.him &&
    a.partner === b.partner &&
    (a.all === b.all || (a.all.length === b.all.length && a.all.every((d, i) => d === b.all[i]))));

function propose(
  scene: Scene,
  man: number,
  { sheets, called }: SeatedCall,
  refused: ReadonlyMap<number, number>,
  bound: Bound | null,
): Proposal {
  const sentences = sheets[man]!;
  if (scene.men[man]!.kind === 'design') return proposeLeft(scene, man, sentences);
  for (const s of called[man]!) {
    if (refused.size > 0 && refused.has(s)) continue;
    const sentence = sentences[s]!;
    if (bound && !bound.mayUse(man, sentence, s)) continue;
    const him = sentence.when ? sentence.when(scene, man, NOBODY) : NOBODY;
    if (him === FAILS) continue;
    const proposal = takeAction(scene, man, him, sentence);
    if (!proposal || (bound && !proposal.pairs && bound.isHad(man, proposal.target))) continue;
    return proposal;
  }
  return bound?.keeps(man) ?? NO_PROPOSAL;
}

/** What is left by design is everybody any of its sentences names: nobody has to choose there. */
function proposeLeft(scene: Scene, man: number, sentences: readonly CompiledSentence[]): Proposal {
  let first: Proposal | null = null;
  const all: number[] = [];
  for (let s = 0; s < sentences.length; s++) {
    const named = leftBy(scene, man, sentences[s]!);
    first ??= named;
    for (const d of named?.all ?? NO_DEFENDERS) if (!all.includes(d)) all.push(d);
  }
  return first ? naming(first, NOBODY, all) : NO_PROPOSAL;
}

/** Whom one sentence of a man leaves, or `null`. */
export function leftBy(scene: Scene, man: number, sentence: CompiledSentence): Proposal | null {
  const him = sentence.when ? sentence.when(scene, man, NOBODY) : NOBODY;
  if (him === FAILS) return null;
  const proposal = takeAction(scene, man, him, sentence);
  return proposal && (proposal.target === NOBODY ? proposal : naming(proposal, him, [proposal.target]));
}

/** The first action of a sentence that has somebody to act on; linebackers are handed out later. */
export function takeAction(scene: Scene, man: number, him: number, { actions }: CompiledSentence): Proposal | null {
  for (const { open, block, target, partner, other } of actions) {
    if (!target || target.claim) return later(open, him);
    if (target.every) {
      const all = everyone(scene, man, him, target);
      if (all.length) return naming(open, him, all);
      continue;
    }
    const found = target.seek(scene, man, him, always);
    if (found === NOBODY) continue;
    if (block.role !== 'pair') return onto(open, him, found);
    const mate = partner ? partner(scene, man) : NOBODY;
    if (mate === NOBODY) continue;
    return pairing(open, him, found, mate, other ? other(scene, man) : NOBODY, isTooFar(scene, man, mate, found));
  }
  return null;
}

function everyone(scene: Scene, man: number, him: number, target: TargetFinder): number[] {
  const all: number[] = [];
  for (
    let d = target.seek(scene, man, him, always);
    d !== NOBODY;
    d = target.seek(scene, man, him, (_scene, _man, _him, x) => !all.includes(x))
  )
    all.push(d);
  return all;
}

/** The farther man of a pair, more than five feet to the side of the man to be doubled, goes to the next level at once. */
function isTooFar({ men, defenders }: Scene, man: number, mate: number, defender: number): boolean {
  const { x } = defenders[defender]!;
  const away = Math.abs(men[man]!.x - x);
  return moreThan(away, HAND_HELP) && away >= Math.abs(men[mate]!.x - x);
}

/** Pairs whose partner is not on the same man are refused; returns the men who asked for them. */
function refusePartners(scene: Scene, order: readonly number[], refusals: ReadonlyMap<number, number>[]): number[] {
  const refused: number[] = [];
  for (const man of order) {
    const { pairs, sentence, partner, other, target } = scene.proposals[man]!;
    if (!pairs) continue;
    const missing = isElsewhere(scene, partner, target) ? partner : isElsewhere(scene, other, target) ? other : NOBODY;
    if (missing === NOBODY) continue;
    refusals[man] = new Map([...refusals[man]!, [sentence, missing]]);
    refused.push(man);
  }
  return refused;
}

const isElsewhere = ({ proposals }: Scene, mate: number, defender: number): boolean =>
  mate !== NOBODY && proposals[mate]!.target !== defender;

/** With no sentence left: the man on him, else the nearest free first-level man in a gap beside him. */
function nearestMan(scene: Scene, man: number, job: BlockId): Proposal {
  const self = scene.men[man]!;
  const lo = self.backside === NOBODY ? self.x - 4 : scene.men[self.backside]!.x;
  const hi = self.playside === NOBODY ? self.x + 4 : scene.men[self.playside]!.x;
  const near = scene.first
    .filter((d) => scene.defenders[d]!.x > lo && scene.defenders[d]!.x < hi)
    .filter((d) => scene.on[man]!.includes(d) || scene.owners[d] === 0)
    .sort((a, b) => Math.abs(scene.defenders[a]!.x - self.x) - Math.abs(scene.defenders[b]!.x - self.x));
  return onto(openProposal(NOBODY, 0, job, false), NOBODY, near[0] ?? NOBODY);
}
