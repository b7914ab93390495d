import { NOBODY, type Scene } from '../vocabulary/scene';
import type { Claim, TargetFinder } from '../vocabulary/word';
import { change, nearestFreeMan } from './bump';
import type { CompiledAction } from './sentence';
import { matchWithoutCrossing, type FixedPair } from './match-climbers';
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

const ALONE: readonly number[] = [];
const ANYBODY: TargetFinder = { claim: 'matched', every: false, seek: () => NOBODY };

/**
 * Hands out linebackers (and others by name) after the first level is settled: named ones, then "the next free", then climbers
 * matched without crossing, then whoever scans. Within each, a man who goes at once chooses before the next of a pair, the play side before the back side.
 */
export const claimLinebackers = (settled: Settled): Claims => new Handout(settled).run();

class Handout {
  private readonly scene: Scene;
  private readonly target: number[];
  private readonly next: number[];
  private readonly action: number[];
  private readonly taken: boolean[];
  private readonly free = (d: number): boolean => !this.taken[d];

  constructor(private readonly settled: Settled) {
    const { scene } = settled;
    this.scene = scene;
    this.target = scene.men.map(() => NOBODY);
    this.next = scene.men.map(() => NOBODY);
    this.action = scene.proposals.map((p) => p.action);
    this.taken = scene.defenders.map(() => false);
    for (const p of scene.proposals) {
      if (p.target !== NOBODY) this.taken[p.target] = true;
      for (const d of p.all) this.taken[d] = true;
    }
  }

  run(): Claims {
    const wants = this.collectWants();
    this.claimNamed(wants, false);
    this.claimNamed(wants, true);
    this.claimFree(wants, 'free');
    const fixed: FixedPair[] = [];
    this.matchClimbers(wants, false, fixed);
    this.matchClimbers(wants, true, fixed);
    this.claimFree(wants, 'last');
    if (this.settled.bumpLine > 0) this.nobodyIdle();
    return { target: this.target, next: this.next, action: this.action };
  }

  private give({ man, mates, later }: Want, defender: number): void {
    if (defender === NOBODY) return;
    this.taken[defender] = true;
    const list = later ? this.next : this.target;
    list[man] = defender;
    for (const mate of mates) list[mate] = defender;
  }

  /** Every wish for a second-level man, play side first. */
  private collectWants(): Want[] {
    const { scene } = this;
    const wants: Want[] = [];
    const paired = new Set<number>();
    for (const man of this.settled.call.across) {
      const proposal = scene.proposals[man]!;
      if (proposal.instead === 'on' || proposal.instead === 'climb') wants.push({ man, mates: ALONE, finder: ANYBODY, later: false });
      const act = this.actionOf(man);
      if (!act) continue;
      if (proposal.tooFar) wants.push({ man, mates: ALONE, finder: act.then?.target ?? ANYBODY, later: false });
      else if (act.target?.claim) {
        wants.push({ man, mates: ALONE, finder: act.target, later: false });
        if (act.then) wants.push({ man, mates: ALONE, finder: act.then.target, later: true });
      }
      else if (act.then && !paired.has(man) && !this.leftAlone(man)) {
        const mates = proposal.pairs ? this.settled.call.across.filter((other) => other !== man && this.comesOffToo(other, proposal.target)) : ALONE;
        for (const mate of mates) paired.add(mate);
        wants.push({ man, mates, finder: act.then.target, later: true });
      }
    }
    return wants;
  }

  /** His partner bumped over: he stays on his man. */
  private leftAlone(man: number): boolean {
    const { proposals } = this.scene;
    const { partner, target, pairs } = proposals[man]!;
    return pairs && proposals[partner]!.instead !== null && !proposals.some((p, mate) => mate !== man && p.target === target);
  }

  private comesOffToo(other: number, defender: number): boolean {
    const p = this.scene.proposals[other]!;
    return p.pairs && p.target === defender && this.actionOf(other)?.then != null;
  }

  private actionOf(man: number): CompiledAction | null {
    const { sentence, action, instead } = this.scene.proposals[man]!;
    return sentence < 0 || instead !== null ? null : this.settled.sheets[man]![sentence]!.actions[action] ?? null;
  }

  /** Named men first to whoever is told them once; whoever finds his taken gets the next free one on its back side, else the next free. */
  private claimNamed(wants: readonly Want[], later: boolean): void {
    const { scene } = this;
    const late: Want[] = [];
    for (const want of wants) {
      if (!is(want, 'named', later)) continue;
      const found = want.finder.seek(scene, want.man, any);
      if (found !== NOBODY && !this.taken[found]) this.give(want, found);
      else late.push(want);
    }
    for (const want of late) {
      const other = later ? NOBODY : this.elseAction(want.man);
      if (other !== NOBODY) {
        this.give(want, other);
        continue;
      }
      const wanted = scene.linebackers.indexOf(want.finder.seek(scene, want.man, any));
      this.give(want, scene.linebackers.slice(wanted + 1).find(this.free) ?? scene.linebackers.find(this.free) ?? NOBODY);
    }
  }

  /** Whoever takes the next one nobody has: at once before later, the play side before the back side. */
  private claimFree(wants: readonly Want[], claim: 'free' | 'last'): void {
    for (const later of [false, true]) {
      for (const want of wants) {
        if (!is(want, claim, later)) continue;
        const found = want.finder.seek(this.scene, want.man, this.free);
        this.give(want, found !== NOBODY || later ? found : this.elseAction(want.man));
      }
    }
  }

  private matchClimbers(wants: readonly Want[], later: boolean, fixed: FixedPair[]): void {
    const climbers = wants.filter((w) => is(w, 'matched', later));
    if (climbers.length === 0) return;
    const free = this.scene.linebackers.filter(this.free);
    const found = free.length ? matchWithoutCrossing(this.scene, climbers.map((w) => w.man), free, fixed) : [];
    climbers.forEach((want, i) => {
      const defender = free[found[i]!];
      if (defender === undefined) return;
      this.give(want, defender);
      fixed.push({ man: want.man, defender });
    });
    if (!later) for (const want of climbers) if (this.target[want.man] === NOBODY) this.give(want, this.elseAction(want.man));
  }

  /** Where men bump over, a lineman with nobody at all takes the nearest man of the box nobody has. */
  private nobodyIdle(): void {
    const { scene } = this;
    for (let man = scene.lineCount - 1; man >= 0; man--) {
      if (this.settled.sheets[man]!.length === 0 || scene.proposals[man]!.target !== NOBODY || this.target[man] !== NOBODY) continue;
      if (this.settled.snapped && scene.proposals[man]!.pulls) continue;
      const found = nearestFreeMan(scene, man, this.free);
      if (found === NOBODY) continue;
      change(this.settled, man, NOBODY, 'over');
      this.give({ man, mates: ALONE, finder: ANYBODY, later: false }, found);
    }
  }

  /** The next action of a man's sentence that has somebody free, if his first one has nobody. */
  private elseAction(man: number): number {
    const proposal = this.scene.proposals[man]!;
    const actions = proposal.sentence < 0 || proposal.instead !== null ? [] : this.settled.sheets[man]![proposal.sentence]!.actions;
    for (let a = this.action[man]! + 1; a < actions.length; a++) {
      const found = actions[a]!.target?.seek(this.scene, man, this.free) ?? NOBODY;
      if (found === NOBODY) continue;
      this.action[man] = a;
      return found;
    }
    return NOBODY;
  }
}

const any = (): boolean => true;
const is = (want: Want, claim: Claim, later: boolean): boolean => want.later === later && want.finder.claim === claim;

