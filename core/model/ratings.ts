import * as z from 'zod';

/** How good somebody is at rushing or at protecting, as the coach sees it: 1 is weak, 5 is the best there is. */
export const RATINGS = [1, 2, 3, 4, 5] as const;
const RatingSchema = z.union(RATINGS.map((n) => z.literal(n)));
export type Rating = z.infer<typeof RatingSchema>;

/** Ratings typed by hand, ours by seat and theirs by the letter they have on the front; they stand until grades give better ones. */
export const RatingsSchema = z.object({
  ours: z.record(z.string().max(10), RatingSchema).default({}),
  theirs: z.record(z.string().max(10), RatingSchema).default({}),
});
export type Ratings = z.infer<typeof RatingsSchema>;
export const NO_RATINGS: Ratings = Object.freeze({ ours: {}, theirs: {} });
