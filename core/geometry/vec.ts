/** A point of the field, in feet, in the field frame. */
export interface Point {
  readonly x: number;
  readonly y: number;
}

/** Straight distance in feet. */
/** By the root of the squares: races ask for it by the million, and `Math.hypot` takes many times as long. */
export function distance(a: Point, b: Point): number {
  const [x, y] = [a.x - b.x, a.y - b.y];
  return Math.sqrt(x * x + y * y);
}

/** Along a way from its first point to its last; 0 for one of no or one point. */
export const alongWay = (way: readonly Point[]): number =>
  way.reduce((sum, p, i) => (i === 0 ? 0 : sum + distance(way[i - 1]!, p)), 0);

/** The point a share `t` (0..1) of the way from `a` to `b`. */
export const between = (a: Point, b: Point, t: number): Point => ({
  x: a.x + (b.x - a.x) * t,
  y: a.y + (b.y - a.y) * t,
});

/** The same point seen from the other side of the ball; never yields -0. */
export const mirrorPoint = <P extends Point>(p: P): P => ({ ...p, x: p.x === 0 ? 0 : -p.x });
