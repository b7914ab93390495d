import type { Meeting } from '../film/follow/events';
import type { Assignment } from '../model/resolution';
import { seconds } from '../geometry/units';

/** What the film shows of a man beside what was asked of him. */
export interface AskedBesideDone {
  readonly man: string;
  readonly asked: string;
  readonly done: string;
  /** Whether whom he met is whom he was asked to meet; `null` where the film does not tell. */
  readonly same: boolean | null;
}

/** A meeting surer than this is told as one, else as a guess; and so is its end. */
const SURE = 0.5;

/** How many meetings of a man are told: the surest ones, in the order in which they were. */
const TOLD = 2;
const mostTelling = (meetings: readonly Meeting[]): Meeting[] =>
  [...meetings]
    .sort((a, b) => Number(b.sure > SURE) - Number(a.sure > SURE) || a.from - b.from)
    .slice(0, TOLD)
    .sort((a, b) => a.from - b.from);

/** For every blocker with a man: whom he was asked to block, and whom he met and when. `start`: seconds from the snap to the first frame. */
export function askedBesideDone(
  assignments: readonly Assignment[],
  meetings: readonly Meeting[],
  framesPerSecond: number,
  start: number,
): AskedBesideDone[] {
  const at = (frame: number): string => seconds(Math.max(0, start + frame / framesPerSecond));
  return assignments
    .filter((a) => a.target !== null)
    .map((a) => {
      const own = mostTelling(meetings.filter((m) => m.blocker === a.blocker));
      const asked = a.next === null ? a.target! : `${a.target!}, then ${a.next}`;
      const done = own.map((m) => {
        const until = m.to === null ? '' : ` to ${m.sureTo > SURE ? '' : 'about '}${at(m.to)}`;
        return `${m.sure > SURE ? '' : 'perhaps '}${m.defender} ${at(m.from)}${until}`;
      });
      const sure = own.filter((m) => m.sure > SURE);
      const met = sure.some((m) => m.defender === a.target || m.defender === a.next);
      return {
        man: a.blocker,
        asked,
        done: done.join(', ') || 'met nobody',
        same: met ? true : sure.length > 0 ? false : null,
      };
    });
}
