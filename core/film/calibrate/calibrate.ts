import type { Calibration, CalibrationInput, FieldMark, FilmCamera, Pixel } from '../../model/calibration';
import { spotOf } from './ball';
import { groundAt, project } from './camera';
import { placeOfMark } from './field-marks';
import { covarianceOf, leastSquares, type Fit } from './least-squares';
import { CLICK, placeError } from './uncertainty';
import { STEPS, cameraOf, numbersOf } from './numbers';

/** Why marks give no camera. `mark` is the one that fits worst, where one stands out. */
export interface CalibrationProblem {
  readonly kind: 'too few marks' | 'marks in one line' | 'does not fit' | 'ball off the field';
  readonly mark: number | null;
}
export type CalibrationResult =
  { readonly ok: true; readonly value: Calibration } | { readonly ok: false; readonly problem: CalibrationProblem };

/** A root mean square residual above this means that a mark has the wrong name, pixels at a picture 1000 wide. */
const FITS = 6;
/** Where a place cannot be told better than this, the marks do not say enough, feet. */
const KNOWS_NOTHING = 4;

/** What is believed of any camera before a mark is seen: standard deviations of barrel and roll. Four marks alone leave them open. */
const BELIEF = { barrel: 0.15, roll: 0.12 };

/**
 * Finds the camera from field marks on one frame: position, direction, focal length and lens at once, by least squares over pixel
 * distances. Needs two marks on each of two lines, or as much said otherwise. Principal point in the middle, pixels square.
 */
export function calibrate(input: CalibrationInput): CalibrationResult {
  const fail = (kind: CalibrationProblem['kind'], mark: number | null = null): CalibrationResult => ({
    ok: false,
    problem: { kind, mark },
  });
  const said = input.marks.reduce((sum, m) => sum + (m.across === 'anywhere' ? 1 : 2), 0);
  if (input.marks.length < 4 || said < 7) return fail('too few marks');
  const residuals = residualsOf(input);
  const fit = bestFit(input, residuals);
  if (!fit) return fail('marks in one line');
  const camera = cameraOf(fit.parameters);
  const distances = input.marks.map((mark) => distanceOf(camera, mark, input));
  const residual = Math.sqrt(distances.reduce((sum, d) => sum + d * d, 0) / distances.length);
  if (!(residual <= (FITS * input.width) / 1000)) return fail('does not fit', worstOf(distances));
  const free = Math.max(1, said - 6);
  const variance = Math.max(CLICK ** 2, distances.reduce((sum, d) => sum + d * d, 0) / free);
  const covariance = covarianceOf(fit.normal, variance);
  const spot = spotOf(camera, input.ball, input);
  if (!covariance) return fail('marks in one line');
  if (!spot || Math.abs(spot.x) > 80 || spot.y < -30 || spot.y > 330) return fail('ball off the field');
  const value: Calibration = { ...input, camera, covariance, residual, spot };
  return KNOWS.every((dx) => isKnown(value, dx)) ? { ok: true, value } : fail('marks in one line');
}

/** Where a camera has to know places for men to be measured: so far to the side of the ball, feet. */
const KNOWS = [-12, 0, 12];

/** Whether a place beside the ball is known well enough. */
function isKnown(calibration: Calibration, dx: number): boolean {
  const { spot, camera } = calibration;
  const pixel = project(camera, { x: spot.x + dx, y: spot.y, z: 0 }, calibration);
  const error = pixel && placeError(calibration, pixel);
  return error !== null && error.major < KNOWS_NOTHING;
}

/** The mark that fits worst, when it stands out from the others. */
function worstOf(distances: readonly number[]): number | null {
  const sorted = [...distances].sort((a, b) => b - a);
  return sorted[0]! > 1.3 * (sorted[1] ?? 0) ? distances.indexOf(sorted[0]!) : null;
}

/** Where a mark should be seen: on its line, at the spot of it nearest to the click when it may be anywhere there. */
function seenAt(camera: FilmCamera, mark: FieldMark, input: CalibrationInput): Pixel | null {
  const place = placeOfMark(mark, input.field);
  const x = place.x ?? groundAt(camera, mark.pixel, input)?.x;
  return x === undefined ? null : project(camera, { x, y: place.y, z: 0 }, input);
}

