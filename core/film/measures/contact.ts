import type { Meeting } from '../follow/events';
import { errorOf, secondsOf, withError, type Measure, type PlayOnFilm } from './measure';
import type { Track } from '../follow/follow';

/** A meeting that is no surer than this is not measured. */
const SURE = 0.5;
/** Frames a contact is known to. */
const FRAMES = 2;

/** The first sure meeting of a blocker with the man he was asked to block, or of a defender with anybody. */
export function meetingOf({ meetings, assignments }: PlayOnFilm, { id, team }: Track): Meeting | null {
  const asked = assignments.find((a) => a.blocker === id);
  const own = meetings.filter((m) =>
    team === 'defence'
      ? m.defender === id
      : m.blocker === id && (m.defender === asked?.target || m.defender === asked?.next),
  );
  return own.find((m) => m.sure > SURE) ?? null;
}

/** How soon he has his man. */
export const toContactMeasure: Measure = {
  name: 'To contact',
  trust: 'both angles',
  of: (play, man) => {
    const met = meetingOf(play, man);
    if (!met) return null;
    const value = Math.max(0, secondsOf(play, met.from));
    const error = FRAMES / play.framesPerSecond;
    const whom = man.team === 'offence' ? met.defender : met.blocker;
    return { says: `${whom} after ${withError(value, error, 's')}`, value, error };
  },
};

/** How far the man he has is moved while he has him: downfield and to the side. */
export const displacementMeasure: Measure = {
  name: 'Moved his man',
  trust: 'both angles',
  of: (play, man) => {
    const met = man.team === 'offence' ? meetingOf(play, man) : null;
    const his = met && play.tracks.find((t) => t.team === 'defence' && t.id === met.defender);
    if (!met || !his) return null;
    const last = Math.min(met.to ?? his.places.length - 1, his.places.length - 1);
    const [from, to] = [his.places[met.from]!, his.places[last]!];
    const error = Math.hypot(errorOf(from), errorOf(to));
    const [dx, dy] = [to.x - from.x, to.y - from.y];
    const way = dy < 0 ? 'gave' : 'moved him';
    const side = Math.abs(dx) < error ? '' : `, ${Math.abs(dx).toFixed(1)} ft to the ${dx < 0 ? 'left' : 'right'}`;
    return { says: `${way} ${withError(Math.abs(dy), error, 'ft')}${side}`, value: dy, error };
  },
};
