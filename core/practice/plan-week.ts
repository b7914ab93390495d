import { DAILY_IDS, isContact, type Daily, type Drill, type TheirWay } from '../model/drill';
import { THEMES, type PracticeDay, type PracticeLine, type PracticeWays, type Station } from '../model/practice';
import type { Settings } from '../model/settings';
import type { Standing } from '../plan/standing';
import { throughput } from './bodies';
import { Ledger } from './ledger';
import { isFor, isOnTheLine, snapsTheBall, type Practising } from './men';
import { isTaught, whyNot } from './offered';
import { pairOff } from './pair-off';
import { sayWhy, type Reason } from './say-why';

/** Everything a week of individual time is planned from. */
export interface WeekToPlan {
  /** In their order; lines that are held stay, all others are made anew. */
  readonly days: readonly PracticeDay[];
  /** Who is there on a day. */
  readonly men: (day: string) => readonly Practising[];
  /** What the plan asks of each man and how he stands at it. */
  readonly standings: readonly Standing[];
  /** What this opponent does that has to be practised. */
  readonly theirs: ReadonlySet<TheirWay>;
  readonly drills: readonly Drill[];
  readonly ways: PracticeWays;
  readonly level: Settings['levelOfPlay'];
}

export interface PlannedWeek {
  readonly days: readonly PracticeDay[];
  /** What the plan could not do, in sentences. */
  readonly told: readonly string[];
}

/** What was used on a day before is worth less, so that a week is wide. */
const AGAIN = 0.6;
/** A line is never stretched to more than so many times its minutes. */
const LONGEST = 2;

/**
 * Fills the individual time of a week: the same opening every day, doubles and sets daily, twists while they come, and then by what each man
 * has to lose in what the plan asks of him, so that most everyday drills are in the week and this opponent takes no more than his share.
 * Contact, gear, house rules and level of play are limits no plan exceeds; who is away is in no group.
 */
export function planWeek(week: WeekToPlan): PlannedWeek {
  const ledger = new Ledger(week.standings, week.ways);
  const asked = new Set(week.standings.map((s) => s.block));
  const byId = new Map(week.drills.map((d) => [d.id, d]));
  const taught = week.drills.filter((d) => isTaught(d, asked));
  for (const day of week.days)
    ledger.giveDay({ day: day.day, lines: day.lines.filter((l) => l.held) }, (id) => byId.get(id) ?? null);
  const told: string[] = [];
  const whole = week.days.reduce((sum, d) => sum + d.minutes, 0);
  const budget = { theirs: (1 - week.ways.foundations) * whole };
  const days = week.days.map((day, i) => {
    const planner = new DayPlanner(week, day, taught, ledger, budget, week.days.length - i);
    const lines = planner.lines();
    told.push(...planner.told);
    return { ...day, lines };
  });
  return { days, told: [...new Set(told)] };
}

/** Plans one day on top of what the ledger holds. */
class DayPlanner {
  readonly told: string[] = [];
  private readonly offered: readonly Drill[];
  private readonly here: readonly Practising[];
  /** Who takes the centre's snaps whenever he has nothing else to do: the line's own time is theirs as well. */
  private readonly quarterbacks: readonly Practising[];
  private readonly held: readonly PracticeLine[];
  private left: number;
  private count = 0;

  constructor(
    private readonly week: WeekToPlan,
    private readonly day: PracticeDay,
    private readonly taught: readonly Drill[],
    private readonly ledger: Ledger,
    private readonly budget: { theirs: number },
    private readonly daysLeft: number,
  ) {
    const there = week.men(day.day).filter((m) => m.here !== 'away');
    this.here = there.filter(isOnTheLine);
    this.quarterbacks = there.filter((m) => m.takesSnaps && !isOnTheLine(m));
    this.offered = taught.filter((d) => whyNot(d, { ...week, ...day }) === null);
    this.held = day.lines.filter((l) => l.held);
    this.left = day.minutes - this.held.reduce((sum, l) => sum + l.minutes, 0);
  }

