import { howMany } from '#core/vocabulary/how-many';
import type { Cut } from '#core/film/recording/marks';

export const SPEED_WORDS = { 1: 'full speed', 2: 'double speed', 4: 'four times the speed' } as const;

/** A frame as the clock of the recording, `rate` frames a second. */
export function clockOf(frame: number, rate: number): string {
  const tenths = Math.round((10 * frame) / rate);
  return `${Math.floor(tenths / 600)}:${((tenths % 600) / 10).toFixed(1).padStart(4, '0')}`;
}

/** How long a cut is. */
export const lengthOf = ({ from, to }: Cut, rate: number): string => `${((to - from + 1) / rate).toFixed(1)} s`;

/** Where in a cut the ball is snapped. */
export const saySnap = ({ snap }: Cut, rate: number): string =>
  snap === null ? 'no snap seen' : `snap ${clockOf(snap, rate)}`;

/** How far the looking for snaps is: `null` while it goes on. */
export function sayLooked(suggested: number | null): string {
  if (suggested === null) return 'Is being looked at for snaps …';
  return suggested ? `${howMany(suggested, 'snap')} suggested` : '';
}

/** How the other recording goes beside this one: `shift` seconds later, and how many of the cuts it holds. */
export function sayPaired(shift: number | null, held: number, cuts: number): string {
  if (shift === null) return '';
  const later = shift >= 0 ? 'later' : 'earlier';
  return `It shows the same ${Math.abs(shift).toFixed(2)} s ${later}; ${held} of ${cuts} are on it.`;
}
