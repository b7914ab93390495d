import type { Settings } from './settings';
import type { Situation } from './snap';

/** What a program calls a good run, by down. */
export type Standard = Pick<Settings, 'standardYards' | 'standardSecond' | 'standardThird'>;

/** Yards a good run gains in a situation: a share of what is needed where the coach has set one for that down, else the same yards always. */
export function standardFor(
  { standardYards, standardSecond, standardThird }: Standard,
  { down, distance }: Pick<Situation, 'down' | 'distance'>,
): number {
  const share = down === 1 ? 0 : down === 2 ? standardSecond : standardThird;
  return share > 0 ? share * distance : standardYards;
}

/** What a down asks for. */
export type Need = Pick<Situation, 'down' | 'distance'>;

/** Situations a call is usually looked at in. */
export const NEEDS: readonly Need[] = [
  { down: 1, distance: 10 },
  { down: 2, distance: 3 },
  { down: 2, distance: 7 },
  { down: 3, distance: 1 },
  { down: 3, distance: 3 },
  { down: 3, distance: 6 },
  { down: 4, distance: 1 },
];

export const ORDINALS = ['1st', '2nd', '3rd', '4th'] as const;

/** As it is said and written: "3rd and 2". */
export const sayNeed = ({ down, distance }: Need): string => `${ORDINALS[down - 1]} and ${distance}`;

/** Reads "3rd and 2", also "3 and 2"; `null` when it says no down and distance. */
export function readNeed(text: string): Need | null {
  const found = /^\s*([1-4])(?:st|nd|rd|th)? and (\d{1,2})\s*$/i.exec(text);
  const [down, distance] = [Number(found?.[1]), Number(found?.[2])];
  return found && distance > 0 ? { down, distance } : null;
}

/** Settings under which a run is judged on that down: good is what it asks for there, and never more than the line to gain. */
export const judgedOn = <S extends Standard>(settings: S, need: Need | null): S =>
  need ? { ...settings, standardYards: Math.min(need.distance, standardFor(settings, need)) } : settings;

/** Whether two programs, or one before and after a change, call the same runs good. */
export const isSameStandard = (a: Standard, b: Standard): boolean =>
  a.standardYards === b.standardYards && a.standardSecond === b.standardSecond && a.standardThird === b.standardThird;

/** What counts as a success, in a sentence. */
export function sayStandard({ standardYards, standardSecond, standardThird }: Standard): string {
  const share = (part: number, downs: string): string[] =>
    part > 0 ? [`${Math.round(100 * part)} % of what is needed on ${downs}`] : [];
  const shares = [...share(standardSecond, 'second down'), ...share(standardThird, 'third and fourth')];
  const yards = `${standardYards} yards${shares.length > 0 ? ' otherwise' : ''}`;
  return `A success gains ${[...shares, yards].join(', ')}, or the line to gain when it is short.`;
}
