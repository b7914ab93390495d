import { calibrate } from '../film/calibrate/calibrate';
import { project } from '../film/calibrate/camera';
import { HASH } from '../film/calibrate/field-marks';
import type { Calibration, FilmCamera, Pixel } from '../model/calibration';

/** A camera high behind the offence, as the tests of film have it, and its picture. */
export const A_SIZE = { width: 960, height: 540 };
export const A_CAMERA: FilmCamera = {
  at: { x: 1, y: 14, z: 27 },
  pan: 0,
  tilt: 0.28,
  roll: 0,
  focal: 1.6,
  barrel: -0.1,
};

/** Where it sees a point of the field, feet. */
export const seenAt = (x: number, y: number, z = 0): Pixel => project(A_CAMERA, { x, y, z }, A_SIZE)!;

/** The same camera found from field marks, the ball on the 33 in the middle of the field. */
export function aCalibration(): Calibration {
  const found = calibrate({
    field: 'high school',
    frame: 23,
    ...A_SIZE,
    marks: [35, 40, 45].flatMap((yard) => [
      { yard, across: 'left hash' as const, pixel: seenAt(-HASH['high school'], yard * 3) },
      { yard, across: 'right hash' as const, pixel: seenAt(HASH['high school'], yard * 3) },
    ]),
    ball: seenAt(0, 99.46, 0.28),
  });
  if (!found.ok) throw new Error(JSON.stringify(found.problem));
  return found.value;
}
