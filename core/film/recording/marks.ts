import type { Piece } from './suggest';

/** A piece that is to become a snap's film, in frames of its recording, both ends included. */
export interface Cut {
  readonly number: number;
  readonly from: number;
  readonly snap: number | null;
  readonly to: number;
}

/** Pieces in seconds as cuts in frames, numbered from `first` on. Where one begins as another ends, the frame is the later one's. */
export function cutsOf(pieces: readonly Piece[], rate: number, frames: number, first: number): Cut[] {
  const frame = (seconds: number): number => Math.max(0, Math.min(frames - 1, Math.round(seconds * rate)));
  return pieces.map(({ from, snap, to }, i) => {
    const next = pieces[i + 1];
    return {
      number: first + i,
      from: frame(from),
      snap: snap === null ? null : frame(snap),
      to: next ? Math.min(frame(to), frame(next.from) - 1) : frame(to),
    };
  });
}

/** The cuts in order of the recording, numbered from `first` on. */
export const renumber = (cuts: readonly Cut[], first: number): Cut[] =>
  [...cuts].sort((a, b) => a.from - b.from).map((cut, i) => ({ ...cut, number: first + i }));

/**
 * Puts a cut among others: it takes what overlaps it, wholly or in part, from them, so that no frame is in two. What is left of another one
 * without its snap, or of no length, goes. All are numbered from `first` on.
 */
export function putCut(cuts: readonly Cut[], cut: Cut, first: number): Cut[] {
  const others = cuts.flatMap((other): Cut[] => {
    if (other.to < cut.from || other.from > cut.to) return [other];
    const rest = other.from < cut.from ? { ...other, to: cut.from - 1 } : { ...other, from: cut.to + 1 };
    const isWhole = rest.from < rest.to && (rest.snap === null || (rest.snap >= rest.from && rest.snap <= rest.to));
    return isWhole ? [rest] : [];
  });
  return renumber([...others, cut], first);
}

/** The same moments in another recording of the game that shows them `shift` seconds later; cuts it does not hold whole are left out. */
export function inOther(
  cuts: readonly Cut[],
  rate: number,
  other: { readonly rate: number; readonly frames: number },
  shift: number,
): Cut[] {
  const frame = (at: number): number => Math.round((at / rate + shift) * other.rate);
  return cuts.flatMap(({ number, from, snap, to }) => {
    const there = { number, from: frame(from), snap: snap === null ? null : frame(snap), to: frame(to) };
    return there.from >= 0 && there.to < other.frames ? [there] : [];
  });
}