function distanceOf(camera: FilmCamera, mark: FieldMark, input: CalibrationInput): number {
  const seen = seenAt(camera, mark, input);
  return seen ? Math.hypot(seen.x - mark.pixel.x, seen.y - mark.pixel.y) : Infinity;
}

/** A mark that is not seen at all counts as this many pixels off. */
const UNSEEN = 5000;

/** Pixel distances of the marks, and the beliefs, as one list of numbers of variance 1 for a click of one pixel. */
function residualsOf(input: CalibrationInput): (numbers: readonly number[]) => Float64Array {
  return (numbers) => {
    const camera = cameraOf(numbers);
    const list = new Float64Array(input.marks.length * 2 + 2);
    input.marks.forEach((mark, i) => {
      const seen = seenAt(camera, mark, input);
      list[2 * i] = seen ? seen.x - mark.pixel.x : UNSEEN;
      list[2 * i + 1] = seen ? seen.y - mark.pixel.y : UNSEEN;
    });
    list[2 * input.marks.length] = camera.barrel / BELIEF.barrel;
    list[2 * input.marks.length + 1] = camera.roll / BELIEF.roll;
    return list;
  };
}

/** Places a camera may stand, seen from the marks: the way it looks (0 downfield), how far off and how high, feet. */
const LOOKS = [0, 0.5, -0.5, Math.PI / 2, -Math.PI / 2, Math.PI / 2 + 0.5, -Math.PI / 2 - 0.5, Math.PI];
const STANDS = [
  { away: 60, high: 12 },
  { away: 100, high: 30 },
  { away: 180, high: 45 },
];
/** How many of the best starts are followed to their end. */
const FOLLOWED = 5;

function bestFit(input: CalibrationInput, residuals: (numbers: readonly number[]) => Float64Array): Fit | null {
  const cost = (numbers: readonly number[]): number => residuals(numbers).reduce((sum, v) => sum + v * v, 0);
  const starts = LOOKS.flatMap((pan) => STANDS.flatMap((stand) => startAt(pan, stand, input)))
    .map((numbers) => ({ numbers, cost: cost(numbers) }))
    .sort((a, b) => a.cost - b.cost)
    .slice(0, FOLLOWED);
  let best: Fit | null = null;
  for (const { numbers } of starts) {
    const fit = leastSquares(residuals, numbers, STEPS);
    if (Number.isFinite(fit.cost) && (!best || fit.cost < best.cost)) best = fit;
  }
  return best;
}

/** A first guess: the camera at its stand, turned so that the middle of the marks is where it is on the picture, as near as their spread says. */
function startAt(pan: number, { away, high }: (typeof STANDS)[number], input: CalibrationInput): number[][] {
  const places = input.marks.map((m) => placeOfMark(m, input.field));
  const known = places.filter((p) => p.x !== null);
  if (known.length < 2) return [];
  const middle = {
    x: known.reduce((sum, p) => sum + p.x!, 0) / known.length,
    y: places.reduce((sum, p) => sum + p.y, 0) / places.length,
  };
  const at = { x: middle.x - Math.sin(pan) * away, y: middle.y - Math.cos(pan) * away, z: high };
  const camera: FilmCamera = { at, pan, tilt: Math.atan2(high, away), roll: 0, focal: 1, barrel: 0 };
  const seen = input.marks.flatMap((mark, i) => {
    const p = places[i]!.x === null ? null : project(camera, { x: places[i]!.x!, y: places[i]!.y, z: 0 }, input);
    return p ? [{ p, mark }] : [];
  });
  if (seen.length < 2) return [];
  const focal = spread(seen.map((s) => s.mark.pixel)) / spread(seen.map((s) => s.p));
  if (!(focal > 0.05 && focal < 50)) return [];
  const centre = mean(input.marks.map((m) => m.pixel));
  return [
    numbersOf({
      ...camera,
      focal,
      pan: pan - (centre.x - input.width / 2) / (focal * input.width),
      tilt: camera.tilt - (centre.y - input.height / 2) / (focal * input.width),
    }),
  ];
}

const mean = (points: readonly Pixel[]): Pixel => ({
  x: points.reduce((sum, p) => sum + p.x, 0) / points.length,
  y: points.reduce((sum, p) => sum + p.y, 0) / points.length,
});

function spread(points: readonly Pixel[]): number {
  const middle = mean(points);
  return Math.sqrt(points.reduce((sum, p) => sum + (p.x - middle.x) ** 2 + (p.y - middle.y) ** 2, 0) / points.length);
}
