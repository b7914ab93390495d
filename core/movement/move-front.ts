import { lessThan, moreThan } from '../geometry/compare';
import { HEAD_UP } from '../geometry/tolerances';
import { YARD } from '../geometry/units';
import type { Point } from '../geometry/vec';
import { levelOf } from '../identify/line';
import { lineOf, type Formation } from '../model/formation';
import type { Defender, Front } from '../model/front';
import type { Movement } from '../model/movement';
import { otherSide, signOf, type Side } from '../model/side';

/** Where a front's movements take it: the picture the line sees a step after the snap, and everybody's way there. Feet, field frame. */
export interface Moved {
  readonly front: Front;
  /** For each defender who moves: the points he runs through, his place before the snap first. */
  readonly ways: ReadonlyMap<string, readonly Point[]>;
}

/** Depth of a man who has come through to the line. */
const THROUGH = 1;
/** Depth at which a man runs behind a neighbour who goes first. */
const BEHIND = 3.5;
/** How far outside the last man somebody comes off the edge, and how far outside a scraping linebacker ends. */
const EDGE = 3;
const SCRAPE = 2;
/** Depths at which a scraping linebacker and a safety who has rolled down end. */
const SCRAPE_DEPTH = 4 * YARD;
const DOWN_DEPTH = 5 * YARD;
/** Depth to which a man who has walked up drops back. */
const DROP_DEPTH = 4.5 * YARD;
/** Half a usual gap: where the gap outside the last man is taken to be. */
const HALF_GAP = 2;

/** Carries out every movement of a front against a formation; a movement of somebody who is not there has no effect. */
export function moveFront(front: Front, formation: Formation): Moved {
  const noses = lineOf(formation).map((m) => m.x);
  const ways = new Map<string, Point[]>();
  const now = new Map(front.defenders.map((d) => [d.id, d]));
  for (const movement of front.movements) {
    for (const { id, to, via } of stepsOf(movement, [...now.values()], noses)) {
      const d = now.get(id)!;
      ways.set(id, [...(ways.get(id) ?? [{ x: d.x, y: d.y }]), ...via, to]);
      now.set(id, { ...d, x: to.x === 0 ? 0 : to.x, y: to.y });
    }
  }
  return { front: { ...front, defenders: front.defenders.map((d) => now.get(d.id)!), movements: [] }, ways };
}

interface Step {
  readonly id: string;
  readonly to: Point;
  readonly via: readonly Point[];
}

function stepsOf(movement: Movement, defenders: readonly Defender[], noses: readonly number[]): Step[] {
  const find = (id: string): Defender | undefined => defenders.find((d) => d.id === id);
  const straight = (d: Defender | undefined, to: Point): Step[] => (d ? [{ id: d.id, to, via: [] }] : []);
  switch (movement.kind) {
    case 'slant':
      return defenders
        .filter((d) => (movement.who === null ? isLineman(d) : d.id === movement.who))
        .flatMap((d) => straight(d, oneGap(d.x, movement.side, noses)));
    case 'pinch':
      return defenders.filter((d) => isLineman(d) && inward(d.x) !== null).flatMap((d) => pinched(d, noses));
    case 'loop':
      return around(find(movement.who), movement.side, noses);
    case 'twist':
      return twist(find(movement.first), find(movement.second), noses);
    case 'blitz':
      return straight(find(movement.who), { x: namedGap(movement.gap, movement.side, noses), y: THROUGH });
    case 'scrape':
      return straight(find(movement.who), { x: outside(movement.side, noses, SCRAPE), y: SCRAPE_DEPTH });
    case 'edge':
      return straight(find(movement.who), { x: outside(movement.side, noses, EDGE), y: THROUGH });
    case 'down':
      return straight(find(movement.who), { x: outside(movement.side, noses, 2 * HALF_GAP), y: DOWN_DEPTH });
    case 'drop':
      return dropped(find(movement.who));
    case 'exchange':
      return exchange(find(movement.first), find(movement.second), noses);
  }
}

/** A man of the line who goes with it: on the line, and no linebacker or back who has only walked up. */
const isLineman = (d: Defender): boolean => levelOf(d) === 1 && (d.position === 'dl' || d.position === 'end');

const inward = (x: number): Side | null => (moreThan(x, HEAD_UP) ? 'left' : lessThan(x, -HEAD_UP) ? 'right' : null);

/** The line with a place for one more man at each end, so that the next gap out is a gap too. */
const withGhosts = (noses: readonly number[]): number[] => [
  noses[0]! - 2 * HALF_GAP,
  ...noses,
  noses[noses.length - 1]! + 2 * HALF_GAP,
];

