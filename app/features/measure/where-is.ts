import { project } from '#core/film/calibrate/camera';
import { cameraDuring } from '#core/film/follow/carried';
import type { Track } from '#core/film/follow/follow';
import { sinceSnap } from '#core/film/frames';
import type { Calibration, Pixel } from '#core/model/calibration';
import type { Measuring } from '#core/model/measured';
import type { FilmClip } from './steps';

/** The height of a man that a picture stays on, feet. */
const CHEST = 3;

/** What is needed of a measured snap to find a man on its film. */
export interface Found {
  readonly measuring: Pick<Measuring, 'followed'>;
  readonly calibrations: Readonly<Record<number, Calibration>>;
}

/** Where a man who was followed is on a frame of a clip, in shares of the picture; `null` where its camera is not known. */
export function whereIs(
  { places }: Pick<Track, 'places'>,
  { measuring: { followed }, calibrations }: Found,
  clip: FilmClip,
  frame: number,
): Pixel | null {
  const calibration = calibrations[clip.id];
  if (!followed || !calibration) return null;
  const seconds = sinceSnap(frame, clip.snapFrame, clip.framesPerSecond);
  const at = Math.round((seconds - followed.start) * followed.framesPerSecond);
  const place = places[Math.max(0, Math.min(places.length - 1, at))]!;
  const { spot, width, height } = calibration;
  const there = { x: spot.x + place.x, y: spot.y + place.y, z: CHEST };
  const pixel = project(cameraDuring(calibration, clip.angle, followed, seconds), there, calibration);
  return pixel && { x: pixel.x / width, y: pixel.y / height };
}
