import { MESH, MET_BEHIND } from '../../movement/run/carrier';
import type { Track } from '../follow/follow';
import type { Timing } from './measure';

/**
 * The frames on which the ball can be met: of a run from the hand-over on, and not while it is so deep that whoever is beside it has passed
 * it at the mesh; of a pass all of them.
 */
export function ballFrames(play: Timing & { readonly pass: boolean }, { places }: Track, last: number): number[] {
  const first = play.pass ? 0 : Math.max(0, Math.round((MESH - play.start) * play.framesPerSecond));
  const frames = Array.from({ length: Math.max(0, last - first + 1) }, (_, i) => first + i);
  return play.pass ? frames : frames.filter((f) => places[f]!.y >= -MET_BEHIND);
}
