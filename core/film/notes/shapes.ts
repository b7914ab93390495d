import type { Shape, Shares } from '../../model/film-note';

/** A shape as strokes in the pixels of its picture. */
export interface Strokes {
  readonly lines: readonly (readonly Shares[])[];
  readonly circles: readonly (Shares & { readonly r: number })[];
  /** What is written beside it: the degrees of an angle. */
  readonly label: (Shares & { readonly text: string }) | null;
}
interface Size {
  readonly width: number;
  readonly height: number;
}

/** Of a head's length to the picture's width, and half its opening, radians. */
const HEAD = { length: 0.018, half: 0.45 };
const SPOT = 0.014;
/** Where the degrees stand, of the shorter leg. */
const LABEL_AT = 0.35;

const turned = (from: Shares, by: number, length: number): Shares => ({
  x: from.x + Math.cos(by) * length,
  y: from.y + Math.sin(by) * length,
});

function arrowHead(from: Shares, to: Shares, length: number): Shares[] {
  const back = Math.atan2(from.y - to.y, from.x - to.x);
  return [turned(to, back - HEAD.half, length), to, turned(to, back + HEAD.half, length)];
}

/** Degrees between two legs from a corner, as seen in the picture: 0 to 180. */
export function degreesBetween(corner: Shares, one: Shares, two: Shares): number {
  const a = Math.atan2(one.y - corner.y, one.x - corner.x);
  const b = Math.atan2(two.y - corner.y, two.x - corner.x);
  const between = Math.abs(a - b);
  return ((between > Math.PI ? 2 * Math.PI - between : between) * 180) / Math.PI;
}

/** What is drawn of a shape, as far as its places are there. An angle has its corner in the middle of its three places. */
export function strokesOf({ kind, at }: Pick<Shape, 'kind' | 'at'>, { width, height }: Size): Strokes {
  const places = at.map(({ x, y }) => ({ x: x * width, y: y * height }));
  const [first, second, third] = places;
  const dot = (p: Shares): Strokes['circles'][number] => ({ ...p, r: SPOT * width });
  if (!first) return { lines: [], circles: [], label: null };
  if (kind === 'spot' || !second) return { lines: [], circles: [dot(first)], label: null };
  if (kind === 'line') return { lines: [[first, second]], circles: [], label: null };
  if (kind === 'arrow')
    return { lines: [[first, second], arrowHead(first, second, HEAD.length * width)], circles: [], label: null };
  if (!third) return { lines: [[first, second]], circles: [], label: null };
  const middle = { x: (first.x + third.x) / 2, y: (first.y + third.y) / 2 };
  const label = {
    x: second.x + (middle.x - second.x) * LABEL_AT,
    y: second.y + (middle.y - second.y) * LABEL_AT,
    text: `${Math.round(degreesBetween(second, first, third))}°`,
  };
  return { lines: [[first, second, third]], circles: [], label };
}
