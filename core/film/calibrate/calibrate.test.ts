import * as fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { CalibrationInput, FieldMark, FilmCamera } from '../../model/calibration';
import { calibrate } from './calibrate';
import { groundAt, project, rayThrough } from './camera';
import { HASH } from './field-marks';
import { placeAt, placeError, together } from './uncertainty';

const SIZE = { width: 960, height: 540 };
const END_ZONE: FilmCamera = {
  at: { x: 1, y: 14, z: 27 },
  pan: 0.01,
  tilt: 0.28,
  roll: 0.006,
  focal: 1.62,
  barrel: -0.1,
};
const PRESS_BOX: FilmCamera = {
  at: { x: -150, y: 97, z: 40 },
  pan: Math.PI / 2 - 0.01,
  tilt: 0.26,
  roll: -0.004,
  focal: 2.9,
  barrel: -0.12,
};

/** Every crossing of a yard line and a hash that a camera sees, in yards 25 to 60. */
function marksOf(camera: FilmCamera, noise: () => number = () => 0): FieldMark[] {
  const marks: FieldMark[] = [];
  for (let yard = 20; yard <= 60; yard += 5)
    for (const across of ['left hash', 'right hash'] as const) {
      const x = (across === 'left hash' ? -1 : 1) * HASH['high school'];
      const pixel = project(camera, { x, y: yard * 3, z: 0 }, SIZE);
      if (pixel && pixel.x > 0 && pixel.x < SIZE.width && pixel.y > 0 && pixel.y < SIZE.height)
        marks.push({ yard, across, pixel: { x: pixel.x + noise(), y: pixel.y + noise() } });
    }
  return marks;
}

const inputOf = (camera: FilmCamera, marks: FieldMark[], y = 99): CalibrationInput => ({
  field: 'high school',
  frame: 0,
  ...SIZE,
  marks,
  ball: project(camera, { x: 0, y, z: 0 }, SIZE)!,
});

/** Normal noise of one pixel from evenly spread numbers. */
function noiseFrom(numbers: readonly number[]): () => number {
  let i = 0;
  return () => {
    const [a, b] = [numbers[i++ % numbers.length]!, numbers[i++ % numbers.length]!];
    return Math.sqrt(-2 * Math.log(1 - a)) * Math.cos(2 * Math.PI * b);
  };
}

describe('a camera', () => {
  it('sees a point where the ray through its pixel meets the ground again', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(END_ZONE, PRESS_BOX),
        fc.double({ min: -20, max: 20, noNaN: true }),
        fc.double({ min: 88, max: 125, noNaN: true }),
        fc.double({ min: 0, max: 6, noNaN: true }),
        (camera, x, y, z) => {
          const pixel = project(camera, { x, y, z }, SIZE);
          if (!pixel) return;
          const back = groundAt(camera, pixel, SIZE, z)!;
          expect(Math.hypot(back.x - x, back.y - y)).toBeLessThan(1e-6);
        },
      ),
    );
  });
  it('sees nothing behind itself, and no ground above its horizon', () => {
    expect(project(END_ZONE, { x: 0, y: 0, z: 0 }, SIZE)).toBeNull();
    expect(groundAt({ ...END_ZONE, tilt: -0.2 }, { x: 480, y: 270 }, SIZE)).toBeNull();
    expect(rayThrough(END_ZONE, { x: 480, y: 270 }, SIZE).way.z).toBeLessThan(0);
  });
});

