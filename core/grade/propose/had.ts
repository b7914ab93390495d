import type { Had } from '../../model/proposal';
import type { Meeting } from '../../film/follow/events';
import { secondsOf, type PlayOnFilm } from '../../film/measures/measure';

/** A touch shorter than this is a bump on the way, seconds. */
export const BUMP = 0.25;

/** Whom a blocker had, the longest first; meetings of the same two are one. Until `until`, seconds from the snap. */
export function hadBy(play: PlayOnFilm, blocker: string, until: number): Had[] {
  const own = play.meetings.filter((m) => m.blocker === blocker && secondsOf(play, m.from) < until);
  const found = new Map<string, Had>();
  for (const meeting of own) {
    const there = found.get(meeting.defender);
    const seconds = lasts(play, meeting, until) + (there?.seconds ?? 0);
    found.set(meeting.defender, {
      defender: meeting.defender,
      from: there?.from ?? Math.max(0, secondsOf(play, meeting.from)),
      seconds,
      sure: Math.max(meeting.sure, there?.sure ?? 0),
    });
  }
  return [...found.values()].sort((a, b) => b.seconds - a.seconds || a.from - b.from);
}

function lasts(play: PlayOnFilm, { from, to }: Meeting, until: number): number {
  const last = to === null ? until : Math.min(until, secondsOf(play, to));
  return Math.max(0, last - secondsOf(play, from));
}
