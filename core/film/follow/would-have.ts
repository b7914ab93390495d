import type { WorkedCall } from '../../calls/resolve-call';
import { askedPlaces, type AskedPlaces } from './asked';
import type { Track } from './follow';

/** The ways of the same men over the same frames, had they done something else than they did. */
export interface WouldHave {
  /** Everybody had done what was asked. */
  readonly asked: readonly Track[];
  /** A blocker alone had gone for that defender instead. */
  readonly instead: (blocker: string, defender: string) => Track | null;
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
