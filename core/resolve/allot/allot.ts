import { lessThan } from '../../geometry/compare';
import { putInOrder } from '../../geometry/put-in-order';
import { NOBODY } from '../../vocabulary/scene';
import type { Accept, TargetFinder } from '../../vocabulary/word';
import type { Aim } from '../prepare/prepare-call';
import { change, nearestFreeMan } from '../settle/bump';
import type { Settled } from '../settle/settled';
import { actionOf, jobsOf, type Job } from './jobs';
import { giveNames, type Open } from './names';
import { backersFor, optionsOf, type Option } from './options';
import { bestAllotment, type Picks, type Question } from './search';
import { uncross } from './uncross';
import { untangle } from './untangle';

/** Whom everybody blocks first and next, those on the line included; -1 for nobody. */
export interface Claims {
  readonly target: readonly number[];
  readonly next: readonly number[];
  /** The action of the sentence's else-chain that each man ended up with. */
  readonly action: readonly number[];
  readonly shared: Shared;
}

/** How the second level was shared out: enough to say why. */
export interface Shared {
  readonly jobs: readonly Job[];
  /** What was asked of the search and what it answered; `null` when nothing was left to choose. */
  readonly chosen: { readonly question: Question; readonly picks: Picks } | null;
  /** Jobs whose double keeps the linebacker who stands over it. */
  readonly kept: readonly number[];
  /** Jobs that asked for somebody by name whom another has. */
  readonly lost: Open['lost'];
  /** Jobs that traded so that nobody crosses. */
  readonly traded: readonly number[];
}

const NOTHING_SHARED: Shared = { jobs: [], chosen: null, kept: [], lost: [], traded: [] };

/**
 * Allots the second level as a whole once the first level is settled: doubles keep whoever stands over them, named men go to one job each,
 * and everything else is shared out so that the whole is best (see `search.ts`). Whoever then has nobody takes whom his own "else" names
 * on the line; last come the men who scan.
 */
export const allot = (settled: Settled, aim: Aim): Claims => new Allotting(settled, aim).run();

/** All his sentence asks for has been asked. */
const isSpoken = ({ wishes }: Job, wish: number): boolean => wish >= wishes.length;

class Allotting {
  private readonly target: number[] = [];
  private readonly next: number[];
  private readonly action: number[] = [];
  private readonly taken: boolean[] = [];
  private shared = NOTHING_SHARED;
  private givingWay: number[] | null = null;

  constructor(
    private readonly settled: Settled,
    private readonly aim: Aim,
  ) {
    const { scene, call } = settled;
    this.next = call.noNext.slice();
    for (const { target, action } of scene.proposals) {
      this.target.push(target);
      this.action.push(action);
    }
    for (const owners of scene.owners) this.taken.push(owners > 0);
  }

  run(): Claims {
    const jobs = jobsOf(this.settled);
    if (jobs.length > 0) this.shareOut(jobs);
    this.scanLast();
    if (this.settled.bumpLine > 0) {
      this.nobodyIdle();
      uncross(this.settled, this.target);
    }
    return { target: this.target, next: this.next, action: this.action, shared: this.shared };
  }

  private shareOut(jobs: readonly Job[]): void {
    const { settled, taken } = this;
    const open: Open = { wish: jobs.map(() => 0), given: jobs.map(() => NOBODY), taken, kept: [], lost: [] };
    giveNames(settled, jobs, open);
    const rest: number[] = [];
    const action: number[] = [];
    const fromPlaySide = (a: number, b: number): number =>
      jobs[b]!.from - jobs[a]!.from || Number(jobs[a]!.kind === 'exit') - Number(jobs[b]!.kind === 'exit');
    for (let j = 0; j < jobs.length; j++) {
      const job = jobs[j]!;
      const wish = open.wish[j]!;
      if (open.given[j] === NOBODY && (!isSpoken(job, wish) || this.bumpsOver(job))) putInOrder(rest, j, fromPlaySide);
      action.push(isSpoken(job, wish) ? this.action[job.man]! : job.wishes[wish]!.action);
    }
    for (const defender of open.given) if (defender !== NOBODY) this.take(defender);
    const chosen = rest.length > 0 ? this.choose(rest, jobs, open, action) : null;
    const traded = untangle(settled, jobs, open.given, open.kept);
    this.shared = { jobs, chosen, kept: open.kept, lost: open.lost, traded };
    for (let j = 0; j < jobs.length; j++) if (open.given[j] !== NOBODY) this.give(jobs[j]!, open.given[j]!, action[j]!);
    for (const job of jobs) {
      if (job.kind !== 'exit' && this.target[job.man] === NOBODY) this.takeElse(job);
    }
  }

