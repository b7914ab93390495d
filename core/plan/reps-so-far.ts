import type { RepMark, Script } from '../model/script';
import { isSamePlay, type PlayName } from '../model/week-plan';

/** Scripts that were run, with their marks. */
export interface Practised {
  readonly scripts: readonly Pick<Script, 'id' | 'reps'>[];
  readonly marks: readonly RepMark[];
}

export const NOTHING_PRACTISED: Practised = { scripts: [], marks: [] };

/** How often something went right, of how often it was tried. */
export interface Count {
  readonly good: number;
  readonly of: number;
}

/** How a play's reps went, whatever they met; reps nobody has marked count for nothing. */
export function repsSoFar(play: PlayName, { scripts, marks }: Practised): Count {
  const his = marks.filter((m) => {
    const rep = scripts.find((s) => s.id === m.script)?.reps[m.rep];
    return rep !== undefined && isSamePlay(play, rep);
  });
  return { good: his.filter((m) => m.good).length, of: his.length };
}
