import type { MeasuredMan } from '../alignment/places';
import type { LaterLook } from '../alignment/movement';
import type { FollowedPlay } from '../../model/measured';
import type { Track } from './follow';

/** Moments of the first second by which the movement of men who were followed is named, seconds from the snap. */
const LOOKS = [0.5, 0.7, 0.9];
/** No track is known better than this, feet. */
const LEAST = 0.1;

/** When a play was followed: its first frame, seconds from the snap, and its rate. */
type When = Pick<FollowedPlay, 'start' | 'framesPerSecond'>;

/** Everybody where his track has him so many seconds after the snap; nobody who was not followed so long. */
export function placedAt(tracks: readonly Track[], { start, framesPerSecond }: When, seconds: number): MeasuredMan[] {
  const frame = Math.round((seconds - start) * framesPerSecond);
  return tracks.flatMap(({ id, team, places }) => {
    const place = places[frame];
    if (!place) return [];
    const variance = Math.max(LEAST, place.error) ** 2 / 2;
    return [{ id, team, x: place.x, y: place.y, spread: { xx: variance, xy: 0, yy: variance }, angles: [] }];
  });
}

/** What the movement is named by, of men who were followed: where they were at the snap, and after it. */
export function looksAt(tracks: readonly Track[], when: When): { atSnap: MeasuredMan[]; looks: LaterLook[] } {
  const looks = LOOKS.map((seconds) => ({ seconds, men: placedAt(tracks, when, seconds) }));
  return { atSnap: placedAt(tracks, when, 0), looks };
}
