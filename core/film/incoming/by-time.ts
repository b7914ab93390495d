import { ANGLES, type Angle } from '../../model/angle';
import { STAMP } from './name';

/** A film with when it was shot by its camera's own clock, seconds; and the snap it is known to show. */
export interface Shot {
  readonly id: number;
  readonly at: number;
  readonly shows: { readonly snap: number; readonly angle: Angle } | null;
}

/** What a film shows by the clock, and which film of the other angle says so. */
export interface PairedShot {
  readonly id: number;
  readonly snap: number;
  readonly angle: Angle;
  readonly beside: number;
}

/** Two people press their cameras for one snap within this of each other, seconds; snaps are farther apart. */
const TOGETHER = 8;
/** Fewer than so many pairs, or than this share of those that could be, are chance. */
const FEWEST = 3;
const MOST = 0.6;

/** When a film was shot, seconds on its camera's clock: as the file says, else as its name does; `null` where neither does. */
export function shotAt(name: string, said: string | undefined): number | null {
  const told = said === undefined ? NaN : Date.parse(said);
  if (Number.isFinite(told) && told > 0) return told / 1000;
  const [, year, month, day, hour, minute, second] = (STAMP.exec(name) ?? []).map(Number);
  if (year === undefined || month! > 12 || day! > 31 || hour! > 23 || minute! > 59 || second! > 59) return null;
  return Date.UTC(year, month! - 1, day, hour, minute, second) / 1000;
}

/**
 * Finds for films that nobody has said the snap of the one they show, by when they were shot beside films of the other angle whose snaps are
 * known. Cameras' clocks differ by any time, always the same: the one that brings most of them together is theirs. None when too few are.
 */
export function pairByTime(shots: readonly Shot[]): PairedShot[] {
  const open = shots.filter((s) => s.shows === null).sort((a, b) => a.at - b.at);
  for (const angle of ANGLES) {
    const other = ANGLES.find((a) => a !== angle)!;
    const known = shots.filter((s) => s.shows?.angle === angle).sort((a, b) => a.at - b.at);
    const best = bestPairing(known, open);
    if (best.length < FEWEST || best.length < MOST * Math.min(known.length, open.length)) continue;
    return best.map(([k, o]) => ({ id: o.id, snap: k.shows!.snap, angle: other, beside: k.id }));
  }
  return [];
}

type Pairing = readonly (readonly [known: Shot, open: Shot])[];

/** The pairs of the clocks' difference that makes most of them, and of those the nearest together. */
function bestPairing(known: readonly Shot[], open: readonly Shot[]): Pairing {
  let best: Pairing = [];
  let off = Infinity;
  for (const k of known)
    for (const o of open) {
      const apart = k.at - o.at;
      const pairs = pairsAt(known, open, apart);
      const sum = pairs.reduce((all, [a, b]) => all + Math.abs(a.at - b.at - apart), 0);
      if (pairs.length > best.length || (pairs.length === best.length && sum < off)) [best, off] = [pairs, sum];
    }
  return best;
}

/** Both in their order, each at most once, no farther apart than `TOGETHER` once one clock is put right. */
function pairsAt(known: readonly Shot[], open: readonly Shot[], apart: number): Pairing {
  const pairs: (readonly [Shot, Shot])[] = [];
  let o = 0;
  for (const k of known) {
    while (o < open.length && open[o]!.at + apart < k.at - TOGETHER) o++;
    if (o < open.length && open[o]!.at + apart <= k.at + TOGETHER) pairs.push([k, open[o++]!]);
  }
  return pairs;
}