/** Middles of all gaps, left to right: two outside the last man on each side. */
function middles(noses: readonly number[]): number[] {
  const all = withGhosts(noses);
  return [all[0]! - HALF_GAP, ...all.slice(1).map((x, i) => (x + all[i]!) / 2), all[all.length - 1]! + HALF_GAP];
}

/** Number of the gap a place is in, counted from the left, or half way between two when he is head-up. */
function gapAt(x: number, noses: readonly number[]): number {
  const all = withGhosts(noses);
  const on = all.findIndex((nose) => !moreThan(Math.abs(nose - x), HEAD_UP));
  return on >= 0 ? on + 0.5 : all.filter((nose) => nose < x).length;
}

function gapTo(x: number, side: Side, noses: readonly number[], gaps: number): Point {
  const at = gapAt(x, noses) + signOf(side) * gaps;
  const whole = side === 'right' ? Math.floor(at) : Math.ceil(at);
  const all = middles(noses);
  const index = Math.max(0, Math.min(all.length - 1, whole));
  // Somebody wider than the last gap already does not come back to it by going farther out.
  const to = (all[index]! - x) * signOf(side) > 0 ? all[index]! : x;
  return { x: to, y: THROUGH };
}

/** One gap to a side; a man head-up on somebody goes into the gap beside him. */
const oneGap = (x: number, side: Side, noses: readonly number[]): Point => gapTo(x, side, noses, 1);

/** Back to a linebacker's depth; somebody deeper already stays. */
const dropped = (d: Defender | undefined): Step[] =>
  d && d.y < DROP_DEPTH ? [{ id: d.id, to: { x: d.x, y: DROP_DEPTH }, via: [] }] : [];

/** One gap toward the ball, never across it. */
function pinched(d: Defender, noses: readonly number[]): Step[] {
  const to = oneGap(d.x, inward(d.x)!, noses);
  return Math.sign(to.x) === Math.sign(d.x) ? [{ id: d.id, to, via: [] }] : [];
}

/** Two gaps to a side, behind whoever stands between. */
function around(d: Defender | undefined, side: Side, noses: readonly number[]): Step[] {
  if (!d) return [];
  const to = gapTo(d.x, side, noses, 2);
  return [{ id: d.id, to, via: [{ x: (d.x + to.x) / 2, y: BEHIND }] }];
}

/** Middle of a gap by its letter, counted from the centre; past the last man, two feet outside him. */
function namedGap(letter: 'A' | 'B' | 'C' | 'D', side: Side, noses: readonly number[]): number {
  const centre = noses.findIndex((x) => x === 0);
  const all = middles(noses);
  const n = 'ABCD'.indexOf(letter);
  const index = side === 'right' ? centre + 2 + n : centre + 1 - n;
  return all[Math.max(0, Math.min(all.length - 1, index))]!;
}

const outside = (side: Side, noses: readonly number[], by: number): number =>
  side === 'right' ? noses[noses.length - 1]! + by : noses[0]! - by;

/** The first goes into the second's gap, the second comes behind him into the first's. */
function twist(first: Defender | undefined, second: Defender | undefined, noses: readonly number[]): Step[] {
  if (!first || !second || first.x === second.x) return [];
  const toSecond: Side = second.x > first.x ? 'right' : 'left';
  const gap = (d: Defender, from: Side): number => middles(noses)[gapIndex(d.x, from, noses)]!;
  return [
    { id: first.id, to: { x: gap(second, toSecond), y: THROUGH }, via: [] },
    { id: second.id, to: { x: gap(first, otherSide(toSecond)), y: THROUGH }, via: [{ x: second.x, y: BEHIND }] },
  ];
}

/** The gap a man would fill: the one he is in; head-up on somebody, the one on the side he came from. */
function gapIndex(x: number, from: Side, noses: readonly number[]): number {
  const at = gapAt(x, noses);
  return from === 'right' ? Math.floor(at) : Math.ceil(at);
}

/** A man on the line and the one behind him change jobs: the first goes inside, the second takes his place outside. */
function exchange(first: Defender | undefined, second: Defender | undefined, noses: readonly number[]): Step[] {
  const lean = first && second ? first.x || second.x : 0;
  if (!first || !second || lean === 0) return [];
  const out: Side = lean < 0 ? 'left' : 'right';
  return [
    { id: first.id, to: oneGap(first.x, otherSide(out), noses), via: [] },
    { id: second.id, to: { x: first.x + signOf(out), y: THROUGH }, via: [] },
  ];
}
