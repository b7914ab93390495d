import type { Track } from '#core/film/follow/follow';
import { chance } from './cameras/random';
import { SNAP_FRAME, type Take } from './cameras/play';

/** How far off following is, feet, and for how many frames an error lasts: as measured on the demo's film. */
const OFF = 0.3;
const LASTS = 0.9;

/** The ways of a run as following would report them, without filming it: off by a wandering error of so many feet. Feet from the ball. */
export function asFollowed(take: Take, seed: number, off = OFF): Track[] {
  const random = chance(seed);
  const normal = (): number => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
  const frames = take.frames.slice(SNAP_FRAME - 1, take.whistleFrame + 1);
  const step = off * Math.sqrt(1 - LASTS ** 2);
  return frames[0]!.men.map(({ id, team }, i) => {
    let [ex, ey] = [0, 0];
    const places = frames.map(({ men }) => {
      [ex, ey] = [LASTS * ex + step * normal(), LASTS * ey + step * normal()];
      return { x: men[i]!.x + ex, y: men[i]!.y + ey, z: 0, error: off, seen: 1 };
    });
    return { id, team, places };
  });
}
