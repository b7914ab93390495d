import { NOBODY, type Scene } from '../vocabulary/scene';
import type { Claim, TargetFinder } from '../vocabulary/word';
import type { CompiledAction } from './compile';
import { matchWithoutCrossing } from './match-climbers';
import type { Settled } from './settle';

/** Who goes to which second-level man, at once or after his first block; -1 for nobody. */
export interface Claims {
  readonly target: readonly number[];
  readonly next: readonly number[];
  /** The action of the sentence's else-chain that each man ended up with. */
  readonly action: readonly number[];
}

interface Want {
  readonly man: number;
  /** Partners who want the same next man: one of them comes off, so the want is one. */
  readonly mates: readonly number[];
  readonly finder: TargetFinder;
  readonly later: boolean;
}

/**
 * Hands out linebackers (and others by name) after the first level is settled: named ones, then "the next free", then climbers
 * matched without crossing. Within each, a man who goes at once chooses before the next of a pair, the play side before the back side.
 */
export function claimLinebackers(settled: Settled): Claims {
  const { scene } = settled;
  const target = scene.men.map(() => NOBODY);
  const next = scene.men.map(() => NOBODY);
  const action = scene.proposals.map((p) => p.action);
  const taken = new Set<number>(scene.proposals.flatMap((p) => [p.target, ...p.all]).filter((d) => d !== NOBODY));
  const wants = collectWants(settled);
  const give = (want: Want, defender: number): void => {
    if (defender === NOBODY) return;
    taken.add(defender);
    for (const man of [want.man, ...want.mates]) (want.later ? next : target)[man] = defender;
  };
  const of = (claim: Claim, later: boolean): Want[] => wants.filter((w) => w.finder.claim === claim && w.later === later);
  for (const later of [false, true]) claimNamed(scene, of('named', later), taken, give, settled, action);
  for (const later of [false, true]) {
    for (const want of of('free', later)) {
      const found = want.finder.seek(scene, want.man, (d) => !taken.has(d));
      give(want, found !== NOBODY || later ? found : elseAction(settled, want.man, taken, action));
    }
  }
  const fixed: { man: number; defender: number }[] = [];
  for (const later of [false, true]) {
    const climbers = of('matched', later);
    const free = scene.linebackers.filter((d) => !taken.has(d));
    for (const { climber, linebacker } of matchWithoutCrossing(scene, climbers.map((w) => w.man), free, fixed)) {
      give(climbers[climber]!, linebacker);
      fixed.push({ man: climbers[climber]!.man, defender: linebacker });
    }
  }
  return { target, next, action };
}

/** Every wish for a second-level man, play side first. */
function collectWants({ scene, sheets }: Settled): Want[] {
  const wants: Want[] = [];
  const order = scene.men.map((m) => m.index).sort((a, b) => scene.men[b]!.x - scene.men[a]!.x || a - b);
  const paired = new Set<number>();
  for (const man of order) {
    const proposal = scene.proposals[man]!;
    const act = actionOf(sheets, proposal.sentence, man, proposal.action);
    if (!act) continue;
    if (proposal.tooFar) wants.push({ man, mates: [], finder: act.then?.target ?? { claim: 'matched', every: false, seek: () => NOBODY }, later: false });
    else if (act.target?.claim) wants.push({ man, mates: [], finder: act.target, later: false });
    else if (act.then && !paired.has(man)) {
      const mates = order.filter((other) => {
        const p = scene.proposals[other]!;
        return other !== man && p.target === proposal.target && p.pairs && actionOf(sheets, p.sentence, other, p.action)?.then;
      });
      mates.forEach((m) => paired.add(m));
      wants.push({ man, mates, finder: act.then.target, later: true });
    }
  }
  return wants;
}

const actionOf = (sheets: Settled['sheets'], sentence: number, man: number, action: number): CompiledAction | null =>
  (sentence < 0 ? null : sheets[man]![sentence]!.actions[action] ?? null);

/** Named men first to whoever is told them once; whoever finds his taken gets the next free one on its back side, else the next free. */
function claimNamed(
  scene: Scene, wants: readonly Want[], taken: Set<number>, give: (want: Want, defender: number) => void, settled: Settled, action: number[],
): void {
  const late: Want[] = [];
  for (const want of wants) {
    const found = want.finder.seek(scene, want.man, () => true);
    if (found !== NOBODY && !taken.has(found)) give(want, found);
    else late.push(want);
  }
  for (const want of late) {
    const other = want.later ? NOBODY : elseAction(settled, want.man, taken, action);
    if (other !== NOBODY) {
      give(want, other);
      continue;
    }
    const wanted = scene.linebackers.indexOf(want.finder.seek(scene, want.man, () => true));
    const free = (d: number): boolean => !taken.has(d);
    give(want, scene.linebackers.slice(wanted + 1).find(free) ?? scene.linebackers.find(free) ?? NOBODY);
  }
}

/** The next action of a man's sentence that has somebody free, if his first one has nobody. */
function elseAction({ scene, sheets }: Settled, man: number, taken: ReadonlySet<number>, action: number[]): number {
  const proposal = scene.proposals[man]!;
  const actions = proposal.sentence < 0 ? [] : sheets[man]![proposal.sentence]!.actions;
  for (let a = action[man]! + 1; a < actions.length; a++) {
    const found = actions[a]!.target?.seek(scene, man, (d) => !taken.has(d)) ?? NOBODY;
    if (found === NOBODY) continue;
    action[man] = a;
    return found;
  }
  return NOBODY;
}
