import * as fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { FilmCamera } from '../../model/calibration';
import { project } from './camera';
import { carryCamera, cornersOf, type SeenMark } from './carry';

const SIZE = { width: 960, height: 540 };
const CAMERA: FilmCamera = { at: { x: 1, y: 14, z: 27 }, pan: 0, tilt: 0.28, roll: 0, focal: 1.6, barrel: -0.1 };
const CORNERS = cornersOf({ field: 'high school', spot: { x: 0, y: 99 } });

/** The corners as a camera sees them, each moved by so many pixels. */
const seenBy = (camera: FilmCamera, off: (i: number) => number = () => 0): SeenMark[] =>
  CORNERS.flatMap((at, i) => {
    const p = project(camera, at, SIZE);
    return p && p.x > 0 && p.y > 0 && p.x < SIZE.width && p.y < SIZE.height
      ? [{ at, pixel: { x: p.x + off(i), y: p.y } }]
      : [];
  });

describe('carrying a camera along', () => {
  it('finds how it has turned and zoomed, whatever the turn', () => {
    const small = (max: number) => fc.double({ min: -max, max, noNaN: true });
    fc.assert(
      fc.property(small(0.05), small(0.03), small(0.03), small(0.006), (pan, tilt, roll, zoom) => {
        const moved = {
          ...CAMERA,
          pan,
          tilt: CAMERA.tilt + tilt,
          roll,
          focal: CAMERA.focal * Math.exp(zoom),
        };
        const found = carryCamera(CAMERA, seenBy(moved), SIZE)!;
        expect(found.residual).toBeLessThan(0.05);
        for (const at of [
          { x: 0, y: 99, z: 0 },
          { x: 8, y: 110, z: 3 },
        ]) {
          const [a, b] = [project(found.camera, at, SIZE)!, project(moved, at, SIZE)!];
          expect(Math.hypot(a.x - b.x, a.y - b.y)).toBeLessThan(0.3);
        }
      }),
      { numRuns: 40 },
    );
  });
  it('leaves out marks that went with somebody’s foot', () => {
    const moved = { ...CAMERA, pan: 0.01 };
    const found = carryCamera(
      CAMERA,
      seenBy(moved, (i) => (i % 7 === 0 ? 9 : 0)),
      SIZE,
    )!;
    expect(found.camera.pan).toBeCloseTo(0.01, 4);
    expect(found.marks).toBeLessThan(seenBy(moved).length);
  });
  it('cannot tell from a handful', () => {
    expect(carryCamera(CAMERA, seenBy(CAMERA).slice(0, 5), SIZE)).toBeNull();
  });
});
