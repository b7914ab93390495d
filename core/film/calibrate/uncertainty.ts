import type { Calibration, FilmCamera, Pixel } from '../../model/calibration';
import { groundAt } from './camera';
import { cameraOf, numbersOf, STEPS } from './numbers';

/** Variances of a place on the field, feet squared. */
export interface Spread {
  readonly xx: number;
  readonly xy: number;
  readonly yy: number;
}

/** The one-sigma ellipse of a place: half axes in feet, and the way of the longer one, radians from the x axis. */
export interface Ellipse {
  readonly major: number;
  readonly minor: number;
  readonly turn: number;
}

/** How well a hand clicks a point on a picture, pixels. */
export const CLICK = 1;
/** How far a pixel is moved to feel what it does, pixels. */
const PIXEL_STEP = 0.5;

/** A place, or a way between two, with the spread of its error. Feet. */
export interface Placed {
  readonly x: number;
  readonly y: number;
  readonly spread: Spread;
}

/** Where a click is on the field, with the spread that the click and the calibration leave; `null` when it is not on the field. Feet. */
export const placeAt = (calibration: Calibration, pixel: Pixel, click = CLICK, height = 0): Placed | null =>
  felt(calibration, [pixel], click, (camera, [at]) => groundAt(camera, at!, calibration, height));

/**
 * How far one click is from another on the field, with the spread of that; `null` when one is not on the field. What the camera is wrong
 * about moves both alike: near each other they are told far better than where they are. Feet.
 */
export const apartAt = (calibration: Calibration, from: Pixel, to: Pixel, click = CLICK): Placed | null =>
  felt(calibration, [from, to], click, (camera, [one, other]) => {
    const [a, b] = [groundAt(camera, one!, calibration, 0), groundAt(camera, other!, calibration, 0)];
    return a && b && { x: b.x - a.x, y: b.y - a.y };
  });

type Vector = { readonly x: number; readonly y: number };

/** What clicks tell, with what it changes by when a click or a number of the camera does. */
function felt(
  calibration: Calibration,
  clicks: readonly Pixel[],
  click: number,
  tell: (camera: FilmCamera, clicks: readonly Pixel[]) => Vector | null,
): Placed | null {
  const { camera, covariance } = calibration;
  const here = tell(camera, clicks);
  if (!here) return null;
  const by = (there: Vector | null, step: number): Vector => ({
    x: ((there ?? here).x - here.x) / step,
    y: ((there ?? here).y - here.y) / step,
  });
  const numbers = numbersOf(camera);
  const byCamera = STEPS.map((step, k) => {
    const moved = cameraOf(numbers.map((n, i) => (i === k ? n + step : n)));
    return by(tell(moved, clicks), step);
  });
  const byPixel = clicks.flatMap((_, k) =>
    (['x', 'y'] as const).map((axis) => {
      const moved = clicks.map((p, i) => (i === k ? { ...p, [axis]: p[axis] + PIXEL_STEP } : p));
      const { x, y } = by(tell(camera, moved), PIXEL_STEP);
      return { x: x * click, y: y * click };
    }),
  );
  const sum = { xx: 0, xy: 0, yy: 0 };
  for (const d of byPixel) add(sum, d, d, 1);
  byCamera.forEach((a, i) => byCamera.forEach((b, k) => add(sum, a, b, covariance[i]![k]!)));
  return { x: here.x, y: here.y, spread: sum };
}

function add(
  sum: { xx: number; xy: number; yy: number },
  a: { x: number; y: number },
  b: { x: number; y: number },
  weight: number,
): void {
  sum.xx += a.x * b.x * weight;
  sum.xy += ((a.x * b.y + a.y * b.x) / 2) * weight;
  sum.yy += a.y * b.y * weight;
}

/** The ellipse of a spread. */
export function ellipseOf({ xx, xy, yy }: Spread): Ellipse {
  const middle = (xx + yy) / 2;
  const reach = Math.sqrt(((xx - yy) / 2) ** 2 + xy * xy);
  return {
    major: Math.sqrt(Math.max(0, middle + reach)),
    minor: Math.sqrt(Math.max(0, middle - reach)),
    turn: 0.5 * Math.atan2(2 * xy, xx - yy),
  };
}

/** The error ellipse of a click; `null` when it is not on the field. */
export function placeError(calibration: Calibration, pixel: Pixel): Ellipse | null {
  const place = placeAt(calibration, pixel);
  return place && ellipseOf(place.spread);
}

/** Two looks at one place made into one, each weighed by what it knows: the sum of their informations. */
export function together<P extends { readonly x: number; readonly y: number; readonly spread: Spread }>(
  a: P,
  b: P,
): { x: number; y: number; spread: Spread } {
  const [p, q] = [turned(a.spread), turned(b.spread)];
  const spread = turned({ xx: p.xx + q.xx, xy: p.xy + q.xy, yy: p.yy + q.yy });
  const v = {
    x: p.xx * a.x + p.xy * a.y + q.xx * b.x + q.xy * b.y,
    y: p.xy * a.x + p.yy * a.y + q.xy * b.x + q.yy * b.y,
  };
  return { x: spread.xx * v.x + spread.xy * v.y, y: spread.xy * v.x + spread.yy * v.y, spread };
}

/** The inverse of a symmetric two by two. */
function turned({ xx, xy, yy }: Spread): Spread {
  const size = xx * yy - xy * xy;
  return { xx: yy / size, xy: -xy / size, yy: xx / size };
}
