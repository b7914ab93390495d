import { atLeast, atMost } from '../../geometry/compare';
import { putInOrder } from '../../geometry/put-in-order';
import type { Defender } from '../../model/front';
import type { Identification } from '../../model/identification';
import type { Found } from '../found';
import type { Settings } from '../../model/settings';
import type { Side } from '../../model/side';
import { levelOf } from '../line';
import { acrossTheField, boxEdges, fromTheRight, isWalkedUp, wideOfGuard, type Picture } from '../before-the-snap';

const WORDS = ['none', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten', 'eleven'];

/** Everyone on the line plus the second-level men near enough to the interior line. */
export function findBox(picture: Picture, settings: Settings): Found<Omit<Identification['box'], 'spoken'>> {
  const edges = boxEdges(picture, settings.box);
  const inside = picture.second.filter((d) => isInside(d, edges));
  const overhangs = picture.second.filter((d) => !inside.includes(d));
  return {
    ids: [...picture.first, ...inside].map((d) => d.id),
    size: picture.first.length + inside.length,
    overhangs: overhangs.map((d) => d.id),
    overruled: false,
    why: () =>
      `${WORDS[picture.first.length]} on the line and ${WORDS[inside.length]} behind it within the ${settings.box === 'tackle' ? 'tackle' : 'tight end'} box` +
      (overhangs.length ? `; ${overhangs.map((d) => d.id).join(', ')} outside it.` : '.'),
  };
}

/** "even two": family and linebackers, as the centre says it. */
export const sayBox = (family: string, linebackers: number): string => `${family} ${WORDS[linebackers]}`;

/** Who of those off the line belongs to the box: second-level men within it, or those the coach put into it. */
export function boxTest(
  picture: Picture,
  settings: Settings,
  overruled: readonly string[] | undefined,
): (d: Defender) => boolean {
  if (overruled) return (d) => overruled.includes(d.id);
  const edges = boxEdges(picture, settings.box);
  return (d) => isInside(d, edges) && levelOf(d) === 2;
}

/** Second-level men of the box, from a side across; ties by depth, then id. */
export function findBackers(picture: Picture, inBox: (d: Defender) => boolean, from: Side): readonly Defender[] {
  const found: Defender[] = [];
  const order = from === 'left' ? acrossTheField : fromTheRight;
  for (const d of picture.second) if (inBox(d)) putInOrder(found, d, order);
  return found;
}

const isInside = (d: Defender, edges: { left: number; right: number }): boolean =>
  atLeast(d.x, edges.left) && atMost(d.x, edges.right);

export function sayLinebackers(
  backers: readonly Defender[],
  from: Side,
  called: boolean,
): Found<Identification['linebackers']> {
  const ids = backers.map((d) => d.id);
  return {
    ids,
    overruled: false,
    why: () =>
      ids.length
        ? `Counted from ${called ? 'the play side' : 'the strength'} (${from}): ${ids.map((id, i) => `${id} is L${i + 1}`).join(', ')}.`
        : 'No linebacker in the box.',
  };
}

/** The zero of the count: the middle one of three, of two and four the inner one on the strength side (or as the school says). */
export function findMike(
  picture: Picture,
  boxIds: readonly string[],
  strength: Side,
  settings: Settings,
): Found<Identification['mike']> {
  const men = picture.second.filter((d) => boxIds.includes(d.id));
  const marked = picture.defenders.find((d) => d.mark === 'mike');
  if (marked) return { id: marked.id, overruled: true, why: () => `${marked.id} carries the coach's mark.` };
  if (men.length === 0)
    return { id: null, overruled: false, why: () => 'No linebacker in the box: nobody is the Mike.' };
  if (men.length % 2 === 1) {
    const middle = men[(men.length - 1) / 2]!;
    return { id: middle.id, overruled: false, why: () => `${middle.id} is the middle one of ${WORDS[men.length]}.` };
  }
  const inner = { left: men[men.length / 2 - 1]!, right: men[men.length / 2]! };
  const side = settings.mike === 'weak' ? (strength === 'left' ? 'right' : 'left') : strength;
  let mike = inner[side];
  let reason = `the inner one of ${WORDS[men.length]} on the ${settings.mike === 'weak' ? 'weak' : 'strength'} side (${side})`;
  if (settings.mike === 'nearest' && Math.abs(inner.left.x) !== Math.abs(inner.right.x)) {
    mike = Math.abs(inner.left.x) < Math.abs(inner.right.x) ? inner.left : inner.right;
    reason = `nearest the ball of ${WORDS[men.length]}`;
  }
  return { id: mike.id, overruled: false, why: () => `${mike.id} is ${reason}.` };
}

/** Loaded when two or more stand on the guard or wider on that side, else light. */
export function findSideCalls(
  picture: Picture,
  settings: Settings,
): { [S in Side]: Found<Identification['sideCall'][S]> } {
  const call = (side: Side): Found<Identification['sideCall']['left']> => {
    const men = wideOfGuard(picture, side).filter((d) => settings.walkedUpCounts || !isWalkedUp(d));
    return {
      call: men.length >= 2 ? 'loaded' : 'light',
      overruled: false,
      why: () =>
        `${men.map((d) => d.id).join(', ') || 'nobody'} on the guard or wider on the ${side}: ${men.length >= 2 ? 'loaded' : 'light'}.`,
    };
  };
  return { left: call('left'), right: call('right') };
}
