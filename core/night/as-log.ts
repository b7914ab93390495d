import { FIRST_SNAP } from '../film/log/series';
import type { LogEntry } from '../model/game';
import type { NightSnap } from '../model/night';
import { MOST_SAID } from '../model/snap';

/**
 * Tapped snaps as entries of the game's log, those whose number is not in it yet. Down, distance and yards are nobody's guess: they begin as a
 * first down and are written down with the film.
 */
export const asLog = (snaps: readonly NightSnap[], taken: ReadonlySet<number>): LogEntry[] =>
  snaps
    .filter((s) => !taken.has(s.number))
    .map((s) => ({
      ...{ number: s.number, call: s.call, situation: { ...FIRST_SNAP, series: s.series } },
      logged: { personnel: '', said: atTheGame(s), notCounted: '' },
    }));

const atTheGame = ({ lost, signs }: NightSnap): string =>
  [
    ...(lost.length > 0 ? [`Lost at the game: ${lost.join(', ')}`] : []),
    ...(signs.length > 0 ? [`Seen before it: ${signs.join(', ')}`] : []),
  ]
    .join('. ')
    .slice(0, MOST_SAID);
