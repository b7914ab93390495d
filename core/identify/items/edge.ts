import { atLeast, atMost, lessThan, moreThan } from '../../geometry/compare';
import { putInOrder } from '../../geometry/put-in-order';
import { CORNER_WIDTH, HEAD_UP } from '../../geometry/tolerances';
import type { Defender } from '../../model/front';
import type { Identification } from '../../model/identification';
import { signOf, type Side } from '../../model/side';
import { levelOf } from '../line';
import { acrossFrom, acrossTheField, fromTheRight, isWalkedUp, type Picture } from '../before-the-snap';
import type { Found } from '../found';

type Edge = Found<Identification['edge']['left']>;

/** Who is who on one side of the front. */
export interface EdgeMen {
  readonly force: Defender | null;
  readonly corner: Defender | null;
  readonly alley: Defender | null;
}

/** The widest man on the line on one side of the ball; of two as wide, the first in lateral order on either side. */
export function findEndMan({ first }: Picture, side: Side): Defender | null {
  let at = side === 'left' ? 0 : first.length - 1;
  while (at > 0 && first[at - 1]!.x === first[at]!.x) at--;
  const widest = first[at];
  return widest && moreThan(widest.x * signOf(side), HEAD_UP) ? widest : null;
}

/** Second-level men of one side outside the box, the widest first. */
export function findOverhangs({ second }: Picture, side: Side, inBox: (d: Defender) => boolean): Defender[] {
  const found: Defender[] = [];
  const order = side === 'left' ? acrossTheField : fromTheRight;
  for (const d of second) if (moreThan(d.x * signOf(side), HEAD_UP) && !inBox(d)) putInOrder(found, d, order);
  return found;
}

/** Force, corner and alley of one side. */
export function findEdge(picture: Picture, side: Side, inBox: (d: Defender) => boolean): EdgeMen {
  const sign = signOf(side);
  const out = (d: { x: number }): number => d.x * sign;
  const here = acrossFrom(picture, side).filter((d) => moreThan(out(d), HEAD_UP));
  const offLine = here.filter((d) => levelOf(d) > 1 && !inBox(d));
  const end = out(picture.line[side === 'left' ? 0 : picture.line.length - 1]!);
  const outside = offLine.filter((d) => atLeast(out(d), end));
  const corner =
    here.find((d) => d.mark === 'corner') ?? outside.find((d) => moreThan(out(d), end + CORNER_WIDTH)) ?? null;
  const force = findForce(here, outside, corner, out);
  const alley = force && (offLine.find((d) => d !== force && d !== corner && lessThan(out(d), out(force))) ?? null);
  return { force, corner, alley };
}

/** The same by name, with the end man and the overhangs. */
export function nameEdge(picture: Picture, side: Side, inBox: (d: Defender) => boolean): Edge {
  const { force, corner, alley } = findEdge(picture, side, inBox);
  const endMan = findEndMan(picture, side);
  return {
    endMan: endMan?.id ?? null,
    force: force?.id ?? null,
    corner: corner?.id ?? null,
    alley: alley?.id ?? null,
    overhangs: findOverhangs(picture, side, inBox).map((d) => d.id),
    overruled: force?.mark === 'force',
    why: () => sayEdge(side, endMan, force, corner, alley),
  };
}

/** A mark; else the shallowest outside the box, at or outside the offence's end man and inside the corner; else the corner. */
function findForce(
  here: readonly Defender[],
  outside: readonly Defender[],
  corner: Defender | null,
  out: (d: Defender) => number,
): Defender | null {
  const marked = here.find((d) => d.mark === 'force');
  if (marked) return marked;
  const candidates = outside.filter(
    (d) => d !== corner && d.mark !== 'safety' && (!corner || atMost(out(d), out(corner))),
  );
  return candidates.reduce<Defender | null>((best, d) => (!best || d.y < best.y ? d : best), null) ?? corner;
}

function sayEdge(
  side: Side,
  endMan: Defender | null,
  force: Defender | null,
  corner: Defender | null,
  alley: Defender | null,
): string {
  const parts = [endMan ? `${endMan.id} is the widest on the line` : 'nobody on the line on this side'];
  if (!force) parts.push('nobody outside the box forces');
  else if (force.mark === 'force') parts.push(`${force.id} carries the force mark`);
  else if (force === corner) parts.push(`nobody between our end man and ${force.id}, so the corner forces`);
  else parts.push(`${force.id} is the shallowest outside our end man${corner ? ' and inside the corner' : ''}: force`);
  if (alley) parts.push(`${alley.id} is next inside him: alley`);
  return `${side[0]!.toUpperCase()}${side.slice(1)}: ${parts.join('; ')}.`;
}

/** Standing men on the line who are no ends: they count for coverage and are called out by name. */
export function findWalkedUp(picture: Picture): Found<Identification['walkedUp']> {
  const ids = picture.first.filter(isWalkedUp).map((d) => d.id);
  return {
    ids,
    overruled: false,
    why: () =>
      ids.length
        ? `${ids.join(', ')} stand${ids.length === 1 ? 's' : ''} on the line without being an end.`
        : 'Nobody has walked up.',
  };
}

/** Hats left and right of the ball; a man over the ball counts half to each side. */
export function splitHats(xs: readonly number[]): Record<Side, number> {
  const tally = { left: 0, right: 0 };
  for (const x of xs) {
    if (atMost(Math.abs(x), HEAD_UP)) {
      tally.left += 0.5;
      tally.right += 0.5;
    } else tally[atLeast(x, 0) ? 'right' : 'left'] += 1;
  }
  return tally;
}
