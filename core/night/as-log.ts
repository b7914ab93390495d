import { FIRST_SNAP } from '../film/log/series';
import type { LogEntry } from '../model/game';
import type { NightSnap } from '../model/night';

/**
 * Tapped snaps as entries of the game's log, those whose number is not in it yet. Down, distance and yards are nobody's guess: they begin as a
 * first down and are written down with the film.
 */
export const asLog = (snaps: readonly NightSnap[], taken: ReadonlySet<number>): LogEntry[] =>
  snaps
    .filter((s) => !taken.has(s.number))
    .map(({ number, series, call, lost }) => ({
      ...{ number, call, situation: { ...FIRST_SNAP, series } },
      logged: { personnel: '', said: lost.length ? `Lost at the game: ${lost.join(', ')}` : '', notCounted: '' },
    }));
