import { BLOCKS, type BlockId } from '../vocabulary/index';
import type { BlockWord } from '../vocabulary/word';
import type { Standing } from './standing';

/** A block as it is said in the middle of a sentence. */
export const blockWord = (id: string): string =>
  (BLOCKS[id as BlockId] as BlockWord | undefined)?.name.toLowerCase() ?? id.replaceAll('-', ' ');

/** "8 of 13 good", or that there is nothing to go by. */
export const sayRecord = ({ good, of }: { readonly good: number; readonly of: number }): string =>
  of === 0 ? 'never graded at it' : `${good} of ${of} good`;

/** How often, as it is said: no more exact than a plan is. */
export function sayTimes(times: number): string {
  if (times < 0.75) return 'perhaps once';
  const whole = Math.round(times);
  return whole === 1 ? 'about once' : whole === 2 ? 'about twice' : `about ${whole} times`;
}

/** A man's week in one sentence: what he is asked most dearly, how he stands at it, and what hangs on it. `name` says a play. */
export function sayNumber({ block, times, record, kills, costs }: Standing, name: (play: number) => string): string {
  const asked = `${blockWord(block)}: asked ${sayTimes(times)}, ${sayRecord(record)}`;
  const capital = asked[0]!.toUpperCase() + asked.slice(1);
  if (kills.length > 0) {
    const [first, second] = kills.map(name);
    const more = kills.length > 2 ? `; ${kills.length - 2} more` : '';
    return `${capital}. With it ${kills.length > 1 ? 'die' : 'dies'} ${[first, second].filter(Boolean).join('; ')}${more}.`;
  }
  return costs < 0.5 ? `${capital}.` : `${capital}. A lost one costs ${costs.toFixed(1)} yards.`;
}
