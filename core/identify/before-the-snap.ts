import { atMost, lessThan, moreThan } from '../geometry/compare';
import { putInOrder } from '../geometry/put-in-order';
import { BOX_MARGIN, HEAD_UP, SHADE, STACK_WIDTH } from '../geometry/tolerances';
import { isOnLine, lineOf, type Blocker, type Formation } from '../model/formation';
import type { Defender, Front } from '../model/front';
import { signOf, type Side } from '../model/side';
import { fillsGap, levelOf } from './line';

/**
 * What every item of the identification looks at: the two line-ups sorted into levels once.
 * Defenders are in lateral order, left to right; ties by depth, then id, so that the order of entry never matters.
 */
export class Picture {
  readonly defenders: readonly Defender[];
  readonly first: readonly Defender[];
  readonly second: readonly Defender[];
  private readonly seats: Seats;
  private knownTurned: readonly Defender[] | null = null;

  constructor(
    readonly formation: Formation,
    front: Front,
  ) {
    this.seats = seatsOf(formation);
    const defenders: Defender[] = [];
    for (const d of front.defenders) putInOrder(defenders, d, acrossTheField);
    this.defenders = defenders;
    const first: Defender[] = [];
    const second: Defender[] = [];
    for (const d of this.defenders) {
      const level = levelOf(d);
      if (level === 1) first.push(d);
      else if (level === 2) second.push(d);
    }
    this.first = first;
    this.second = second;
  }

  /** The same men from the right to the left. */
  get turned(): readonly Defender[] {
    return (this.knownTurned ??= turn(this.defenders));
  }

  get line(): readonly Blocker[] {
    return this.seats.line;
  }

  get centre(): Blocker {
    return this.seats.centre;
  }

  guard(side: Side): Blocker {
    return this.seats.guard[side];
  }

  tackle(side: Side): Blocker {
    return this.seats.tackle[side];
  }
}

interface Seats {
  readonly line: readonly Blocker[];
  readonly centre: Blocker;
  readonly guard: Readonly<Record<Side, Blocker>>;
  readonly tackle: Readonly<Record<Side, Blocker>>;
  readonly box: Readonly<Record<'tackle' | 'tight-end', { left: number; right: number }>>;
}

const known = new WeakMap<Formation, Seats>();

/** The five by their seats, looked up once a formation. */
function seatsOf(formation: Formation): Seats {
  const found = known.get(formation);
  if (found) return found;
  const line = lineOf(formation);
  const seat = (id: string): Blocker => {
    const man = line.find((m) => m.id === id);
    if (!man) throw new Error(`a formation without ${id} reached identification`);
    return man;
  };
  const seats = {
    line,
    centre: seat('C'),
    guard: { left: ofTrade(line, 'G', 'left'), right: ofTrade(line, 'G', 'right') },
    tackle: { left: ofTrade(line, 'T', 'left'), right: ofTrade(line, 'T', 'right') },
    box: { tackle: boxOf(line.filter((m) => m.kind === 'line')), 'tight-end': boxOf(line) },
  };
  known.set(formation, seats);
  return seats;
}

/** The lineman of a trade on a side, of two the outermost; where none stands the outermost lineman, and in the end the centre. */
function ofTrade(line: readonly Blocker[], trade: 'T' | 'G', side: Side): Blocker {
  const out = (m: Blocker): number => m.x * signOf(side);
  const here = line.filter((m) => m.kind === 'line' && (out(m) > 0 || m.id === 'C'));
  const own = here.filter((m) => m.id.endsWith(trade));
  return (own.length ? own : here).reduce((a, b) => (out(b) > out(a) ? b : a));
}

/** From the right across; ties as in lateral order. */
export const fromTheRight = (a: Defender, b: Defender): number =>
  b.x - a.x || a.y - b.y || (a.id < b.id ? -1 : a.id > b.id ? 1 : 0);

/** The same men from a side across; of two straight behind one another the shallower first. */
export const acrossFrom = (picture: Picture, side: Side): readonly Defender[] =>
  side === 'left' ? picture.defenders : picture.turned;

function turn(defenders: readonly Defender[]): readonly Defender[] {
  const turned: Defender[] = [];
  for (let i = defenders.length - 1; i >= 0; i--) putInOrder(turned, defenders[i]!, fromTheRight);
  return turned;
}

/** Lateral order; ties by depth, then by id. */
export const acrossTheField = (a: Defender, b: Defender): number =>
  a.x - b.x || a.y - b.y || (a.id < b.id ? -1 : a.id > b.id ? 1 : 0);

/** Linemen who decide the family: guard to guard, and nearer the guard than the tackle. Men who have walked up are said beside it. */
export function interiorDefenders(picture: Picture): Defender[] {
  return picture.first
    .filter((d) => !isWalkedUp(d))
    .filter((d) =>
      (['left', 'right'] as const).every((side) => {
        const sign = signOf(side);
        const guard = picture.guard(side).x * sign;
        const tackle = picture.tackle(side).x * sign;
        const out = d.x * sign;
        if (!moreThan(out, guard)) return true;
        return atMost(out, guard + SHADE) && (tackle <= guard || lessThan(out - guard, Math.abs(tackle - out)));
      }),
    );
}

/** First-level men head-up on the guard or wider on that side. */
export function wideOfGuard(picture: Picture, side: Side): Defender[] {
  const sign = signOf(side);
  return picture.first.filter((d) => d.x * sign + HEAD_UP + 1e-6 >= picture.guard(side).x * sign);
}

/** The interior gaps, each with the noses beside it, left then right. */
export function interiorGaps(picture: Picture): { gap: 'A' | 'B'; side: Side; left: number; right: number }[] {
  return (['left', 'right'] as const).flatMap((side) => {
    const noses = [picture.centre.x, picture.guard(side).x, picture.tackle(side).x];
    return (['A', 'B'] as const).map((gap, i) => {
      const [a, b] = [noses[i]!, noses[i + 1]!];
      return { gap, side, left: Math.min(a, b), right: Math.max(a, b) };
    });
  });
}

/** First-level defenders who fill a gap between two noses. */
export const inGap = (picture: Picture, left: number, right: number): Defender[] =>
  picture.first.filter((d) => fillsGap(d.x, left, right));

/** Where the box ends on each side: the last interior lineman, or the tight end, plus the margin. */
export const boxEdges = (picture: Picture, from: 'tackle' | 'tight-end'): { left: number; right: number } =>
  seatsOf(picture.formation).box[from];

function boxOf(men: readonly Blocker[]): { left: number; right: number } {
  const xs = men.map((m) => m.x);
  return { left: Math.min(...xs) - BOX_MARGIN, right: Math.max(...xs) + BOX_MARGIN };
}

/** Standing on the line without being an end. Only asked of men on the line. */
export const isWalkedUp = (d: Defender): boolean => d.stance === 'up' && d.position !== 'end';

/** Straight behind a first-level man, within a foot. */
export const isStacked = (linebacker: Defender, first: readonly Defender[]): boolean =>
  first.some((d) => atMost(Math.abs(d.x - linebacker.x), STACK_WIDTH));

/** Men of the offence who count as hats in the run: everyone attached to the line or close behind it. */
export const hatsOf = (formation: Formation): Blocker[] =>
  formation.men.filter((m) => isOnLine(m) || m.kind === 'wing' || m.kind === 'hback' || m.kind === 'fullback');
