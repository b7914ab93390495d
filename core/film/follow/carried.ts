import type { Calibration, FilmCamera, Pixel } from '../../model/calibration';
import type { Carried, FollowedPlay } from '../../model/measured';
import type { Angle } from '../../model/angle';
import { project, type Size } from '../calibrate/camera';
import { carryCamera, cornersOf, type SeenMark } from '../calibrate/carry';
import type { Eyes } from './eyes';

/** A camera that moves, known on every frame up to the last that was looked at. */
export interface CarriedCamera {
  readonly camera: (frame: number) => FilmCamera;
  readonly carry: (frame: number, covered: (p: Pixel) => boolean) => void;
  /** For every frame after the first how well the field fitted, pixels; `null` where it could not be told and the camera was left as it was. */
  readonly residuals: readonly (number | null)[];
}

/** A camera carried from the frame it was calibrated on (`first`) along the film, by where the corners of the field go. */
export function carriedCamera(
  calibration: Pick<Calibration, 'field' | 'spot' | 'camera'>,
  first: number,
  size: Size,
  eyes: Eyes,
): CarriedCamera {
  const corners = cornersOf(calibration);
  const cameras: FilmCamera[] = [calibration.camera];
  const residuals: (number | null)[] = [];
  return {
    residuals,
    camera: (frame) => cameras[Math.max(0, Math.min(cameras.length - 1, frame - first))]!,
    carry: (_frame, covered) => {
      const before = cameras[cameras.length - 1]!;
      const seen = corners.flatMap((at) => {
        const p = project(before, at, size);
        return p && p.x > 0 && p.y > 0 && p.x < size.width && p.y < size.height && !covered(p) ? [{ at, p }] : [];
      });
      const went = eyes.flow(seen.map((s) => s.p));
      const marks = seen.flatMap(({ at }, i): SeenMark[] => (went[i] ? [{ at, pixel: went[i] }] : []));
      const found = carryCamera(before, marks, size);
      cameras.push(found?.camera ?? before);
      residuals.push(found?.residual ?? null);
    },
  };
}

/** What is kept of a carried camera: how it stood on each of so many frames from the first. */
export function keepCarried(angle: Angle, carried: CarriedCamera, first: number, frames: number): Carried {
  const told = carried.residuals.filter((r) => r !== null).sort((a, b) => a - b);
  return {
    angle,
    turns: Array.from({ length: frames }, (_, f) => {
      const { pan, tilt, roll, focal } = carried.camera(first + f);
      return [pan, tilt, roll, focal];
    }),
    residual: told[Math.floor(told.length / 2)] ?? null,
    untold: carried.residuals.length - told.length,
  };
}

/** How a camera stands so many seconds from the snap: as it was named, or as it was carried when it moves. */
export function cameraDuring(
  calibration: Pick<Calibration, 'camera'>,
  angle: string,
  play: FollowedPlay,
  seconds: number,
): FilmCamera {
  const turns = play.carried.find((c) => c.angle === angle)?.turns;
  const frame = Math.round((seconds - play.start) * play.framesPerSecond);
  const turn = turns?.[Math.max(0, Math.min(turns.length - 1, frame))];
  if (!turn) return calibration.camera;
  const [pan, tilt, roll, focal] = turn;
  return { ...calibration.camera, pan, tilt, roll, focal };
}