  /** Everything that was not named outright, as a whole. */
  private choose(
    rest: readonly number[],
    jobs: readonly Job[],
    { wish, given }: Open,
    action: number[],
  ): Shared['chosen'] {
    const { scene } = this.settled;
    const fixed: [number, number][] = [];
    for (let j = 0; j < jobs.length; j++)
      if (given[j] !== NOBODY && jobs[j]!.kind !== 'errand') fixed.push([jobs[j]!.from, scene.defenders[given[j]!]!.x]);
    const question = this.question(rest, jobs, wish, fixed);
    const picks = bestAllotment(question);
    for (let i = 0; i < picks.length; i++) {
      const pick = picks[i];
      if (!pick) continue;
      const j = rest[i]!;
      given[j] = pick.defender;
      action[j] = pick.action;
      this.take(pick.defender);
      if (isSpoken(jobs[j]!, wish[j]!)) change(this.settled, jobs[j]!.man, NOBODY, 'over');
    }
    return { question, picks };
  }

  /** Where men bump over, a lineman whose names others have is shared out with the rest, unless somebody on the line is there for him. */
  private bumpsOver(job: Job): boolean {
    const { scene, bumpLine } = this.settled;
    if (bumpLine === 0 || job.kind !== 'climb' || this.elseOf(job)) return false;
    const near = nearestFreeMan(scene, job.man, (_scene, _man, _him, d) => !this.taken[d]);
    return near !== NOBODY && scene.defenders[near]!.level > 1;
  }

  private question(
    rest: readonly number[],
    all: readonly Job[],
    wishes: readonly number[],
    fixed: Question['fixed'],
  ): Question {
    const { settled, taken, aim } = this;
    const { scene } = settled;
    const jobs: Job[] = [];
    const options: (readonly Option[])[] = [];
    /** Neither an exit, whose pair has its man, nor a spare end man is idle without one, nor whoever has another man to take. */
    const idle: boolean[] = [];
    let hasEnd = false;
    for (const j of rest) {
      const job = all[j]!;
      const wish = wishes[j]!;
      jobs.push(job);
      options.push(isSpoken(job, wish) ? backersFor(settled, job, taken) : optionsOf(settled, job, wish, taken));
      idle.push((job.kind === 'climb' || job.kind === 'errand') && !this.elseOf(job));
      if (job.kind === 'end') hasEnd = true;
    }
    const open: number[] = [];
    for (const d of scene.linebackers) if (!taken[d]) open.push(d);
    const ball = aim.pocket ? null : { x: aim.attack.x, y: 0 };
    const question: Question = { jobs, options, idle, open, scene, ball, fixed };
    return hasEnd ? withoutIntruding(question) : question;
  }

  private give({ man, mates, kind }: Job, defender: number, action: number): void {
    const list = kind === 'exit' ? this.next : this.target;
    list[man] = defender;
    for (const mate of mates) list[mate] = defender;
    if (kind !== 'exit') this.action[man] = action;
  }

  private take(defender: number): void {
    this.taken[defender] = true;
    if (this.givingWay) this.givingWay = this.givingWay.filter((d) => d !== defender);
  }

