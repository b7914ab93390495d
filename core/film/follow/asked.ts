import type { WorkedCall } from '../../calls/resolve-call';
import type { Team } from '../../model/measured';
import { runPlay } from '../../movement/run/run';

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
