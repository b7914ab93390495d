import { lessThan, moreThan } from '../../geometry/compare';
import { HAND_HELP } from '../../geometry/tolerances';
import { isHeadUp } from '../../identify/line';
import { NOBODY, type Scene } from '../../vocabulary/scene';
import type { Accept } from '../../vocabulary/word';
import type { CompiledDeal } from '../prepare/seat-call';

/** A defender and the man he is dealt to, in scene indices. */
interface Dealt {
  readonly defender: number;
  readonly man: number;
}

/**
 * Shares defenders out among men by the scheme's "deal" lines: for each man his defender, -1 for nobody. Of several lines with one name
 * the first that fits is dealt; nobody is dealt twice unless a line asks for a second man on him.
 *
 * In order: the leftmost defender to the leftmost man, and so on. Otherwise whoever stands head-up or shaded on a man (on the centre:
 * head-up) stays his, those off the line go to the nearest man left, the others on the line to the men left over, in order; and when that
 * would put somebody on the line or on the edge across a man who has his own, plain order holds for all. Where men would have to go more than five
 * feet along the line for somebody on it, those on the line come first if that shortens their way and nobody’s becomes the longest. With fewer defenders than men those nearest have them.
 */
export function dealOut(deals: readonly CompiledDeal[], scene: Scene): number[] {
  const dealt = scene.men.map(() => NOBODY);
  const done = new Set<string>();
  for (const deal of deals) {
    if (done.has(deal.name) || (deal.when && !deal.when(scene, scene.posts.C))) continue;
    done.add(deal.name);
    const men = deal.men.filter((man) => dealt[man] === NOBODY);
    const rushers = namedBy(deal, scene, men.length, dealt);
    for (const { man, defender } of deal.inOrder ? shareInOrder(scene, rushers, men) : shareOut(scene, rushers, men))
      dealt[man] = defender;
    if (deal.targets.some((t) => t.inReach)) reachOut(scene, men, dealt);
  }
  return dealt;
}

/**
 * A deal after the snap: every man keeps whom he was dealt, except that two men whose men on the line have crossed pass them off: the nearest ones
 * who have somebody up front.
 * `now` finds a defender of `before` in the scene after the snap.
 */
export function carryDeal(before: Scene, after: Scene, now: (defender: number) => number): number[] {
  const dealt = before.dealt.map((d) => (d === NOBODY ? NOBODY : now(d)));
  const upFront = after.men
    .slice(0, after.lineCount)
    .map((m) => m.index)
    .filter((man) => dealt[man] !== NOBODY && after.defenders[dealt[man]!]!.level === 1);
  for (let round = 1; round < upFront.length; round++) {
    for (let i = 0; i + 1 < upFront.length; i++) {
      const [man, mate] = [upFront[i]!, upFront[i + 1]!];
      if (!moreThan(after.defenders[dealt[man]!]!.x, after.defenders[dealt[mate]!]!.x)) continue;
      [dealt[man], dealt[mate]] = [dealt[mate]!, dealt[man]!];
    }
  }
  return dealt;
}

/** Whoever is left takes the most dangerous man whom he can reach without passing one of the others who has his own. */
function reachOut(scene: Scene, men: readonly number[], dealt: number[]): void {
  for (const man of men) {
    if (dealt[man] !== NOBODY) continue;
    const owners = men.filter((m) => dealt[m] !== NOBODY);
    const inReach = scene.threats.find(
      (d) => !dealt.includes(d) && !owners.some((owner) => isAcross(scene, { man, defender: d }, owner)),
    );
    if (inReach !== undefined) dealt[man] = inReach;
  }
}

/** The defenders a line names, as many as it has men, in lateral order. */
function namedBy(deal: CompiledDeal, scene: Scene, most: number, dealt: readonly number[]): number[] {
  const found: number[] = [];
  const isNew: Accept = (_scene, _me, _him, d) => !found.includes(d) && !dealt.includes(d);
  for (const target of deal.targets) {
    do {
      const d = found.length < most ? target.seek(scene, scene.posts.C, NOBODY, isNew) : NOBODY;
      if (d === NOBODY) break;
      found.push(d);
    } while (target.every);
  }
  return found.sort((a, b) => scene.defenders[a]!.x - scene.defenders[b]!.x || a - b);
}