  /** Whoever found nobody takes the first man a later action of his sentence names by his place. */
  private takeElse(job: Job): void {
    const other = this.elseOf(job);
    if (!other) return;
    this.take(other.defender);
    this.target[job.man] = other.defender;
    this.action[job.man] = other.action;
  }

  private elseOf({ man, him, hasElse }: Job): { defender: number; action: number } | null {
    if (!hasElse) return null;
    const { scene, sheets } = this.settled;
    const { actions } = sheets[man]![scene.proposals[man]!.sentence]!;
    const spare: Accept = (_scene, _man, _him, d) => !this.taken[d] || this.whoGiveWay().includes(d);
    for (let a = this.action[man]! + 1; a < actions.length; a++) {
      const { target } = actions[a]!;
      const found = target && target.claim === null ? target.seek(scene, man, him, spare) : NOBODY;
      if (found !== NOBODY) return { defender: found, action: a };
    }
    return null;
  }

  /** Whom only those who give way have named: left or read as long as nobody else has him. */
  private whoGiveWay(): readonly number[] {
    if (this.givingWay) return this.givingWay;
    const found: number[] = [];
    for (const man of this.settled.call.givingWay) {
      const { target, all } = this.settled.scene.proposals[man]!;
      for (const d of target === NOBODY ? all : [target]) if (this.settled.scene.owners[d] === 1) found.push(d);
    }
    return (this.givingWay = found);
  }

  /** Scanning men look in turn, play side first: each at whoever nobody has, then each at the next. */
  private scanLast(): void {
    const { scene, call } = this.settled;
    if (!call.scans) return;
    const free: Accept = (_scene, _man, _him, d) => !this.taken[d];
    const look = (man: number, finder: TargetFinder, list: number[]): void => {
      const found = finder.seek(scene, man, scene.proposals[man]!.him, free);
      if (found === NOBODY) return;
      this.take(found);
      list[man] = found;
    };
    for (const man of call.across) {
      const target = actionOf(this.settled, man)?.target;
      if (target?.claim === 'last') look(man, target, this.target);
    }
    for (const man of call.across) {
      const then = actionOf(this.settled, man)?.then;
      if (then?.target.claim === 'last') look(man, then.target, this.next);
    }
  }

  /** Where men bump over, a lineman with nobody at all takes the nearest man of the box nobody has. */
  private nobodyIdle(): void {
    const { scene, sheets, bound } = this.settled;
    const free: Accept = (_scene, _man, _him, d) => !this.taken[d];
    for (let man = scene.lineCount - 1; man >= 0; man--) {
      if (sheets[man]!.length === 0 || this.target[man] !== NOBODY) continue;
      if (bound && scene.proposals[man]!.pulls) continue;
      const found = nearestFreeMan(scene, man, free);
      if (found === NOBODY) continue;
      change(this.settled, man, NOBODY, 'over');
      this.take(found);
      this.target[man] = found;
    }
  }
}

/**
 * A spare end man adds to what the others do and takes nothing from them: of the linebackers they would have without him he takes only one
 * to whom his own way is shorter, unless his own words send him there.
 */
function withoutIntruding(question: Question): Question {
  const { jobs, options } = question;
  if (!jobs.some((j, i) => j.kind === 'end' && options[i]!.some((o) => o.inBox && !o.said))) return question;
  const others = [...jobs.keys()].filter((j) => jobs[j]!.kind !== 'end');
  if (others.length === 0) return question;
  const alone = {
    ...question,
    jobs: others.map((j) => jobs[j]!),
    options: others.map((j) => options[j]!),
    idle: others.map((j) => question.idle[j]!),
  };
  const had = bestAllotment(alone);
  const isShorter = (o: Option): boolean => {
    const his = had.find((p) => p?.defender === o.defender);
    return !his || lessThan(o.way, his.way);
  };
  return {
    ...question,
    options: options.map((list, j) => (jobs[j]!.kind === 'end' ? list.filter((o) => o.said || isShorter(o)) : list)),
  };
}
