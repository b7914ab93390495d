import { BODY } from '../geometry/tolerances';
import { trim, YARD } from '../geometry/units';
import type { Result } from '../diagnostics/diagnostic';
import { hasLeagueRules, isLegal } from '../identify/league';
import { readFront } from '../language/lineups/read-front';
import { sayMovement } from '../language/lineups/read-movement';
import type { Formation } from '../model/formation';
import type { Defender, Front } from '../model/front';
import { SHIPPED_SETTINGS, type Settings } from '../model/settings';
import type { Movement } from '../model/movement';
import { MAX_CHOICES, type Space } from '../model/space';

/** One choice for every man and one for the movement, by index: a front of the space. */
export type Choice = readonly number[];

/** A space read against a formation: every choice has its place, so that a front is put together without reading anything. */
export interface OpenSpace {
  readonly space: Space;
  /** Number of choices, the fronts where two men would stand on one spot and those the league forbids among them. May exceed what can be counted exactly; then it is Infinity. */
  readonly size: number;
  readonly radix: readonly number[];
  frontAt(choice: Choice): Front | null;
}

/** Reads a space. A clause that cannot be read is reported with the man's number in the list. */
export function openSpace(
  space: Space,
  formation: Formation,
  settings: Settings = SHIPPED_SETTINGS,
): Result<OpenSpace> {
  const men: (Defender | null)[][] = [];
  for (const clauses of space.men) {
    const places: (Defender | null)[] = [];
    for (const clause of clauses) {
      if (clause === null) {
        places.push(null);
        continue;
      }
      const read = readFront(clause, formation, space.id, space.name, settings);
      if (!read.ok) return read;
      for (const d of read.value.defenders) for (const x of shifts(d, space.jitter)) places.push({ ...d, x });
    }
    men.push(places);
  }
  const everybody = space.men.flatMap((m) => m.find((c) => c !== null) ?? []).join('; ');
  const movements: Front['movements'][] = [];
  for (const moves of space.movements) {
    const read = readFront([everybody, ...moves].join('; '), formation, space.id, space.name, settings);
    if (!read.ok) return read;
    movements.push(read.value.movements);
  }
  const isLimited = hasLeagueRules(settings);
  const rivals = men.map((his, man) => men.slice(0, man).flatMap((theirs, i) => (canMeet(his, theirs) ? [i] : [])));
  const radix = [...men.map((m) => m.length), movements.length];
  const size = radix.reduce((all, n) => all * n, 1);
  return {
    ok: true,
    diagnostics: [],
    value: {
      space,
      size: Number.isSafeInteger(size) ? size : Infinity,
      radix,
      frontAt: (choice) => {
        const front = frontOf(space, men, rivals, movements, choice);
        return front && (!isLimited || isLegal(front, formation, settings)) ? front : null;
      },
    },
  };
}

/** As placed first, then to either side. */
const shifts = (d: Defender, jitter: number): number[] =>
  jitter > 0 && d.y <= 4.5 ? [d.x, d.x - jitter, d.x + jitter] : [d.x];

const areOneBody = (a: Defender, b: Defender): boolean => Math.abs(a.x - b.x) < BODY && Math.abs(a.y - b.y) < BODY;

/** Can two men be placed so that they would stand on one spot? */
const canMeet = (his: readonly (Defender | null)[], theirs: readonly (Defender | null)[]): boolean =>
  his.some((a) => a && theirs.some((b) => b && areOneBody(a, b)));

/** `rivals`: for each man those listed before him who can be placed on his spot. */
function frontOf(
  space: Space,
  men: readonly (readonly (Defender | null)[])[],
  rivals: readonly (readonly number[])[],
  movements: readonly Front['movements'][],
  choice: Choice,
): Front | null {
  const defenders: Defender[] = [];
  for (let i = 0; i < men.length; i++) {
    const d = men[i]![choice[i]!];
    if (!d) continue;
    for (const rival of rivals[i]!) {
      const other = men[rival]![choice[rival]!];
      if (other && areOneBody(d, other)) return null;
    }
    defenders.push(d);
  }
  return { id: space.id, name: space.name, defenders, movements: movements[choice[men.length]!] ?? [] };
}

/** The choice with a number, counting every one of the space. */
export function choiceAt(radix: readonly number[], index: number): number[] {
  let rest = index;
  return radix.map((n) => {
    const digit = rest % n;
    rest = Math.floor(rest / n);
    return digit;
  });
}

/** The `sample`-th random choice of a seed: the same whoever draws it, so that work can be shared out in any way. */
export function choiceDrawn(radix: readonly number[], seed: number, sample: number): number[] {
  let state = Math.imul(seed ^ 0x9e3779b9, 0x85ebca6b) ^ Math.imul(sample + 1, 0xc2b2ae35);
  const choice: number[] = [];
  for (const n of radix) {
    state = (state + 0x6d2b79f5) | 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    choice.push(((t ^ (t >>> 14)) >>> 0) % n);
  }
  return choice;
}

/** How far a choice is from the first of everything: fewer men and plainer places first. */
export function weightOf(choice: Choice, men: number): number {
  let weight = men * 100;
  for (const c of choice) weight += c;
  return weight;
}

/**
 * The fronts around one front: every man on the line half a foot to either side, every linebacker two feet; standing still, and then with
 * each of the `moves`, as many as a space may have.
 */
export function spaceAround(front: Front, moves: readonly Movement[] = [], jitter = 0.5): Space {
  const clause = (d: Defender, x: number): string =>
    [
      `${d.id} (${trim(x, 3)}, ${trim(d.y, 3)})`,
      d.stance === 'up' && d.y <= 4.5 ? 'up' : '',
      d.position === 'end' ? '' : d.position,
      d.mark ?? '',
    ]
      .filter(Boolean)
      .join(' ');
  const inBox = (d: Defender): boolean => Math.abs(d.x) <= 4 * 5 && d.y <= 8 * YARD;
  return {
    id: `around-${front.id}`.toLowerCase().replace(/[^a-z0-9-]+/g, '-'),
    name: `Around ${front.name}${moves.length ? ', and what it can do' : ''}`.slice(0, 80),
    jitter,
    movements: [[], ...moves.slice(0, MAX_CHOICES - 1).map((m) => [sayMovement(m)])],
    men: front.defenders.map((d) =>
      d.y <= 4.5 || !inBox(d) ? [clause(d, d.x)] : [0, -2, 2].map((off) => clause(d, d.x + off)),
    ),
  };
}
