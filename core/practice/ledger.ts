import { isContact, type Contact, type Drill } from '../model/drill';
import type { PracticeDay, PracticeWays } from '../model/practice';
import type { Standing } from '../plan/standing';

/** After so many minutes of one block in a week another minute of it is worth half, an assumption. */
const HALF_AFTER = 8;
/** What a drill for every block is worth to one of them, against a drill for that block alone. */
const GENERAL = 0.25;
/** A drill for so many parts of a block is for the whole of it; one for fewer is worth less. */
const MOST_PARTS = 3;
/** What a drill for several blocks is worth to each: the more they are, and the fewer parts of it, the less it is that one. */
const focusOf = ({ blocks, phases }: Pick<Drill, 'blocks' | 'phases'>): number =>
  (blocks.length === 0 ? GENERAL : 1 / Math.sqrt(blocks.length)) * Math.min(1, phases.length / MOST_PARTS);

/** What has been planned for whom so far: minutes by man and block, minutes in which men meet, and which drills were used. */
export class Ledger {
  private readonly given = new Map<string, number>();
  private readonly contact = new Map<string, number>();
  private readonly days = new Map<string, Set<string>>();

  constructor(
    private readonly standings: readonly Standing[],
    private readonly ways: Pick<PracticeWays, 'contactADay' | 'contactAWeek'>,
  ) {}

  /** Writes down some minutes of a drill. */
  give(day: string, drill: Drill, men: readonly number[], minutes: number): void {
    const used = this.days.get(day) ?? new Set();
    this.days.set(day, used.add(drill.id));
    for (const man of men) {
      for (const { block } of this.askedOf(man, drill)) add(this.given, `${man} ${block}`, minutes);
      if (!isContact(drill.contact)) continue;
      add(this.contact, `${man} ${day}`, minutes);
      add(this.contact, `${man}`, minutes);
    }
  }

  /** Writes down a day as it stands. */
  giveDay({ day, lines }: Pick<PracticeDay, 'day' | 'lines'>, drillOf: (id: string) => Drill | null): void {
    for (const { stations, minutes } of lines)
      for (const { drill, men } of stations) {
        const known = drillOf(drill);
        if (known) this.give(day, known, men, minutes);
      }
  }

  /** Minutes in which he meets somebody, on a day or in the whole week. */
  contactOf = (man: number, day?: string): number =>
    this.contact.get(day === undefined ? `${man}` : `${man} ${day}`) ?? 0;

  /** May he meet somebody for so many minutes more on this day? */
  mayMeet(man: number, day: string, contact: Contact, minutes: number): boolean {
    if (!isContact(contact)) return true;
    const { contactADay, contactAWeek } = this.ways;
    if (contactADay === null || contactAWeek === null) return false;
    return this.contactOf(man, day) + minutes <= contactADay && this.contactOf(man) + minutes <= contactAWeek;
  }

  isUsed = (drill: string, day?: string): boolean =>
    day === undefined ? [...this.days.values()].some((d) => d.has(drill)) : (this.days.get(day)?.has(drill) ?? false);

  /** On how many days a drill has been used. */
  timesUsed = (drill: string): number => [...this.days.values()].filter((d) => d.has(drill)).length;

  /** What a minute of a drill is worth to a man: what he has to lose at its blocks, more where it mends his faults, less the more he has had. */
  worth = (man: number, drill: Drill): number =>
    this.askedOf(man, drill).reduce((sum, standing) => sum + this.worthAt(man, standing, drill), 0);

  /** The block for which it is worth most to him. */
  reasonFor = (man: number, drill: Drill): Standing | null =>
    this.askedOf(man, drill).reduce<Standing | null>(
      (best, s) => (best && this.worthAt(man, best, drill) >= this.worthAt(man, s, drill) ? best : s),
      null,
    );

  private worthAt(man: number, { block, weight, record }: Standing, drill: Drill): number {
    const wrong = record.faults.reduce((sum, f) => sum + f.count, 0);
    const mended = record.faults.reduce((sum, f) => sum + (drill.faults.includes(f.fault) ? f.count : 0), 0);
    const aims = 1 + (wrong === 0 ? 0 : mended / wrong);
    const had = 1 + (this.given.get(`${man} ${block}`) ?? 0) / HALF_AFTER;
    return (weight * aims * focusOf(drill)) / had;
  }

  private askedOf = (man: number, drill: Drill): Standing[] =>
    this.standings.filter((s) => s.playerId === man && (drill.blocks.length === 0 || drill.blocks.includes(s.block)));
}

const add = (sums: Map<string, number>, key: string, by: number): void => void sums.set(key, (sums.get(key) ?? 0) + by);
