import { LINE_SEATS } from '../../model/formation';
import type { Track } from '../follow/follow';
import { errorOf } from './measure';

/** A lineman past the line of scrimmage: how far, feet, with one standard deviation. */
export interface PastLine {
  readonly id: string;
  readonly depth: number;
  readonly error: number;
}

/** Who of the line is surely past the line of scrimmage on a frame, the farthest first: what is looked at when a ball is thrown. `null` on one nobody was followed to. */
export function pastTheLine(tracks: readonly Track[], frame: number): PastLine[] | null {
  if (!tracks.some((t) => t.places[frame])) return null;
  return tracks
    .filter((t) => t.team === 'offence' && (LINE_SEATS as readonly string[]).includes(t.id))
    .flatMap(({ id, places }) => {
      const at = places[frame];
      return at && at.y > errorOf(at) ? [{ id, depth: at.y, error: errorOf(at) }] : [];
    })
    .sort((a, b) => b.depth - a.depth);
}
