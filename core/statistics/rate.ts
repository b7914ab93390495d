/** A share with everything needed to judge it: counts, what could not be told, and an interval. */
export interface Rate {
  readonly good: number;
  /** The base: cannot-tell marks are left out of it. */
  readonly of: number;
  readonly unknown: number;
  /** 0..1, or `null` with an empty base. */
  readonly share: number | null;
  /** 95 % interval, 0..1. */
  readonly low: number;
  readonly high: number;
  readonly tooFew: boolean;
}

/** Below this base a percentage is shown as "too few". */
export const TOO_FEW = 5;

const Z95 = 1.959964;

/**
 * A rate with Wilson's score interval (Wilson, J. Am. Stat. Assoc. 22, 1927), which stays inside 0..1 and holds for small counts.
 *
 * @example rateOf(3, 4, 0).share // => 0.75
 */
export function rateOf(good: number, of: number, unknown: number): Rate {
  if (of === 0) return { good, of, unknown, share: null, low: 0, high: 1, tooFew: true };
  const p = good / of;
  const z2 = Z95 ** 2;
  const middle = (p + z2 / (2 * of)) / (1 + z2 / of);
  const half = (Z95 / (1 + z2 / of)) * Math.sqrt((p * (1 - p)) / of + z2 / (4 * of ** 2));
  return {
    good,
    of,
    unknown,
    share: p,
    low: Math.max(0, middle - half),
    high: Math.min(1, middle + half),
    tooFew: of < TOO_FEW,
  };
}
