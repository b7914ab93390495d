import { atLeast, atMost, lessThan, moreThan } from '../../geometry/compare';
import { HEAD_UP } from '../../geometry/tolerances';
import type { Defender } from '../../model/front';
import type { Identification } from '../../model/identification';
import { signOf, type Side } from '../../model/side';
import { levelOf } from '../line';
import { isWalkedUp, type Picture } from '../before-the-snap';
import type { Found } from '../found';

type Edge = Found<Identification['edge']['left']>;

/** End man on the line, force, corner, alley and overhangs of one side. */
export function findEdge(picture: Picture, side: Side, boxIds: readonly string[]): Edge {
  const sign = signOf(side);
  const out = (d: Defender): number => d.x * sign;
  const here = fromOutside(picture, sign);
  const endMan = here.find((d) => levelOf(d) === 1) ?? null;
  const offLine = here.filter((d) => levelOf(d) > 1 && !boxIds.includes(d.id));
  const outsideEnd = endMan ? offLine.filter((d) => moreThan(out(d), out(endMan))) : offLine;
  const corner = here.find((d) => d.mark === 'corner') ?? outsideEnd[0] ?? null;
  const force = findForce(here, outsideEnd, corner, out);
  const alley = force && (offLine.find((d) => d !== force && d !== corner && lessThan(out(d), out(force))) ?? null);
  const overhangs = offLine.filter((d) => levelOf(d) === 2);
  return {
    endMan: endMan?.id ?? null, force: force?.id ?? null, corner: corner?.id ?? null, alley: alley?.id ?? null,
    overhangs: overhangs.map((d) => d.id), overruled: force?.mark === 'force',
    why: () => sayEdge(side, endMan, force, corner, alley),
  };
}

/** Everybody on one side of the ball, the widest first; of two straight behind one another the shallower. */
function fromOutside({ defenders }: Picture, sign: 1 | -1): Defender[] {
  const here: Defender[] = [];
  for (let i = 0; i < defenders.length; i++) {
    const d = defenders[sign > 0 ? defenders.length - 1 - i : i]!;
    if (!moreThan(d.x * sign, HEAD_UP)) break;
    let at = here.length;
    if (sign > 0) while (at > 0 && here[at - 1]!.x === d.x) at--;
    if (at === here.length) here.push(d);
    else here.splice(at, 0, d);
  }
  return here;
}

/** A mark; else the shallowest outside the end man and inside the corner; else the corner. */
function findForce(here: readonly Defender[], outsideEnd: readonly Defender[], corner: Defender | null, out: (d: Defender) => number): Defender | null {
  const marked = here.find((d) => d.mark === 'force');
  if (marked) return marked;
  if (!corner) return null;
  const candidates = outsideEnd.filter((d) => d !== corner && atMost(out(d), out(corner)) && d.mark !== 'safety');
  return candidates.reduce<Defender | null>((best, d) => (!best || d.y < best.y ? d : best), null) ?? corner;
}

function sayEdge(side: Side, endMan: Defender | null, force: Defender | null, corner: Defender | null, alley: Defender | null): string {
  const parts = [endMan ? `${endMan.id} is the widest on the line` : 'nobody on the line on this side'];
  if (!force) parts.push('nobody outside him forces');
  else if (force.mark === 'force') parts.push(`${force.id} carries the force mark`);
  else if (force === corner) parts.push(`nobody between the end and ${force.id}, so the corner forces`);
  else parts.push(`${force.id} is the shallowest between the end and the corner: force`);
  if (alley) parts.push(`${alley.id} is next inside him: alley`);
  return `${side[0]!.toUpperCase()}${side.slice(1)}: ${parts.join('; ')}.`;
}

/** Standing men on the line who are no ends: they count for coverage and are called out by name. */
export function findWalkedUp(picture: Picture): Found<Identification['walkedUp']> {
  const ids = picture.first.filter(isWalkedUp).map((d) => d.id);
  return { ids, overruled: false, why: () => (ids.length ? `${ids.join(', ')} stand${ids.length === 1 ? 's' : ''} on the line without being an end.` : 'Nobody has walked up.') };
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
