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
