import type { FilmCamera, Pixel } from '../../model/calibration';
import { project, scaleAt, type Size } from '../calibrate/camera';
import type { Box, Part } from './eyes';

/** The body of a man as films show it: feet. Shoulders are so far apart, a trunk reaches so far above and below its middle. */
const TRUNK = { halfWidth: 0.8, share: 0.36 };
/** From the middle of the trunk to the top of the helmet, and half a body's width, feet. */
const OVER_TRUNK = 1.9;
const HALF_BODY = 0.95;

/** Height of the middle of the trunk with a hand on the ground, and standing, feet. */
export const TRUNK_HEIGHT = { down: 1.9, up: 3.3 };
/** The height it comes to in the play: a lineman stays low, a man who stood up bends a little, feet. */
export const UPRIGHT_HEIGHT = { down: 2.8, up: 3.1 };

/** A man at a place: x and y on the field, z the middle of his trunk. Feet. */
export interface Standing {
  readonly x: number;
  readonly y: number;
  readonly z: number;
}

/** The box around a man's trunk on the picture; `null` when he is outside it. */
export function trunkBox(camera: FilmCamera, man: Standing, size: Size): Box | null {
  const at = project(camera, man, size);
  if (!at || at.x < 0 || at.y < 0 || at.x > size.width || at.y > size.height) return null;
  const scale = scaleAt(camera, man, size);
  return { ...at, halfWidth: TRUNK.halfWidth * scale, halfHeight: Math.max(0.55, man.z * TRUNK.share) * scale };
}

/** How far a man is from the lens. */
const away = (camera: FilmCamera, man: Standing): number =>
  Math.hypot(man.x - camera.at.x, man.y - camera.at.y, man.z - camera.at.z);

/** Points of a trunk that are asked whether somebody is before them: a side of the grid. */
const GRID = 5;

/** The points of a box on an even grid. */
export function gridOf(box: Box, side: number): Pixel[] {
  const points: Pixel[] = [];
  for (let i = 0; i < side; i++)
    for (let k = 0; k < side; k++)
      points.push({
        x: box.x + box.halfWidth * ((2 * (i + 0.5)) / side - 1),
        y: box.y + box.halfHeight * ((2 * (k + 0.5)) / side - 1),
      });
  return points;
}

/** What hides others: everything of a man from the grass to the top of his helmet. */
interface Screen {
  readonly away: number;
  readonly left: number;
  readonly right: number;
  readonly top: number;
  readonly bottom: number;
}

function screenOf(camera: FilmCamera, man: Standing, size: Size): Screen | null {
  const feet = project(camera, { ...man, z: 0 }, size);
  const head = project(camera, { ...man, z: man.z + OVER_TRUNK }, size);
  if (!feet || !head) return null;
  const half = HALF_BODY * scaleAt(camera, man, size);
  return { away: away(camera, man), left: head.x - half, right: head.x + half, top: head.y, bottom: feet.y };
}

/** Whether nobody nearer to the lens stands before a point of a man. For all men at once: one test a man. */
export function sightsOf(camera: FilmCamera, men: readonly Standing[], size: Size): (man: number, p: Pixel) => boolean {
  const screens = men.map((m) => screenOf(camera, m, size));
  return (man, { x, y }) => {
    const own = screens[man]?.away ?? Infinity;
    return !screens.some(
      (s, i) => s && i !== man && s.away < own - 0.3 && x > s.left && x < s.right && y > s.top && y < s.bottom,
    );
  };
}

/** Whether anybody stands before the grass at a point of a picture. */
export function coveredBy(camera: FilmCamera, men: readonly Standing[], size: Size): (p: Pixel) => boolean {
  const screens = men.flatMap((m) => screenOf(camera, m, size) ?? []);
  return ({ x, y }) => screens.some((s) => x > s.left && x < s.right && y > s.top && y < s.bottom);
}

/** What of a man's trunk a camera sees: the share of it, and the largest part that is free; `null` when none is. */
export interface Sight {
  readonly share: number;
  readonly part: Part | null;
}

/** What a camera sees of everybody's trunk. */
export function sightOf(camera: FilmCamera, men: readonly Standing[], size: Size): Sight[] {
  const seen = sightsOf(camera, men, size);
  return men.map((m, i) => {
    const box = trunkBox(camera, m, size);
    if (!box) return { share: 0, part: null };
    const free = gridOf(box, GRID).map((p) => seen(i, p));
    return { share: free.filter(Boolean).length / free.length, part: largestPart(free) };
  });
}

/** The largest rectangle of a grid (column by column) that is free everywhere. */
function largestPart(free: readonly boolean[]): Part | null {
  let best: { size: number; part: Part } | null = null;
  const edge = (i: number): number => (2 * i) / GRID - 1;
  for (let left = 0; left < GRID; left++)
    for (let top = 0; top < GRID; top++)
      for (let right = left + 1; right <= GRID; right++)
        for (let bottom = top + 1; bottom <= GRID; bottom++) {
          const size = (right - left) * (bottom - top);
          if ((best && size <= best.size) || !allFree(free, left, top, right, bottom)) continue;
          best = { size, part: { left: edge(left), top: edge(top), right: edge(right), bottom: edge(bottom) } };
        }
  return best && best.part;
}

function allFree(free: readonly boolean[], left: number, top: number, right: number, bottom: number): boolean {
  for (let i = left; i < right; i++) for (let k = top; k < bottom; k++) if (!free[i * GRID + k]) return false;
  return true;
}

/** The share of a whole box that a part is. */
export const shareOf = (p: Part): number => ((p.right - p.left) * (p.bottom - p.top)) / 4;
