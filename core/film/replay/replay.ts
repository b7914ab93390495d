import { CARRIER_SPEED, TACKLE_REACH } from '../../kinematics/speeds';
import type { Assignment } from '../../model/resolution';
import { meetingsOf } from '../follow/events';
import type { Track } from '../follow/follow';
import { secondsOf, type FollowedMen, type PlayOnFilm, type Timing } from '../measures/measure';
import { ballFrames } from '../measures/ball-frames';
import { holeOf, lasts, type Hole } from '../measures/hole';

/** A play as it was followed, and as it would have been had everybody done what was asked. Tracks in feet from the ball. */
export interface Replayable extends Omit<PlayOnFilm, 'would'> {
  readonly asked: readonly Track[];
}

/** Whose block is mended: nobody's, one man's, or everybody's. */
export type Mended = 'nobody' | 'everybody' | { readonly blocker: string };

/** The first man to reach the ball whom nobody has. `depth`: feet past the line. */
export interface Met {
  readonly who: string;
  readonly seconds: number;
  readonly depth: number;
}

/** What comes of a play: on film, or with blocks mended. */
export interface Replay {
  readonly mended: Mended;
  readonly tracks: readonly Track[];
  /** `null` where the ball never crossed the line, or on a pass. */
  readonly hole: Hole | null;
  readonly met: Met | null;
  /** Until when it is known, seconds from the snap, and how far past the line the ball was then, feet. */
  readonly until: number;
  readonly reached: number;
}

/**
 * Runs a followed play again with blocks mended. Who is mended, and the men he was asked to block, go where the run of what was asked has
 * them; all others stay as they were filmed; the carrier goes on straight from where a mended man's defender had met him. It knows places
 * and speed only: how the others would have played it nobody knows. `null` when the film does not have the carrier.
 */
export function replayOf(play: Replayable, mended: Mended): Replay | null {
  const isCarrier = (t: Track): boolean => t.team === 'offence' && t.id === play.carrier;
  const filmed = play.tracks.find(isCarrier);
  if (!filmed) return null;
  const goesAsAsked = askedMen(play.assignments, mended);
  const blockers = play.tracks.flatMap((t) => {
    if (t === filmed) return [];
    return [(goesAsAsked(t) && play.asked.find((a) => a.id === t.id && a.team === t.team)) || t];
  });
  const carrier =
    mended === 'everybody'
      ? (play.asked.find(isCarrier) ?? filmed)
      : mended === 'nobody' || play.pass
        ? filmed
        : goesOn(play, filmed, goesAsAsked);
  const tracks = [...blockers, carrier];
  const meetings = mended === 'nobody' ? play.meetings : meetingsOf(tracks, play.framesPerSecond);
  const on = { ...play, tracks, meetings };
  const last = Math.min(...tracks.map((t) => t.places.length)) - 1;
  return {
    mended,
    tracks,
    hole: play.pass ? null : holeOf(on, carrier),
    met: metBy(on, carrier, last),
    until: secondsOf(on, last),
    reached: carrier.places[last]!.y,
  };
}

/** Who goes where he was asked: a mended blocker, and the defenders he was asked to block. */
function askedMen(assignments: readonly Assignment[], mended: Mended): (t: Track) => boolean {
  if (mended === 'everybody') return () => true;
  if (mended === 'nobody') return () => false;
  const own = assignments.find((a) => a.blocker === mended.blocker);
  return ({ id, team }) =>
    team === 'offence' ? id === mended.blocker : id === own?.target || (id === own?.next && own.next !== null);
}

/** The carrier's way: as filmed until one of these defenders meets him, straight on from there. */
function goesOn(play: Replayable, carrier: Track, goesAsAsked: (t: Track) => boolean): Track {
  const met = metBy(play, carrier, carrier.places.length - 1);
  const by = met && play.tracks.find((t) => t.team === 'defence' && t.id === met.who);
  if (!by || !goesAsAsked(by)) return carrier;
  const frame = frameAfter(play, met.seconds);
  const from = carrier.places[frame]!;
  const places = carrier.places.map((p, f) =>
    f <= frame ? p : { ...p, x: from.x, y: from.y + ((f - frame) / play.framesPerSecond) * CARRIER_SPEED },
  );
  return { ...carrier, places };
}
const frameAfter = ({ framesPerSecond, start }: Timing, seconds: number): number =>
  Math.round((seconds - start) * framesPerSecond);

/** The first defender within reach of the carrier whom no blocker has; the whole of a run from the hand-over on, of a pass from the snap. */
function metBy(play: FollowedMen & { readonly pass: boolean }, carrier: Track, last: number): Met | null {
  const defenders = play.tracks.filter((t) => t.team === 'defence');
  for (const f of ballFrames(play, carrier, last)) {
    const ball = carrier.places[f]!;
    const near = defenders
      .filter((d) => !play.meetings.some((m) => m.defender === d.id && lasts(m, f)))
      .map((d) => ({ d, away: Math.hypot(d.places[f]!.x - ball.x, d.places[f]!.y - ball.y) }))
      .sort((a, b) => a.away - b.away)[0];
    if (near && near.away <= TACKLE_REACH) return { who: near.d.id, seconds: secondsOf(play, f), depth: ball.y };
  }
  return null;
}

/** One block that, mended alone, would have changed what came of the play. */
export interface Mend {
  readonly blocker: string;
  readonly replay: Replay;
}

/** A hole is another one from this many feet on, or twice its error; a ball that is met is met elsewhere from this many feet or seconds on. */
const OTHER = { width: 1, depth: 3, seconds: 0.3 };

/** Which blocks would have changed the play, each mended alone; what changes most first. */
export function mendsThatMatter(play: Replayable): Mend[] {
  const was = replayOf(play, 'nobody');
  if (!was) return [];
  return play.assignments
    .filter((a) => a.target !== null)
    .flatMap(({ blocker }) => {
      const replay = replayOf(play, { blocker });
      const gain = replay ? gainOf(was, replay) : 0;
      return replay && gain > 0 ? [{ blocker, replay, gain }] : [];
    })
    .sort((a, b) => b.gain - a.gain || (a.blocker < b.blocker ? -1 : 1))
    .map(({ blocker, replay }) => ({ blocker, replay }));
}

/** How much more comes of a play: feet of the hole and of the way to where the ball is met. 0 for what is no more than its error. */
function gainOf(was: Replay, now: Replay): number {
  const wider = was.hole && now.hole ? now.hole.width - was.hole.width : 0;
  const sure = Math.max(OTHER.width, 2 * Math.hypot(was.hole?.error ?? 0, now.hole?.error ?? 0));
  const wide = wider >= sure ? wider : 0;
  if (!was.met) return wide;
  const far = (now.met?.depth ?? now.reached) - was.met.depth;
  const late = (now.met?.seconds ?? now.until) - was.met.seconds;
  const elsewhere = far >= OTHER.depth || late >= OTHER.seconds;
  return wide + (elsewhere ? Math.max(far, OTHER.depth) : 0);
}