describe('calibrating', () => {
  it.each([
    ['the end zone', END_ZONE],
    ['the press box', PRESS_BOX],
    ['the other press box', { ...PRESS_BOX, at: { ...PRESS_BOX.at, x: 150 }, pan: -Math.PI / 2 + 0.02 }],
    ['the far end zone', { ...END_ZONE, at: { x: 2, y: 190, z: 25 }, pan: Math.PI - 0.01 }],
    ['a corner', { ...PRESS_BOX, at: { x: -110, y: 40, z: 35 }, pan: 1.08 }],
  ] as const)('finds a camera in %s again from exact marks', (_, camera) => {
    const input = inputOf(camera, marksOf(camera));
    expect(input.marks.length).toBeGreaterThanOrEqual(4);
    const found = calibrate(input);
    if (!found.ok) throw new Error(JSON.stringify(found.problem));
    expect(found.value.residual).toBeLessThan(0.3);
    for (const [x, y] of [
      [0, 99],
      [6, 105],
      [-8, 93],
    ] as const) {
      const back = groundAt(found.value.camera, project(camera, { x, y, z: 0 }, SIZE)!, SIZE)!;
      expect(Math.hypot(back.x - x, back.y - y)).toBeLessThan(0.15);
    }
  });

  it('is off no farther than its own error says, over many clickings of one pixel', () => {
    const misses: number[] = [];
    fc.assert(
      fc.property(
        fc.constantFrom(END_ZONE, PRESS_BOX),
        fc.array(fc.double({ min: 0.001, max: 0.999, noNaN: true }), { minLength: 90, maxLength: 90 }),
        (camera, numbers) => {
          const noise = noiseFrom(numbers);
          const found = calibrate(inputOf(camera, marksOf(camera, noise)));
          expect(found.ok).toBe(true);
          if (!found.ok) return;
          const pixel = project(camera, { x: 4, y: 101, z: 0 }, SIZE)!;
          const place = placeAt(found.value, { x: pixel.x + noise(), y: pixel.y + noise() })!;
          const { xx, xy, yy } = place.spread;
          const [dx, dy] = [place.x - 4, place.y - 101];
          misses.push((yy * dx * dx - 2 * xy * dx * dy + xx * dy * dy) / (xx * yy - xy * xy));
        },
      ),
      { numRuns: 120, seed: 11 },
    );
    // Squared distances in units of the error: two on the average when it is right, less when it is careful.
    const average = misses.reduce((sum, m) => sum + m, 0) / misses.length;
    expect(average).toBeGreaterThan(0.5);
    expect(average).toBeLessThan(3);
  });

  it('takes marks that are anywhere on their line beside four that are not', () => {
    const four = marksOf(PRESS_BOX).slice(0, 4);
    const pixel = project(PRESS_BOX, { x: -7, y: 90, z: 0 }, SIZE)!;
    const alone = calibrate(inputOf(PRESS_BOX, four));
    const more = calibrate(inputOf(PRESS_BOX, [...four, { yard: 30, across: 'anywhere', pixel }]));
    if (!alone.ok || !more.ok) throw new Error('no camera');
    const at = project(PRESS_BOX, { x: 5, y: 93, z: 0 }, SIZE)!;
    expect(placeError(more.value, at)!.major).toBeLessThan(placeError(alone.value, at)!.major);
  });

  it('names the mark that has the wrong yard line', () => {
    const marks = marksOf(PRESS_BOX);
    const wrong = marks.map((m, i) => (i === 2 ? { ...m, yard: m.yard + 5 } : m));
    const found = calibrate(inputOf(PRESS_BOX, wrong));
    expect(found).toMatchObject({ ok: false, problem: { kind: 'does not fit' } });
  });

  it('wants enough marks, and not all in one line', () => {
    const marks = marksOf(END_ZONE);
    expect(calibrate(inputOf(END_ZONE, marks.slice(0, 3)))).toMatchObject({
      ok: false,
      problem: { kind: 'too few marks' },
    });
    // Many on one hash fit well and say nothing of what is beside it.
    const oneHash = marks.filter((m) => m.across === 'left hash');
    expect(oneHash.length).toBeGreaterThan(5);
    for (const some of [oneHash.slice(0, 4), oneHash])
      expect(calibrate(inputOf(END_ZONE, some))).toMatchObject({ ok: false });
  });

  it('says so when the ball was not clicked on the field', () => {
    const camera = { ...END_ZONE, tilt: 0.02 };
    const input = { ...inputOf(camera, marksOf(camera)), ball: { x: 480, y: 2 } };
    expect(calibrate(input)).toMatchObject({ ok: false });
  });
});

describe('two looks at one place', () => {
  it('know more together than either alone, and agree with the surer one in its sure direction', () => {
    const a = { x: 0, y: 0, spread: { xx: 0.01, xy: 0, yy: 1 } };
    const b = { x: 1, y: 1, spread: { xx: 1, xy: 0, yy: 0.01 } };
    const both = together(a, b);
    expect(both.x).toBeCloseTo(0.0099, 3);
    expect(both.y).toBeCloseTo(0.9901, 3);
    expect(both.spread.xx).toBeLessThan(0.01);
    expect(both.spread.yy).toBeLessThan(0.01);
  });
});
