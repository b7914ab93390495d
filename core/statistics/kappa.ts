/** How well two people agree, beyond what chance alone would bring. */
export interface Agreement {
  /** Pairs that both could be compared on. */
  readonly pairs: number;
  readonly same: number;
  /** Share of pairs that are the same; `null` without any. */
  readonly share: number | null;
  /** Cohen's kappa: 1 all alike, 0 no more than chance; `null` where neither ever says anything else, as chance then explains everything. */
  readonly kappa: number | null;
}

/**
 * Agreement of two people who put the same things into categories (Cohen, Educ. Psychol. Meas. 20, 1960). With `scale` the categories lie on
 * it in their order and a near miss weighs less than a far one, by the distance (Cohen, Psychol. Bull. 70, 1968, linear weights).
 *
 * @example kappaOf([['plus', 'plus'], ['minus', 'plus']]).share // => 0.5
 */
export function kappaOf<T>(pairs: readonly (readonly [T, T])[], scale?: readonly T[]): Agreement {
  const n = pairs.length;
  const same = pairs.filter(([a, b]) => a === b).length;
  if (n === 0) return { pairs: 0, same: 0, share: null, kappa: null };
  const known = scale ?? [...new Set(pairs.flat() as T[])];
  const apart = (a: T, b: T): number => {
    if (!scale) return a === b ? 0 : 1;
    return Math.abs(known.indexOf(a) - known.indexOf(b)) / Math.max(1, known.length - 1);
  };
  const share = (side: 0 | 1, category: T): number => pairs.filter((p) => p[side] === category).length / n;
  const seen = pairs.reduce((sum, [a, b]) => sum + apart(a, b), 0) / n;
  let chance = 0;
  for (const a of known) for (const b of known) chance += share(0, a) * share(1, b) * apart(a, b);
  return { pairs: n, same, share: same / n, kappa: chance === 0 ? null : 1 - seen / chance };
}
