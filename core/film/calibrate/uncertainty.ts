import type { Calibration, Pixel } from '../../model/calibration';
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

/** Where a click is on the field, with the spread that the click and the calibration leave; `null` when it is not on the field. Feet. */
export function placeAt(
  calibration: Calibration,
  pixel: Pixel,
  click = CLICK,
  height = 0,
): { x: number; y: number; spread: Spread } | null {
  const { camera, covariance } = calibration;
  const here = groundAt(camera, pixel, calibration, height);
  if (!here) return null;
  const numbers = numbersOf(camera);
  const byCamera = STEPS.map((step, k) => {
    const moved = cameraOf(numbers.map((n, i) => (i === k ? n + step : n)));
    const there = groundAt(moved, pixel, calibration, height) ?? here;
    return { x: (there.x - here.x) / step, y: (there.y - here.y) / step };
  });
  const byPixel = [
    { x: pixel.x + PIXEL_STEP, y: pixel.y },
    { x: pixel.x, y: pixel.y + PIXEL_STEP },
  ].map((p) => {
    const there = groundAt(camera, p, calibration, height) ?? here;
    return { x: ((there.x - here.x) / PIXEL_STEP) * click, y: ((there.y - here.y) / PIXEL_STEP) * click };
  });
  const sum = { xx: 0, xy: 0, yy: 0 };
  for (const d of byPixel) add(sum, d, d, 1);
  byCamera.forEach((a, i) => byCamera.forEach((b, k) => add(sum, a, b, covariance[i]![k]!)));
  return { ...here, spread: sum };
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
