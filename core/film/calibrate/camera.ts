import type { FilmCamera, Pixel, Space } from '../../model/calibration';

/** Size of a picture, pixels. */
export interface Size {
  readonly width: number;
  readonly height: number;
}

/** A ray of sight: where it starts and which way it goes (not of length one). */
export interface Ray {
  readonly from: Space;
  readonly way: Space;
}

/** The camera's own axes in the frame of the field. */
interface Axes {
  readonly right: Space;
  readonly up: Space;
  readonly forward: Space;
}

function axesOf({ pan, tilt }: FilmCamera): Axes {
  const [sp, cp, st, ct] = [Math.sin(pan), Math.cos(pan), Math.sin(tilt), Math.cos(tilt)];
  return {
    right: { x: cp, y: -sp, z: 0 },
    up: { x: sp * st, y: cp * st, z: ct },
    forward: { x: sp * ct, y: cp * ct, z: -st },
  };
}

const dot = (a: Space, b: Space): number => a.x * b.x + a.y * b.y + a.z * b.z;

/** Nearer than this to the lens nothing is seen, feet. */
const NEAREST = 1;

/** Slopes beyond which the polynomial of a barrel lens turns back on itself. */
const turnsAt = (barrel: number): number => (barrel < 0 ? 1 / (-3 * barrel) : Infinity);

/** Where a point of the field is seen, pixels; `null` when it is behind the camera or so far aside that the lens has no answer. */
export function project(camera: FilmCamera, point: Space, { width, height }: Size): Pixel | null {
  const { right, up, forward } = axesOf(camera);
  const d = { x: point.x - camera.at.x, y: point.y - camera.at.y, z: point.z - camera.at.z };
  const depth = dot(d, forward);
  if (depth < NEAREST) return null;
  const u = dot(d, right) / depth;
  const v = dot(d, up) / depth;
  const square = u * u + v * v;
  if (square > turnsAt(camera.barrel)) return null;
  const bend = 1 + camera.barrel * square;
  const [c, s] = [Math.cos(camera.roll), Math.sin(camera.roll)];
  const scale = camera.focal * width;
  return { x: width / 2 + scale * bend * (u * c - v * s), y: height / 2 - scale * bend * (u * s + v * c) };
}

/** Pixels that a foot takes up at a point. */
export function scaleAt(camera: FilmCamera, point: Space, { width }: Size): number {
  const { forward } = axesOf(camera);
  const d = { x: point.x - camera.at.x, y: point.y - camera.at.y, z: point.z - camera.at.z };
  return (camera.focal * width) / Math.max(NEAREST, dot(d, forward));
}

/** The ray of sight through a pixel. The lens is undone by repeated substitution, which settles for lenses that film is shot with. */
export function rayThrough(camera: FilmCamera, pixel: Pixel, { width, height }: Size): Ray {
  const scale = camera.focal * width;
  const [x, y] = [(pixel.x - width / 2) / scale, (height / 2 - pixel.y) / scale];
  const [c, s] = [Math.cos(camera.roll), Math.sin(camera.roll)];
  const bent = { u: x * c + y * s, v: y * c - x * s };
  let [u, v] = [bent.u, bent.v];
  for (let i = 0; i < 12; i++) {
    const bend = 1 + camera.barrel * (u * u + v * v);
    [u, v] = [bent.u / bend, bent.v / bend];
  }
  const { right, up, forward } = axesOf(camera);
  return {
    from: camera.at,
    way: {
      x: forward.x + u * right.x + v * up.x,
      y: forward.y + u * right.y + v * up.y,
      z: forward.z + u * right.z + v * up.z,
    },
  };
}

/** The point of the plane `height` feet above the grass that is seen at a pixel; `null` when the sight goes over it. */
export function groundAt(camera: FilmCamera, pixel: Pixel, size: Size, height = 0): { x: number; y: number } | null {
  const { from, way } = rayThrough(camera, pixel, size);
  const t = (height - from.z) / way.z;
  if (!(t > 0) || !Number.isFinite(t)) return null;
  return { x: from.x + way.x * t, y: from.y + way.y * t };
}
