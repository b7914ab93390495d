import type { Entry } from '../model/scheme';

export interface Attack {
  /** Where the ball is to cross the line, feet, play side positive. */
  readonly x: number;
  /** The part of the line that is at or inside the point of attack, feet. */
  readonly lo: number;
  readonly hi: number;
}

const LETTERS = ['A', 'B', 'C', 'D'];

/** How far outside the last man a sweep crosses the line, feet. */
const WIDE = 4;

/**
 * The point of attack on this line: `noses` are those of the men on the line, play side positive, ascending.
 * `lo` reaches back to the man next to the centre on the back side; `hi` to the man outside the gap, shades included.
 */
export function attackOf(entry: Entry, noses: readonly number[], shade: number): Attack {
  const centre = noses.findIndex((x) => x === 0);
  const at = (i: number): number => noses[Math.max(0, Math.min(noses.length - 1, i))]!;
  const lo = at(centre - 1) - shade;
  if (entry === 'outside') return { x: at(noses.length - 1) + WIDE, lo, hi: Infinity };
  const step = entry.startsWith('backside') ? -1 : 1;
  const gap = LETTERS.indexOf(entry.split(' ')[1]!);
  const inner = at(centre + gap * step);
  const outer = centre + (gap + 1) * step;
  const edge = outer >= noses.length || outer < 0 ? inner + 4 * step : at(outer);
  return { x: (inner + edge) / 2, lo: Math.min(lo, edge - shade), hi: Math.max(inner, edge) + shade };
}
