import { unitOf } from '../grade/book/marked';
import { placesOf, type NewPlayer } from '../roster/player';
import type { Here } from '../roster/attendance';

/** A man at practice. */
export interface Practising {
  readonly playerId: number;
  /** Where he usually plays; empty for one who is nobody's first choice. */
  readonly seat: string;
  /** The parts of the line he can play in. */
  readonly units: readonly string[];
  /** He takes the snaps. */
  readonly takesSnaps: boolean;
  readonly here: Here;
  /** Pounds; `null` when nobody has written it down. */
  readonly weight: number | null;
}

/** A man of the roster at practice. */
export const practising = (
  player: Pick<NewPlayer, 'seat' | 'seats'> & { readonly id: number; readonly weight: number | null },
  here: Here,
): Practising => ({
  playerId: player.id,
  seat: player.seat,
  units: [
    ...new Set(
      placesOf(player)
        .filter((s) => s !== 'QB')
        .map(unitOf),
    ),
  ],
  takesSnaps: placesOf(player).includes('QB'),
  here,
  weight: player.weight,
});

/** The parts of the line a line coach has with him in his own time. */
const LINE_UNITS = ['tackles', 'guards', 'centre', 'tight ends and wings'];
export const isOnTheLine = ({ units }: Pick<Practising, 'units'>): boolean => units.some((u) => LINE_UNITS.includes(u));
export const snapsTheBall = ({ units }: Pick<Practising, 'units'>): boolean => units.includes('centre');

/** Is a drill for him at all? */
export const isFor = (drill: { readonly units: readonly string[] }, { units }: Pick<Practising, 'units'>): boolean =>
  drill.units.length === 0 || drill.units.some((u) => units.includes(u));
