import type { Bend, Carried, FollowedPlay, KeptTrack } from '../../model/measured';
import type { Track } from './follow';

const hundredth = (value: number): number => Math.round(value * 100) / 100;

/** Tracks as they are kept: feet from the ball, to a hundredth. `start`: seconds from the snap to the first frame;
 * `carried`: cameras that moved. */
export function keepTracks(
  tracks: readonly Track[],
  ball: { readonly x: number; readonly y: number },
  framesPerSecond: number,
  start: number,
  carried: readonly Carried[] = [],
): FollowedPlay {
  return {
    framesPerSecond,
    start,
    carried: [...carried],
    tracks: tracks.map(({ id, team, places }) => ({
      id,
      team,
      places: places.map(({ x, y, error, seen }) => [
        hundredth(x - ball.x),
        hundredth(y - ball.y),
        hundredth(error),
        hundredth(seen),
      ]),
      heights: places.map(({ z }) => hundredth(z)),
    })),
  };
}

/** The error of a place that somebody has set by hand, feet. */
const BY_HAND = 0.3;
/** Until so long from a place set by hand its error is less than that of the film, seconds. */
const HOLDS = 0.4;

/** A kept track as one that can be asked for meetings; every place bent through what was set by hand. Feet, field frame. */
export function bentTrack(kept: KeptTrack, play: FollowedPlay, bends: readonly Bend[]): Track {
  const own = bends
    .filter((b) => b.id === kept.id && b.team === kept.team)
    .map((b) => ({ ...b, frame: Math.round((b.seconds - play.start) * play.framesPerSecond) }))
    .filter((b) => b.frame >= 0 && b.frame < kept.places.length)
    .sort((a, b) => a.frame - b.frame);
  // The start was clicked: it stays where it is unless it is set again.
  const pins = [
    ...(own[0]?.frame === 0 ? [] : [{ frame: 0, dx: 0, dy: 0 }]),
    ...own.map((b) => ({ frame: b.frame, dx: b.x - kept.places[b.frame]![0], dy: b.y - kept.places[b.frame]![1] })),
  ];
  const places = kept.places.map(([x, y, error, seen], frame) => {
    const { dx, dy } = shiftAt(pins, frame);
    const away = Math.min(Infinity, ...own.map((b) => Math.abs(b.frame - frame))) / play.framesPerSecond;
    const known = away < HOLDS ? Math.min(error, BY_HAND + (error - BY_HAND) * (away / HOLDS)) : error;
    return { x: x + dx, y: y + dy, z: kept.heights?.[frame] ?? 0, error: known, seen: away < HOLDS / 2 ? 1 : seen };
  });
  return { id: kept.id, team: kept.team, places };
}

interface Pin {
  readonly frame: number;
  readonly dx: number;
  readonly dy: number;
}

/** How far a frame is shifted: evenly between two pins, as far as the last one after it. */
function shiftAt(pins: readonly Pin[], frame: number): { dx: number; dy: number } {
  const next = pins.findIndex((p) => p.frame >= frame);
  const last = pins[pins.length - 1]!;
  if (next < 0) return last;
  const [a, b] = [pins[next - 1], pins[next]!];
  if (!a || b.frame === frame) return b;
  const share = (frame - a.frame) / (b.frame - a.frame);
  return { dx: a.dx + (b.dx - a.dx) * share, dy: a.dy + (b.dy - a.dy) * share };
}

/** Everybody's ways, bent. */
export const bentTracks = (play: FollowedPlay, bends: readonly Bend[]): Track[] =>
  play.tracks.map((t) => bentTrack(t, play, bends));
