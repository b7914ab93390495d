import type { WorkedCall } from '../../calls/resolve-call';
import type { Team } from '../../model/measured';
import { runPlay } from '../../movement/run/run';
import type { WouldHave } from '../measures/measure';
import type { Track } from './follow';

/** Where a man is so many seconds after the first frame: feet on the field; `null` for somebody the call does not know. */
export type AskedPlaces = (id: string, team: Team, seconds: number) => { x: number; y: number } | null;

/** How long the asked run is worked out for, seconds. */
const LONGEST = 6;

/** Where everybody would be if all did what was asked of them; `start` is the time of the first frame, seconds from the snap. */
export function askedPlaces(
  { formation, front, resolution }: Pick<WorkedCall, 'formation' | 'front' | 'resolution'>,
  ball: { readonly x: number; readonly y: number },
  start: number,
): AskedPlaces {
  const run = runPlay(formation, front, resolution, { seconds: LONGEST });
  return (id, team, seconds) => {
    const i = run.men.findIndex((m) => m.id === id && m.team === team);
    const step = Math.max(0, Math.min(run.frames.length - 1, Math.round((seconds + start) / run.step)));
    return i < 0 ? null : { x: run.frames[step]![2 * i]! + ball.x, y: run.frames[step]![2 * i + 1]! + ball.y };
  };
}

/** The ways of the same men over the same frames as `places` has them; men it does not know have none. */
export function askedTracks(places: AskedPlaces, tracks: readonly Track[], framesPerSecond: number): Track[] {
  return tracks.flatMap((t) => askedTrack(places, t, framesPerSecond) ?? []);
}

function askedTrack(places: AskedPlaces, { id, team, places: own }: Track, framesPerSecond: number): Track | null {
  const way = own.map((_, f) => places(id, team, f / framesPerSecond));
  return way.some((p) => p === null)
    ? null
    : { id, team, places: way.map((p) => ({ ...p!, z: 0, error: 0, seen: 1 })) };
}

/** What would have been, had everybody done what was asked, or one of them gone for another man. `start`: seconds from the snap to the first frame. */
export function wouldHave(
  call: Pick<WorkedCall, 'formation' | 'front' | 'resolution'>,
  ball: { readonly x: number; readonly y: number },
  tracks: readonly Track[],
  { framesPerSecond, start }: { readonly framesPerSecond: number; readonly start: number },
): WouldHave {
  return {
    asked: askedTracks(askedPlaces(call, ball, start), tracks, framesPerSecond),
    instead(blocker, defender) {
      const man = tracks.find((t) => t.team === 'offence' && t.id === blocker);
      const assignments = call.resolution.assignments.map((a) =>
        a.blocker === blocker ? { ...a, target: defender, next: null } : a,
      );
      const other = { ...call, resolution: { ...call.resolution, assignments } };
      return man ? askedTrack(askedPlaces(other, ball, start), man, framesPerSecond) : null;
    },
  };
}
