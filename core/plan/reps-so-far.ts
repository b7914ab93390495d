import type { RepMark, Script } from '../model/script';
import { isSamePlay, type PlayName } from '../model/week-plan';

/** Scripts that were run, with their marks. */
export interface Practised {
  readonly scripts: readonly Pick<Script, 'id' | 'kind' | 'reps'>[];
  readonly marks: readonly RepMark[];
}

export const NOTHING_PRACTISED: Practised = { scripts: [], marks: [] };

/** How often something went right, of how often it was tried. */
export interface Count {
  readonly good: number;
  readonly of: number;
}

/** Marked reps of a play, walked or run, whatever they met. */
const marked = (
  play: PlayName,
  { scripts, marks }: Practised,
  isOne: (script: Pick<Script, 'kind'>) => boolean,
): RepMark[] =>
  marks.filter((m) => {
    const script = scripts.find((s) => s.id === m.script);
    const rep = script?.reps[m.rep];
    return script !== undefined && isOne(script) && rep !== undefined && isSamePlay(play, rep);
  });

/** How a play's reps went at speed; those nobody has marked count for nothing, and a walk-through is no rep. */
export function repsSoFar(play: PlayName, practised: Practised): Count {
  const his = marked(play, practised, (s) => s.kind !== 'walk-through');
  return { good: his.filter((m) => m.good).length, of: his.length };
}

/** How often a play is walked through before it is run, and again at the week's last practice. */
export const WALKS = 3;

/** How often a play was walked through. */
export const walksSoFar = (play: PlayName, practised: Practised): number =>
  marked(play, practised, (s) => s.kind === 'walk-through').length;
