import { workCall } from '#core/calls/resolve-call';
import { wouldHave } from '#core/film/follow/would-have';
import { meetingsOf } from '#core/film/follow/events';
import { askedOnFilm } from '#core/film/measures/measure';
import { propose } from '#core/grade/propose/propose';
import type { Proposal } from '#core/model/proposal';
import { asFollowed } from './as-followed';
import { FRAMES_PER_SECOND, runPlay } from './cameras/play';
import type { DemoSnap } from './scenario';

/** What would be proposed of a snap that is run with these faults and followed as well as film is, or `off` so many feet, without filming it. */
export function proposedFor(snap: DemoSnap, seed: number, off?: number): Proposal[] {
  const worked = workCall(snap.call);
  if (!worked.ok) throw new Error(`${snap.call.scheme} cannot be worked out`);
  const tracks = asFollowed(runPlay(worked.value, snap, seed), seed, off);
  const start = -1 / FRAMES_PER_SECOND;
  const film = { framesPerSecond: FRAMES_PER_SECOND, start };
  const would = wouldHave(worked.value, { x: 0, y: 0 }, tracks, film);
  const asked = askedOnFilm(worked.value.formation, worked.value.resolution);
  const meetings = meetingsOf(tracks, FRAMES_PER_SECOND);
  return propose({ ...film, tracks, meetings, ...asked, would });
}
