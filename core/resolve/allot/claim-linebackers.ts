import { always } from '../../vocabulary/finding';
import { NOBODY, type Proposal, type Scene } from '../../vocabulary/scene';
import type { Accept, Claim, TargetFinder } from '../../vocabulary/word';
import { change, nearestFreeMan } from '../settle/bump';
import type { CompiledAction } from '../prepare/sentence';
import { matchWithoutCrossing, type FixedPair } from './match-climbers';
import { NO_DEFENDERS } from '../prepare/proposals';
import type { Settled } from '../settle/settled';
import { uncross } from './uncross';

/** Whom everybody blocks first and next, those on the line included; -1 for nobody. */
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
  /** Whom his sentence calls "him". */
  readonly him: number;
  readonly later: boolean;
}

const ALONE: readonly number[] = [];
const ANYBODY: TargetFinder = { claim: 'matched', every: false, seek: () => NOBODY };

/**
 * Hands out linebackers (and others by name) after the first level is settled: named ones, those of pairs included; then, of the men who
 * go at once, "the next free" and the climbers, matched without crossing; then the same for the next of pairs; last whoever scans. The play side
 * chooses before the back side.
 */
export const claimLinebackers = (settled: Settled): Claims => new Handout(settled).run();

class Handout {
  private readonly scene: Scene;
  private readonly target: number[];
  private readonly next: number[];
  private readonly action: number[];
  private readonly taken: boolean[];
  private readonly free: Accept = (_scene, _man, _him, d) => !this.taken[d];
  /** Free, or left or read only as long as nobody else has him. */
  private readonly spare: Accept = (_scene, _man, _him, d) => !this.taken[d] || this.whoGiveWay().includes(d);
  private givingWay: number[] | null = null;

  constructor(private readonly settled: Settled) {
    const { scene } = settled;
    this.scene = scene;
    this.target = [];
    this.next = settled.call.noNext.slice();
    this.action = [];
    for (const { target, action } of scene.proposals) {
      this.target.push(target);
      this.action.push(action);
    }
    this.taken = scene.owners.map((owners) => owners > 0);
  }

  run(): Claims {
    const wants = this.collectWants();
    if (wants.length > 0) {
      this.claimNamed(wants, false);
      this.claimNamed(wants, true);
      this.claimFree(wants, 'free', false);
      const fixed: FixedPair[] = [];
      this.matchClimbers(wants, false, fixed);
      this.claimFree(wants, 'free', true);
      this.matchClimbers(wants, true, fixed);
      this.claimFree(wants, 'last', false);
      this.claimFree(wants, 'last', true);
    }
    if (this.settled.bumpLine > 0) {
      this.nobodyIdle();
      uncross(this.settled, this.target);
    }
    return { target: this.target, next: this.next, action: this.action };
  }

  private give({ man, mates, later }: Want, defender: number): void {
    if (defender === NOBODY) return;
    this.taken[defender] = true;
    if (this.givingWay) this.givingWay = this.givingWay.filter((d) => d !== defender);
    const list = later ? this.next : this.target;
    list[man] = defender;
    for (const mate of mates) list[mate] = defender;
  }

  /** Every wish for a second-level man, play side first. */
  private collectWants(): Want[] {
    const wants: Want[] = [];
    let paired = ALONE;
    for (const man of this.settled.call.across) {
      const proposal = this.scene.proposals[man]!;
      if (proposal.instead === 'on' || proposal.instead === 'climb')
        wants.push({ man, mates: ALONE, finder: ANYBODY, him: proposal.him, later: false });
      const act = this.actionOf(man);
      if (!act) continue;
      const { target, then } = act;
      if (proposal.tooFar)
        wants.push({ man, mates: ALONE, finder: then?.target ?? ANYBODY, him: proposal.him, later: false });
      else if (target?.claim) {
        wants.push({ man, mates: ALONE, finder: target, him: proposal.him, later: false });
        if (then) wants.push({ man, mates: ALONE, finder: then.target, him: proposal.him, later: true });
      } else if (then && !paired.includes(man) && !this.leftAlone(man)) {
        const mates = proposal.pairs ? this.comingOffToo(man, proposal.target) : ALONE;
        if (mates.length) paired = [...paired, ...mates];
        wants.push({ man, mates, finder: then.target, him: proposal.him, later: true });
      }
    }
    return wants;
  }

  /** His partner bumped over: he stays on his man. */
  private leftAlone(man: number): boolean {
    const { proposals } = this.scene;
    const { partner, target, pairs } = proposals[man]!;
    return (
      pairs && proposals[partner]!.instead !== null && !proposals.some((p, mate) => mate !== man && p.target === target)
    );
  }

  /** The others of his pair who are to come off as well: one of them does. Two men who help one man from either side are no pair; each comes off. */
  private comingOffToo(man: number, defender: number): readonly number[] {
    const { proposals } = this.scene;
    let mates: number[] | null = null;
    for (const other of this.settled.call.across) {
      const { pairs, target } = proposals[other]!;
      if (
        pairs &&
        target === defender &&
        other !== man &&
        (asks(proposals[man]!, other) || asks(proposals[other]!, man)) &&
        this.actionOf(other)?.then
      )
        (mates ??= []).push(other);
    }
    return mates ?? ALONE;
  }