  lines(): PracticeLine[] {
    const { day } = this.day;
    if (this.here.length === 0) {
      this.told.push(`Nobody of the line is there on ${day}.`);
      return [...this.held];
    }
    const opening = this.offered.filter((d) => d.daily === 'opening').flatMap((d) => this.short(d, 'opening'));
    const work: PracticeLine[] = [];
    this.keepForWater();
    for (const daily of DAILY_IDS)
      if (daily !== 'opening' && this.isDue(daily)) {
        const drill = this.best((d) => d.daily === daily);
        if (drill) work.push(...this.short(drill, daily));
      }
    for (let line = this.next(); line.length > 0; line = this.next()) work.push(...line);
    return this.stretched(this.withHeld(this.withWater([...opening, ...inOrder(work, (id) => this.drill(id))])));
  }

  private drill = (id: string): Drill | undefined => this.week.drills.find((d) => d.id === id);

  /** An id no line of the week has that stays. */
  private newId(): string {
    const stay = this.week.days.flatMap((d) => d.lines.filter((l) => l.held).map((l) => l.id));
    let id: string;
    do id = `${this.day.day}-${++this.count}`;
    while (stay.includes(id));
    return id;
  }

  /** Breaks there is time for: water is part of it. */
  private water = 0;
  private keepForWater(): void {
    const { restEvery, restFor } = this.week.ways;
    if (restEvery === null) return;
    this.water = Math.floor((this.day.minutes - 1) / (restEvery + restFor));
    this.left -= this.water * restFor;
  }

  /** What is in every day is kept short: the time is for what men need. */
  private short(drill: Drill, daily: Daily): PracticeLine[] {
    return this.add(drill, { kind: 'daily', daily }, drill.minutes.least);
  }

  /** Doubles and sets belong to whoever is asked for them; twists to a week in which they come. */
  private isDue(daily: Daily): boolean {
    return daily !== 'twists' || this.week.theirs.has('twist');
  }

  /** How many lines have been chosen freely. */
  private free = 0;

  /** The next line: what is worth most a minute, and in turn with it what would else be dropped. */
  private next(): PracticeLine[] {
    const everyday = this.taught.filter((d) => d.kind === 'everyday');
    const open = everyday.filter((d) => !this.ledger.isUsed(d.id));
    const done = everyday.length - open.length;
    const missing = Math.floor(everyday.length / 2) + 1 - done;
    // Of the free lines every other one, the first among them, is for what the day is for and what men need. The others do the day's share in
    // what the week still misses, once there are no more of them than that.
    const slots = Math.ceil(this.left / 5 / 2);
    const isShare = this.free++ % 2 === 1;
    if (isShare && missing > 0 && slots <= Math.ceil(missing / this.daysLeft)) {
      const due = this.best((d) => open.includes(d) && this.isOfTheme(d)) ?? this.best((d) => open.includes(d));
      if (due) return this.add(due, { kind: 'floor', done, of: everyday.length });
    }
    const mayBe = (d: Drill): boolean => d.kind !== 'opening' && d.kind !== 'exchange' && this.fitsBudget(d);
    const drill = (isShare ? null : this.best((d) => mayBe(d) && this.isOfTheme(d))) ?? this.best(mayBe);
    return this.add(drill, drill ? this.reasonOf(drill) : { kind: 'need' });
  }

  private isOfTheme = (drill: Drill): boolean =>
    THEMES[this.day.theme].blocks.some((b: string) => drill.blocks.includes(b));

  private isTheirs = (drill: Drill): boolean => drill.answers.some((w) => this.week.theirs.has(w));

  private fitsBudget = (drill: Drill): boolean => !this.isTheirs(drill) || this.minutesFor(drill) <= this.budget.theirs;

  private reasonOf(drill: Drill): Reason {
    const ways = drill.answers.filter((w) => this.week.theirs.has(w));
    return ways.length > 0 ? { kind: 'theirs', ways } : { kind: 'need' };
  }

