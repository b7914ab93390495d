import { calibrate } from '../film/calibrate/calibrate';
import { project } from '../film/calibrate/camera';
import { HASH } from '../film/calibrate/field-marks';
import type { Angle } from '../model/angle';
import type { Calibration, CalibrationInput, FilmCamera, Pixel } from '../model/calibration';

const SIZE = { width: 960, height: 540 };
/** Where the ball lies, field frame. */
export const BALL_AT = { x: -5, y: 99 };
/** One high behind the offence, one on the left sideline. */
const CAMERAS: Record<Angle, FilmCamera> = {
  'end zone': { at: { x: -4, y: 13, z: 27 }, pan: 0.01, tilt: 0.28, roll: 0.006, focal: 1.62, barrel: -0.1 },
  sideline: { at: { x: -155, y: 97, z: 40 }, pan: Math.PI / 2, tilt: 0.26, roll: 0, focal: 2.9, barrel: -0.12 },
};
/** Where a camera sees a place counted from the ball, feet. */
export const seenFrom = (angle: Angle, x: number, y: number, z = 0): Pixel =>
  project(CAMERAS[angle], { x: BALL_AT.x + x, y: BALL_AT.y + y, z }, SIZE)!;

/** Both cameras found from field marks. */
export function calibrationsOfBoth(): Readonly<Record<Angle, Calibration>> {
  const of = (angle: Angle) => {
    const marks = [30, 35, 40, 45].flatMap((yard) =>
      (['left hash', 'right hash'] as const).map((across) => ({
        yard,
        across,
        pixel: project(
          CAMERAS[angle],
          { x: (across === 'left hash' ? -1 : 1) * HASH['high school'], y: yard * 3, z: 0 },
          SIZE,
        )!,
      })),
    );
    const input: CalibrationInput = {
      field: 'high school',
      frame: 0,
      ...SIZE,
      marks,
      ball: seenFrom(angle, 0, 0.46, 0.28),
    };
    const result = calibrate(input);
    if (!result.ok) throw new Error(JSON.stringify(result.problem));
    return result.value;
  };
  return { 'end zone': of('end zone'), sideline: of('sideline') };
}