function shareOut(scene: Scene, rushers: readonly number[], men: readonly number[]): Dealt[] {
  const kept = keepTheirs(scene, rushers, men);
  const left = [...rushers];
  for (const { defender } of kept) left.splice(left.indexOf(defender), 1);
  const idle = men.filter((m) => !kept.some((k) => k.man === m));
  const isRusher = (d: number): boolean => scene.defenders[d]!.level === 1 || !scene.linebackers.includes(d);
  const share = (lineFirst: boolean): Dealt[] => {
    const shared = shareRest(scene, left, idle, lineFirst);
    return shared.some((s) => isRusher(s.defender) && kept.some((k) => isAcross(scene, s, k.man)))
      ? shareInOrder(scene, rushers, men)
      : [...kept, ...shared];
  };
  const dealt = share(false);
  const far = tooFar(scene, dealt);
  if (far === 0) return dealt;
  const nearer = share(true);
  return lessThan(tooFar(scene, nearer), far) && !moreThan(farthest(scene, nearer), farthest(scene, dealt))
    ? nearer
    : dealt;
}

/** Those off the line to the nearest men, the others to the men left over, in order; or so that the men on the line are near first. */
function shareRest(
  scene: Scene,
  left: readonly number[],
  idle: readonly number[],
  lineFirst: boolean,
): readonly Dealt[] {
  const backers = left.filter((d) => scene.defenders[d]!.level > 1);
  const upFront = left.filter((d) => scene.defenders[d]!.level === 1);
  let best: { costs: readonly number[]; dealt: readonly Dealt[] } | null = null;
  for (const taken of choose(idle, backers.length)) {
    const rest = shareInOrder(
      scene,
      upFront,
      idle.filter((m) => !taken.includes(m)),
    );
    const costs = [
      lineFirst ? tooFar(scene, rest) : 0,
      distanceOf(scene, zip(backers, taken)),
      distanceOf(scene, rest),
    ];
    if (!best || isLess(costs, best.costs)) best = { costs, dealt: [...zip(backers, taken), ...rest] };
  }
  return best?.dealt ?? [];
}

/** Whoever stands on a man stays his; on the centre only when he is head-up. */
function keepTheirs(scene: Scene, rushers: readonly number[], men: readonly number[]): Dealt[] {
  const kept: Dealt[] = [];
  for (const man of men) {
    const defender = (scene.on[man] ?? []).find(
      (d) => rushers.includes(d) && (man !== scene.posts.C || isHeadUp(scene.defenders[d]!.x, scene.men[man]!.x)),
    );
    if (defender !== undefined) kept.push({ man, defender });
  }
  return kept;
}

/** Would he have to come across this man, who has his own? */
function isAcross(scene: Scene, { man, defender }: Dealt, owner: number): boolean {
  const [from, to, at] = [scene.defenders[defender]!.x, scene.men[man]!.x, scene.men[owner]!.x];
  return moreThan(at, Math.min(from, to)) && lessThan(at, Math.max(from, to));
}

/** In lateral order without crossing; with men to spare, the nearest ones. */
function shareInOrder(scene: Scene, rushers: readonly number[], men: readonly number[]): Dealt[] {
  let best: Dealt[] = [];
  let least = Infinity;
  for (const taken of choose(men, Math.min(rushers.length, men.length))) {
    const dealt = zip(rushers, taken);
    const cost = distanceOf(scene, dealt);
    if (lessThan(cost, least)) [best, least] = [dealt, cost];
  }
  return best;
}

const zip = (rushers: readonly number[], men: readonly number[]): Dealt[] =>
  men.map((man, i) => ({ man, defender: rushers[i]! }));

const distanceOf = (scene: Scene, dealt: readonly Dealt[]): number =>
  dealt.reduce((sum, d) => sum + wayOf(scene, d), 0);

/** By how much, in all, men have to go farther than a step or two along the line for somebody on it, feet. */
const tooFar = (scene: Scene, dealt: readonly Dealt[]): number =>
  dealt.reduce(
    (sum, d) => (scene.defenders[d.defender]!.level > 1 ? sum : sum + Math.max(0, wayOf(scene, d) - HAND_HELP)),
    0,
  );

const wayOf = (scene: Scene, { man, defender }: Dealt): number =>
  Math.abs(scene.men[man]!.x - scene.defenders[defender]!.x);

const farthest = (scene: Scene, dealt: readonly Dealt[]): number => Math.max(...dealt.map((d) => wayOf(scene, d)));

/** The first cost that differs decides. */
function isLess(a: readonly number[], b: readonly number[]): boolean {
  for (const [i, cost] of a.entries()) {
    if (lessThan(cost, b[i]!)) return true;
    if (moreThan(cost, b[i]!)) return false;
  }
  return false;
}

/** Every choice of `n` out of a list, in the list's order; choices from its end come first. */
function choose(list: readonly number[], n: number): number[][] {
  if (n === 0) return [[]];
  const all: number[][] = [];
  for (let i = list.length - 1; i >= n - 1; i--)
    for (const before of choose(list.slice(0, i), n - 1)) all.push([...before, list[i]!]);
  return all;
}
