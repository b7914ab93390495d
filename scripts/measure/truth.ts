import { readFileSync } from 'node:fs';
import { projector, type Camera } from '#demo/cameras/lens';
import type { Field } from '#demo/cameras/field';
import { FRAMES_PER_SECOND, SNAP_FRAME, type Take } from '#demo/cameras/play';
import { cameraFor } from '#demo/cameras/stands';
import { chance } from '#demo/cameras/random';
import { HASH, HALF_WIDTH } from '#core/film/calibrate/field-marks';
import { ACROSS, type Across, type CalibrationInput, type FieldMark, type Pixel } from '#core/model/calibration';
import type { Feet, Look, Team } from '#core/model/measured';
import type { Movement } from '#core/model/movement';
import { ANGLES, type Angle } from '#core/model/angle';

/** What the cameras wrote down beside a snap. Places in inches, frame by frame, in the order of `men`. */
export interface Truth {
  readonly framesPerSecond: number;
  readonly frames: number;
  readonly snapFrame: number;
  readonly contactFrame: number;
  readonly whistleFrame: number;
  readonly field: { readonly yardLine: number; readonly ballX: number };
  readonly cameras: Readonly<Record<Angle, readonly Camera[]>>;
  readonly movement: readonly Movement[];
  readonly happened: readonly { kind: 'contact' | 'goes on'; frame: number; man: string; on: string }[];
  readonly men: readonly { readonly id: string; readonly team: Team; readonly number: number }[];
  readonly inches: readonly (readonly number[])[];
}

export const SIZE = { width: 960, height: 540 };
export const FIELD = 'high school';

export const readTruth = (folder: string, number: number): Truth =>
  JSON.parse(readFileSync(`${folder}/snap-${String(number).padStart(2, '0')}.truth.json`, 'utf8')) as Truth;

/** Where a man really is at a frame, feet from the ball. */
export function trulyAt(truth: Truth, man: number, frame: number): { x: number; y: number } {
  const row = truth.inches[Math.min(frame, truth.inches.length - 1)]!;
  return { x: row[2 * man]! / 12, y: row[2 * man + 1]! / 12 };
}

/** The hand of somebody who clicks: about a pixel off, the same way every time for the same seed. */
export function handOf(seed: number, pixels = 1): (p: Pixel) => Pixel {
  const random = chance(seed);
  const normal = (): number => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
  return (p) => ({ x: p.x + normal() * pixels, y: p.y + normal() * pixels });
}

/** A take as the cameras would write it down, without filming it. */
export function truthOf(take: Take, field: Field, seed: number, movement: readonly Movement[]): Truth {
  return {
    framesPerSecond: FRAMES_PER_SECOND,
    frames: take.frames.length,
    snapFrame: SNAP_FRAME,
    contactFrame: take.contactFrame,
    whistleFrame: take.whistleFrame,
    field,
    cameras: { 'end zone': [cameraFor('end zone', seed, field)], sideline: [cameraFor('sideline', seed, field)] },
    movement,
    happened: take.happened,
    men: take.frames[0]!.men.map(({ id, team, number }) => ({ id, team, number })),
    inches: take.frames.map((f) => f.men.flatMap((m) => [m.x * 12, m.y * 12])),
  };
}

const cameraAt = (truth: Truth, angle: Angle, frame: number): Camera => {
  const list = truth.cameras[angle];
  return list[Math.min(frame, list.length - 1)]!;
};

/** Where the true camera sees a point given in feet from the ball; `null` outside the picture. */
export function truePixel(
  truth: Truth,
  angle: Angle,
  frame: number,
  point: { x: number; y: number; z: number },
): Pixel | null {
  const p = projector(cameraAt(truth, angle, frame), SIZE.width, SIZE.height)(point);
  return p && p.x > 4 && p.x < SIZE.width - 4 && p.y > 4 && p.y < SIZE.height - 4 ? { x: p.x, y: p.y } : null;
}

/** The field marks somebody would click: crossings of yard lines with hashes and sidelines near the ball, no more than ten. */
export function marksClicked(truth: Truth, angle: Angle, frame: number, hand: (p: Pixel) => Pixel): FieldMark[] {
  const { yardLine, ballX } = truth.field;
  const feet: Partial<Record<Across, number>> = {
    'left sideline': -HALF_WIDTH,
    'left hash': -HASH[FIELD],
    'right hash': HASH[FIELD],
    'right sideline': HALF_WIDTH,
  };
  const seen: (FieldMark & { away: number })[] = [];
  for (let yard = Math.ceil((yardLine - 25) / 5) * 5; yard <= Math.min(100, yardLine + 35); yard += 5)
    for (const across of ACROSS) {
      const x = feet[across];
      if (x === undefined) continue;
      const point = { x: x - ballX, y: (yard - yardLine) * 3, z: 0 };
      const pixel = truePixel(truth, angle, frame, point);
      if (pixel) seen.push({ yard, across, pixel: hand(pixel), away: Math.abs(point.y - 6) });
    }
  return seen
    .sort((a, b) => a.away - b.away)
    .slice(0, 10)
    .map(({ yard, across, pixel }) => ({ yard, across, pixel }));
}

/** Everything a coach gives for a calibration of a frame, clicked by a hand. */
export const calibrationClicked = (
  truth: Truth,
  angle: Angle,
  frame: number,
  hand: (p: Pixel) => Pixel,
): CalibrationInput => ({
  field: FIELD,
  frame,
  ...SIZE,
  marks: marksClicked(truth, angle, frame, hand),
  ball: hand(truePixel(truth, angle, frame, { x: 0, y: 0.4, z: 0.4 })!),
});

/** Everybody's feet clicked at a frame, from the angles asked for. */
export function feetClicked(
  truth: Truth,
  frame: number,
  hand: (p: Pixel) => Pixel,
  angles: readonly Angle[] = ANGLES,
): Look {
  const feet = angles.flatMap((angle) =>
    truth.men.flatMap(({ id, team }, i): Feet[] => {
      const pixel = truePixel(truth, angle, frame, { ...trulyAt(truth, i, frame), z: 0 });
      return pixel ? [{ id, team, angle, pixel: hand(pixel) }] : [];
    }),
  );
  return { seconds: (frame - truth.snapFrame) / truth.framesPerSecond, feet };
}
