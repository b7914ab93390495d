import { MESH } from '../../movement/run/carrier';
import type { Followed, Track } from '../follow/follow';
import { meetingOf } from './contact';
import { crossesAt } from './hole';
import { errorOf, frameOf, type Measure } from './measure';

/** A way shorter than this has no angle worth telling, feet. */
const SHORTEST = 2;
/** How long a man who meets nobody is looked at, seconds. */
const LATEST = 1.2;

/** The angle of a blocker's way to his man beside the runner's to the line: how far off straight ahead. */
export const trackAngleMeasure: Measure = {
  name: 'Angle of his track',
  trust: 'both angles',
  of: (play, man) => {
    const asked = man.team === 'offence' && play.assignments.find((a) => a.blocker === man.id);
    const runner = play.tracks.find((t) => t.team === 'offence' && t.id === play.carrier);
    const crossed = runner && crossesAt(runner);
    if (play.pass || !asked || asked.pull || !runner || crossed === null || crossed === undefined) return null;
    const met = meetingOf(play, man);
    const own = angleOf(man, 0, met?.from ?? frameOf(play, man, LATEST));
    const his = angleOf(runner, frameOf(play, runner, MESH), crossed);
    if (!own || !his) return null;
    const error = Math.hypot(own.error, his.error);
    const says = `${side(own.degrees)}, give or take ${own.error.toFixed(0)}°; the runner ${side(his.degrees)}`;
    return { says, value: own.degrees - his.degrees, error };
  },
};

/** Degrees off straight ahead, to the right counted up, with one standard deviation. */
function angleOf({ places }: Track, from: number, to: number): { degrees: number; error: number } | null {
  const [a, b]: (Followed | undefined)[] = [places[from], places[to]];
  if (!a || !b) return null;
  const [dx, dy] = [b.x - a.x, b.y - a.y];
  const far = Math.hypot(dx, dy);
  if (far < SHORTEST) return null;
  const degrees = (radians: number): number => (radians * 180) / Math.PI;
  return { degrees: degrees(Math.atan2(dx, dy)), error: degrees(Math.hypot(errorOf(a), errorOf(b)) / far) };
}

const side = (degrees: number): string => {
  const whole = Math.round(Math.abs(degrees));
  return whole === 0 ? 'straight ahead' : `${whole}° to the ${degrees < 0 ? 'left' : 'right'}`;
};
