import type { Identification } from '../../model/identification';
import { signOf, type Side } from '../../model/side';
import { hatsOf, type Picture } from '../before-the-snap';
import { levelOf } from '../line';
import { splitHats } from './edge';

/** What the numbers need to know of a scheme. */
export interface SchemeNumbers {
  /** Blockers with a rule in this formation. */
  readonly blockers: readonly string[];
  /** Defenders accounted for without a block. */
  readonly reads: number;
  /** Skill men in this formation who could still be added. */
  readonly spare: readonly ('wrapper' | 'insert' | 'receiver')[];
  /** Defenders its rules leave to nobody against this front. */
  readonly free: readonly string[];
  /** Where the ball is to cross the line, feet, play side positive. */
  readonly attack: number;
}

/** Hats on both sides of the ball; with a scheme also its count, the surplus at the point of attack and the plus-one man. */
export function findNumbers(
  picture: Picture,
  boxIds: readonly string[],
  side: Side | null,
  scheme: SchemeNumbers | null,
): Identification['numbers'] {
  const box = picture.defenders.filter((d) => boxIds.includes(d.id));
  const men = scheme ? picture.formation.men.filter((m) => scheme.blockers.includes(m.id)) : hatsOf(picture.formation);
  const offence = splitHats(men.map((m) => m.x));
  const defence = splitHats(box.map((d) => d.x));
  const base = { offence, defence };
  if (!scheme || !side) {
    return {
      ...base,
      surplus: null,
      count: null,
      plusOne: null,
      evens: [],
      because: `Left ${say(offence.left)} on ${say(defence.left)}, right ${say(offence.right)} on ${say(defence.right)}.`,
    };
  }
  const surplus = offence[side] - defence[side];
  const count = scheme.blockers.length + scheme.reads;
  const plusOne = findPlusOne(picture, boxIds, side, scheme, count);
  const short = box.length - count;
  return {
    ...base,
    surplus,
    count,
    plusOne,
    evens: short > 0 ? [...scheme.spare].slice(0, 3) : [],
    because:
      `Play side ${say(offence[side])} on ${say(defence[side])}; the scheme accounts for ${count} of ${box.length} in the box` +
      (plusOne ? `, and ${plusOne} is one more than it has.` : '.'),
  };
}

/** Whoever of the box the rules leave to nobody, the nearest to the point of attack; else, walking the defence from there out, line first, the first man beyond the count. */
function findPlusOne(
  picture: Picture,
  boxIds: readonly string[],
  side: Side,
  { attack, free }: SchemeNumbers,
  count: number,
): string | null {
  const sign = signOf(side);
  const reach = (d: Picture['defenders'][number]): number => Math.hypot(d.x * sign - attack, d.y);
  const near = [...picture.defenders].sort((a, b) => reach(a) - reach(b) || (a.id < b.id ? -1 : 1));
  const left = near.find((d) => boxIds.includes(d.id) && free.includes(d.id));
  return (left ?? near.sort((a, b) => rank(a, boxIds) - rank(b, boxIds))[count])?.id ?? null;
}

const rank = (d: Picture['defenders'][number], boxIds: readonly string[]): number =>
  levelOf(d) === 1 ? 0 : boxIds.includes(d.id) ? 1 : 2;

/** "2½", as a coach counts half a nose. */
const say = (n: number): string => (n % 1 ? `${n < 1 ? '' : Math.floor(n)}½` : String(n));