  private minutesFor = ({ minutes }: Drill): number => (minutes.usual <= this.left ? minutes.usual : minutes.least);

  /** Of those asked for that can be done now, the one that is worth most a minute. */
  private best(among: (drill: Drill) => boolean): Drill | null {
    let found: { drill: Drill; worth: number } | null = null;
    for (const drill of this.offered) {
      if (!among(drill) || drill.minutes.least > this.left || this.ledger.isUsed(drill.id, this.day.day)) continue;
      const men = this.menFor(drill, this.here, this.minutesFor(drill));
      const { groups, waits } = throughput(drill, men.length);
      if (groups === 0) continue;
      const again = AGAIN ** this.ledger.timesUsed(drill.id);
      const worth = again * (1 - waits) * men.reduce((sum, m) => sum + this.ledger.worth(m.playerId, drill), 0);
      if (!found || worth > found.worth) found = { drill, worth };
    }
    return found?.drill ?? null;
  }

  /** Who can do a drill: it is for him, he may meet somebody so long, and who is limited meets nobody. */
  private menFor = (drill: Drill, among: readonly Practising[], minutes: number): Practising[] =>
    among.filter(
      (m) =>
        isFor(drill, m) &&
        (m.here === 'here' || drill.contact === 'none') &&
        this.ledger.mayMeet(m.playerId, this.day.day, drill.contact, minutes),
    );

  private add(drill: Drill | null, reason: Reason, minutes = drill ? this.minutesFor(drill) : 0): PracticeLine[] {
    if (!drill || minutes > this.left) return [];
    const men = this.menFor(drill, this.here, minutes);
    const main = this.station(drill, men, minutes, reason);
    if (!main) return [];
    const busy = new Set(main.men);
    const stations = [
      main,
      ...this.beside(
        this.here.filter((m) => !busy.has(m.playerId)),
        minutes,
      ),
    ];
    this.left -= minutes;
    if (this.isTheirs(drill)) this.budget.theirs -= minutes;
    return [{ id: this.newId(), minutes, stations, held: false }];
  }

  /** What those do meanwhile for whom the others' drill is not: centres snap, the rest has a drill nobody has to watch. */
  private beside(rest: readonly Practising[], minutes: number): Station[] {
    const stations: Station[] = [];
    const centres = rest.filter(snapsTheBall);
    const exchange =
      this.offered.find((d) => d.kind === 'exchange' && !this.ledger.isUsed(d.id, this.day.day)) ??
      this.offered.find((d) => d.kind === 'exchange');
    if (centres.length > 0 && exchange) stations.push(...list(this.exchange(exchange, centres, minutes)));
    const others = rest.filter((m) => !snapsTheBall(m) || !exchange);
    const alone = this.week.ways.coaches < 2;
    const fit = this.offered
      .filter((d) => d.kind !== 'opening' && d.kind !== 'exchange' && !d.watched && !isContact(d.contact))
      .filter((d) => (!alone || d.contact === 'none') && d.minutes.least <= minutes)
      .map((drill) => ({ drill, men: this.menFor(drill, others, minutes) }))
      .filter(({ drill, men }) => throughput(drill, men.length).groups > 0)
      .map((o) => ({
        ...o,
        // The same once more on a day is what comes to mind last.
        worth:
          (this.ledger.isUsed(o.drill.id, this.day.day) ? AGAIN ** 3 : 1) *
          o.men.reduce((sum, m) => sum + this.ledger.worth(m.playerId, o.drill), 0),
      }))
      .sort((a, b) => b.worth - a.worth);
    const [first] = fit;
    if (first) stations.push(...list(this.station(first.drill, first.men, minutes, { kind: 'beside' })));
    return stations;
  }

