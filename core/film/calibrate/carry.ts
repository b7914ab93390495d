import type { Calibration, FilmCamera, Pixel, Space } from '../../model/calibration';
import { project, type Size } from './camera';
import { HALF_WIDTH, HASH } from './field-marks';
import { leastSquares } from './least-squares';

/** A mark of the field and where it is seen on a frame. */
export interface SeenMark {
  readonly at: Space;
  readonly pixel: Pixel;
}

/** A camera that was carried to another frame, and how well the field fits there: median distance of the marks, pixels. */
export interface Carried {
  readonly camera: FilmCamera;
  readonly residual: number;
  /** How many marks were found. */
  readonly marks: number;
}

/** Fewer marks than this say nothing of how a camera has turned. */
const FEWEST = 6;
/** A mark farther off than this many medians is somebody's foot. */
const STRAY = 3;
/** Least distance that counts as stray, pixels. */
const STRAY_FROM = 0.8;
/** How far pan, tilt, roll and ln of the focal length are moved to feel their slope. */
const STEPS = [1e-6, 1e-6, 1e-6, 1e-6];
/** How far a zoom may go from one frame to the next: a standard deviation of ln of the focal length. */
const ZOOMS = 0.004;

/**
 * Turns a camera so that the field's marks are seen where they were found: pan, tilt, roll and zoom, from the same stand. Strays are left
 * out. `null` when too few marks are left to tell.
 */
export function carryCamera(camera: FilmCamera, seen: readonly SeenMark[], size: Size): Carried | null {
  let marks = seen;
  let found = camera;
  for (let round = 0; round < 3; round++) {
    if (marks.length < FEWEST) return null;
    found = turned(found, camera, marks, size);
    const away = marks.map((m) => distance(found, m, size));
    const limit = Math.max(STRAY_FROM, STRAY * middle(away));
    const kept = marks.filter((_, i) => away[i]! <= limit);
    if (kept.length === marks.length) break;
    marks = kept;
  }
  return { camera: found, residual: middle(marks.map((m) => distance(found, m, size))), marks: marks.length };
}

function turned(from: FilmCamera, before: FilmCamera, marks: readonly SeenMark[], size: Size): FilmCamera {
  const cameraOf = (p: readonly number[]): FilmCamera => ({
    ...from,
    pan: p[0]!,
    tilt: p[1]!,
    roll: p[2]!,
    focal: Math.exp(p[3]!),
  });
  const residuals = (p: readonly number[]): Float64Array => {
    const camera = cameraOf(p);
    const list = new Float64Array(marks.length * 2 + 1);
    marks.forEach((m, i) => {
      const there = project(camera, m.at, size);
      list[2 * i] = there ? there.x - m.pixel.x : 1000;
      list[2 * i + 1] = there ? there.y - m.pixel.y : 1000;
    });
    list[2 * marks.length] = (p[3]! - Math.log(before.focal)) / ZOOMS;
    return list;
  };
  const start = [from.pan, from.tilt, from.roll, Math.log(from.focal)];
  return cameraOf(leastSquares(residuals, start, STEPS).parameters);
}

function distance(camera: FilmCamera, { at, pixel }: SeenMark, size: Size): number {
  const there = project(camera, at, size);
  return there ? Math.hypot(there.x - pixel.x, there.y - pixel.y) : Infinity;
}

const middle = (values: readonly number[]): number =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? Infinity;

/** Marks of the field with corners that a picture library can hold on to: every yard at the hashes, every five at the sidelines. Feet. */
export function cornersOf({ field, spot }: Pick<Calibration, 'field' | 'spot'>): Space[] {
  const corners: Space[] = [];
  const [first, last] = [Math.max(0, Math.round(spot.y / 3) - 30), Math.min(100, Math.round(spot.y / 3) + 40)];
  for (let yard = first; yard <= last; yard++) {
    for (const x of [-HASH[field], HASH[field]]) corners.push({ x, y: yard * 3, z: 0 });
    if (yard % 5 === 0) for (const x of [-HALF_WIDTH, HALF_WIDTH]) corners.push({ x, y: yard * 3, z: 0 });
  }
  return corners;
}
