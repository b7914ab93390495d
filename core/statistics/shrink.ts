/** A share out of counts, as far as it goes: `good` of `of`. */
export interface Counted {
  readonly good: number;
  readonly of: number;
}

/**
 * As how many snaps of his own the rate of everybody counts until a man has shown otherwise. An assumption: with it eight snaps of a man
 * weigh as much as all that is known of the others.
 */
export const PRIOR_SNAPS = 8;

/**
 * The rate of a few counts drawn toward what is known of the many: the mean of a beta distribution whose prior has the given mean and weighs
 * `PRIOR_SNAPS`. Between the two, nearer to his own the more there is of it; without counts it is the prior itself.
 *
 * @example shrunk({ good: 4, of: 8 }, 0.7) // => 0.6
 */
export const shrunk = ({ good, of }: Counted, prior: number): number =>
  (good + prior * PRIOR_SNAPS) / (of + PRIOR_SNAPS);