  /** Centres and quarterbacks in pairs. Where the roster names no quarterback one of them is there all the same, a body without a name. */
  private exchange(drill: Drill, centres: readonly Practising[], minutes: number): Station | null {
    const takers = Math.max(1, this.quarterbacks.length);
    const unnamed = takers - this.quarterbacks.length;
    const atOnce = Math.min(drill.atOnce ?? Infinity, takers, centres.length);
    const men = [...centres, ...this.quarterbacks];
    return this.station({ ...drill, atOnce }, men, minutes, { kind: 'exchange' }, unnamed);
  }

  private station(
    drill: Drill,
    among: readonly Practising[],
    minutes: number,
    reason: Reason,
    unnamed = 0,
  ): Station | null {
    const { men, pairs } = drill.pairs ? pairOff(among, this.week.ways.matchWithin) : { men: among, pairs: [] };
    const { groups, repsPerMinute, waits } = throughput(drill, men.length + unnamed);
    if (groups === 0) return null;
    const ids = men.map((m) => m.playerId);
    const reps = Math.round(10 * repsPerMinute * minutes) / 10;
    const top = ids.reduce<number | null>(
      (a, b) => (a !== null && this.ledger.worth(a, drill) >= this.ledger.worth(b, drill) ? a : b),
      null,
    );
    const standing = top === null ? null : this.ledger.reasonFor(top, drill);
    this.ledger.give(this.day.day, drill, ids, minutes);
    return { drill: drill.id, men: ids, reps, waits, why: sayWhy(reason, drill, standing, reps), pairs };
  }

  /** What is left over is given to the last line that may grow: never to one in which men meet, this opponent's, or a coach's own. */
  private stretched(lines: readonly PracticeLine[]): PracticeLine[] {
    const left = this.day.minutes - lines.reduce((sum, l) => sum + l.minutes, 0);
    const mayGrow = ({ stations, held }: PracticeLine): boolean =>
      !held &&
      stations.length > 0 &&
      stations.every((s) => !isContact(this.drill(s.drill)!.contact)) &&
      !this.isTheirs(this.drill(stations[0]!.drill)!);
    const last = [...lines].reverse().find(mayGrow);
    const by = last ? Math.min(left, last.minutes * LONGEST - last.minutes) : 0;
    if (left > by) this.told.push(`${left - by} minutes of ${this.day.day} are left: nothing else may be done then.`);
    if (!last || by <= 0) return [...lines];
    const more = (last.minutes + by) / last.minutes;
    const stations = last.stations.map((s) => ({ ...s, reps: Math.round(10 * s.reps * more) / 10 }));
    return lines.map((l) => (l === last ? { ...l, minutes: l.minutes + by, stations } : l));
  }

  private withWater(lines: readonly PracticeLine[]): PracticeLine[] {
    const { restEvery, restFor } = this.week.ways;
    if (restEvery === null) return [...lines];
    const out: PracticeLine[] = [];
    let since = 0;
    let breaks = 0;
    for (const line of lines) {
      if (since > 0 && since + line.minutes > restEvery && breaks < this.water) {
        breaks++;
        out.push({ id: this.newId(), minutes: restFor, stations: [], held: false });
        since = 0;
      }
      out.push(line);
      since += line.minutes;
    }
    return out;
  }

  /** Held lines stay where they stood. */
  private withHeld(lines: PracticeLine[]): PracticeLine[] {
    const out = [...lines];
    for (const [at, line] of this.day.lines.entries()) if (line.held) out.splice(Math.min(at, out.length), 0, line);
    return out;
  }
}

const list = <T>(one: T | null): T[] => (one === null ? [] : [one]);

/** The softest first: nobody is met before he is warm. */
function inOrder(lines: readonly PracticeLine[], drillOf: (id: string) => Drill | undefined): PracticeLine[] {
  const hard = ({ stations }: PracticeLine): number =>
    Math.max(0, ...stations.map((s) => ['none', 'shield', 'thud', 'live'].indexOf(drillOf(s.drill)!.contact)));
  return [...lines].sort((a, b) => hard(a) - hard(b));
}
