import type { Blocker, Formation } from '#core/model/formation';
import type { Front } from '#core/model/front';

/** The board in pixels: how feet become places, and where the columns under the men stand. */
export interface BoardScale {
  readonly width: number;
  readonly height: number;
  /** Pixels a foot across, and pixels a foot of depth (compressed; shown on the board). */
  readonly across: number;
  readonly deep: number;
  x(feet: number): number;
  y(feet: number): number;
  /** Depth shown on the board, feet; what is deeper is drawn at the edge with its depth written. */
  readonly shallow: number;
  readonly far: number;
}

export interface Column {
  readonly id: string;
  readonly left: number;
  readonly width: number;
  /** Where the man himself stands. */
  readonly manX: number;
}

/** Half the height of a man's bar, pixels; it is two feet wide. */
export const BAR_HALF = 11;
/** Whoever would stand nearer to the edge of the picture than this is drawn in a band beside it, pixels. */
export const EDGE = 34;

/** How far behind the line a board reaches when the ball is thrown, feet. */
export const PASS_DEPTH = -24;
/** Room at the left for the names of the rows. */
export const LABEL_WIDTH = 92;
const MIN_COLUMN = 88;
const MAX_ACROSS = 44;
const LINE_GAP = 4;
const SIDE_ROOM = 5;
/** Room for a bar and its label beside a defender, feet. */
const BODY_ROOM = 2;
/** Whoever stands farther from the ball is drawn only if there is room, feet. */
const NEAR = 20;
const TOP = 28;
const BOTTOM = 22;

/** What a board has to show beside the men near the ball; feet. */
export interface BoardView {
  readonly front?: Front | null;
  /** How far behind the line and how far beyond it. */
  readonly shallow?: number;
  readonly far?: number;
  /** At least so far to either side. */
  readonly wide?: number;
}

/** Fits the men and the defence near the ball into a width; feet beyond the sides are clipped by the caller. */
export function boardScale(
  formation: Formation,
  width: number,
  height: number,
  { front = null, shallow = -6, far = 18, wide = 8 }: BoardView = {},
): BoardScale {
  const near = formation.men.filter((m) => Math.abs(m.x) < NEAR).map((m) => m.x);
  const theirs = (front?.defenders ?? []).filter((d) => Math.abs(d.x) < NEAR).map((d) => d.x);
  const lo = Math.min(Math.min(-wide, ...near) - SIDE_ROOM, ...theirs.map((x) => x - BODY_ROOM));
  const hi = Math.max(Math.max(wide, ...near) + SIDE_ROOM, ...theirs.map((x) => x + BODY_ROOM));
  const across = Math.min(MAX_ACROSS, (width - LABEL_WIDTH) / (hi - lo));
  const middle = LABEL_WIDTH + (width - LABEL_WIDTH) / 2 - ((lo + hi) / 2) * across;
  const deep = (height - TOP - BOTTOM) / (far - shallow);
  return {
    width,
    height,
    across,
    deep,
    shallow,
    far,
    x: (feet) => middle + feet * across,
    y: (feet) => TOP + (far - Math.max(shallow, Math.min(far, feet))) * deep,
  };
}

/** Columns in the men's order, as near under them as their least width allows. */
export function columnsUnder(men: readonly Blocker[], scale: BoardScale): Column[] {
  const order = [...men].sort((a, b) => a.x - b.x || b.y - a.y);
  if (order.length === 0) return [];
  const room = scale.width - LABEL_WIDTH;
  const width = Math.max(
    Math.min(MIN_COLUMN, room / order.length),
    Math.min(LINE_GAP * scale.across, room / order.length),
  );
  const centres = order.map((m) => scale.x(m.x));
  const mean = centres.reduce((a, b) => a + b, 0) / order.length;
  const start = Math.max(LABEL_WIDTH, Math.min(scale.width - width * order.length, mean - (width * order.length) / 2));
  return order.map((m, i) => ({ id: m.id, left: start + i * width, width, manX: centres[i]! }));
}
