import * as z from 'zod';
import { rateOf, type Rate } from '../../statistics/rate';
import { GradeSchema } from '../../model/grade';
import { AskedSchema } from '../../model/asked';
import { CountSchema, MEASURE_IDS, type Measure } from './measures';
import { DimensionSchema, BookFilterSchema } from './dimensions';
import { SpreadSchema } from './spread';

/** One line of the Book: a value of what is counted by, and what its grades say. */
export const BookLineSchema = z.object({
  /** As it stands in a filter. */
  key: z.string(),
  /** As it is said, where the key is only an id. */
  label: z.string(),
  marks: z.int(),
  counts: z.record(z.enum(MEASURE_IDS), CountSchema),
  /** How the marks spread between all of what they could earn and nothing. */
  spread: SpreadSchema,
  faults: z.array(z.object({ fault: z.string(), count: z.int() })),
});
export type BookLine = z.infer<typeof BookLineSchema>;

/** One way of counting: its lines, and everything together. */
export const BookPageSchema = z.object({
  by: DimensionSchema,
  filter: BookFilterSchema,
  /** What the filter's ids are called, by dimension and id: "man 7". */
  names: z.record(z.string(), z.string()),
  lines: z.array(BookLineSchema),
  total: BookLineSchema,
  /** More lines than are shown. */
  more: z.int(),
});
export type BookPage = z.infer<typeof BookPageSchema>;

/** One snap behind a number. */
export const BookSnapSchema = z.object({
  snapId: z.int(),
  number: z.int(),
  gameId: z.int(),
  opponent: z.string(),
  week: z.int(),
  blocker: z.string(),
  man: z.string(),
  scheme: z.string(),
  side: z.string(),
  front: z.string(),
  asked: AskedSchema,
  grade: GradeSchema,
});
export type BookSnap = z.infer<typeof BookSnapSchema>;
export const BookSnapsSchema = z.object({ snaps: z.array(BookSnapSchema), total: z.int() });
export type BookSnaps = z.infer<typeof BookSnapsSchema>;

/** The rate of a line for a measure. */
export function rateIn({ counts }: Pick<BookLine, 'counts'>, measure: Measure): Rate {
  const { good, of, unknown } = counts[measure];
  return rateOf(good, of, unknown);
}

/** Is something told of a measure in any of these lines? Columns of what no rubric asked for are left out. */
export const isMeasured = (lines: readonly Pick<BookLine, 'counts'>[], measure: Measure): boolean =>
  lines.some((l) => l.counts[measure].of > 0);

/** The 95 % interval of the difference of two rates, from their two Wilson intervals (Newcombe, Stat. Med. 17, 1998, method 10). */
export function differenceOf(now: Rate, before: Rate): { readonly low: number; readonly high: number } {
  const difference = (now.share ?? 0) - (before.share ?? 0);
  return {
    low: difference - Math.hypot((now.share ?? 0) - now.low, before.high - (before.share ?? 0)),
    high: difference + Math.hypot(now.high - (now.share ?? 0), (before.share ?? 0) - before.low),
  };
}

/** How two rates compare, in words: only what their intervals bear is called better or worse. */
export function compareRates(now: Rate, before: Rate): 'better' | 'worse' | 'no telling' {
  if (now.share === null || before.share === null || now.tooFew || before.tooFew) return 'no telling';
  const { low, high } = differenceOf(now, before);
  if (low > 0) return 'better';
  return high < 0 ? 'worse' : 'no telling';
}