  private actionOf(man: number): CompiledAction | null {
    const { sentence, action, instead } = this.scene.proposals[man]!;
    return sentence < 0 || instead !== null ? null : (this.settled.sheets[man]![sentence]!.actions[action] ?? null);
  }

  /** Named men first to whoever is told them once; whoever finds his taken gets the next free one on its back side, else the next free. */
  private claimNamed(wants: readonly Want[], later: boolean): void {
    const { scene } = this;
    let late: Want[] | null = null;
    for (const want of wants) {
      if (!is(want, 'named', later)) continue;
      const found = want.finder.seek(scene, want.man, want.him, always);
      if (found !== NOBODY && !this.taken[found]) this.give(want, found);
      else (late ??= []).push(want);
    }
    if (!late) return;
    for (const want of late) {
      const other = later ? NOBODY : this.elseAction(want.man);
      if (other !== NOBODY) {
        this.give(want, other);
        continue;
      }
      const wanted = scene.linebackers.indexOf(want.finder.seek(scene, want.man, want.him, always));
      this.give(want, this.nextFree(wanted));
    }
  }

  /** The next one down the list nobody has, else any. */
  private nextFree(after: number): number {
    const isFree = (d: number): boolean => !this.taken[d];
    const { linebackers } = this.scene;
    return linebackers.slice(after + 1).find(isFree) ?? linebackers.find(isFree) ?? NOBODY;
  }

  /** Whoever takes the next one nobody has: the play side before the back side. */
  private claimFree(wants: readonly Want[], claim: 'free' | 'last', later: boolean): void {
    for (const want of wants) {
      if (!is(want, claim, later)) continue;
      const found = want.finder.seek(this.scene, want.man, want.him, this.free);
      this.give(want, found !== NOBODY || later ? found : this.elseAction(want.man));
    }
  }

  private matchClimbers(wants: readonly Want[], later: boolean, fixed: FixedPair[]): void {
    const climbers: Want[] = [];
    const men: number[] = [];
    for (const want of wants) {
      if (!is(want, 'matched', later)) continue;
      climbers.push(want);
      men.push(want.man);
    }
    if (men.length === 0) return;
    const free: number[] = [];
    for (const d of this.scene.linebackers) if (!this.taken[d]) free.push(d);
    const found = free.length ? matchWithoutCrossing(this.scene, men, free, fixed) : NO_DEFENDERS;
    for (let i = 0; i < found.length; i++) {
      if (found[i]! < 0) continue;
      const defender = free[found[i]!]!;
      this.give(climbers[i]!, defender);
      fixed.push({ man: men[i]!, defender });
    }
    if (!later)
      for (const want of climbers) if (this.target[want.man] === NOBODY) this.give(want, this.elseAction(want.man));
  }

  /** Where men bump over, a lineman with nobody at all takes the nearest man of the box nobody has. */
  private nobodyIdle(): void {
    const { scene } = this;
    for (let man = scene.lineCount - 1; man >= 0; man--) {
      if (this.settled.sheets[man]!.length === 0 || this.target[man] !== NOBODY) continue;
      if (this.settled.bound && scene.proposals[man]!.pulls) continue;
      const found = nearestFreeMan(scene, man, this.free);
      if (found === NOBODY) continue;
      change(this.settled, man, NOBODY, 'over');
      this.give({ man, mates: ALONE, finder: ANYBODY, him: NOBODY, later: false }, found);
    }
  }

  /** Whom only those who give way have named: left or read as long as nobody else has him. */
  private whoGiveWay(): readonly number[] {
    if (this.givingWay) return this.givingWay;
    const found: number[] = [];
    for (const man of this.settled.call.givingWay) {
      const { target, all } = this.scene.proposals[man]!;
      for (const d of target === NOBODY ? all : [target]) if (this.scene.owners[d] === 1) found.push(d);
    }
    return (this.givingWay = found);
  }

  /** The next action of a man's sentence that has somebody free, if his first one has nobody. */
  private elseAction(man: number): number {
    const proposal = this.scene.proposals[man]!;
    const actions =
      proposal.sentence < 0 || proposal.instead !== null ? [] : this.settled.sheets[man]![proposal.sentence]!.actions;
    for (let a = this.action[man]! + 1; a < actions.length; a++) {
      const found = actions[a]!.target?.seek(this.scene, man, proposal.him, this.spare) ?? NOBODY;
      if (found === NOBODY) continue;
      this.action[man] = a;
      return found;
    }
    return NOBODY;
  }
}

const asks = ({ partner, other }: Proposal, mate: number): boolean => partner === mate || other === mate;

const is = (want: Want, claim: Claim, later: boolean): boolean => want.later === later && want.finder.claim === claim;
