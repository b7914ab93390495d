import * as z from 'zod';
import { BlockRecordSchema } from './block-record';
import { DaySchema } from './day';
import { PracticeWeekSchema } from './practice';
import { RepMarkSchema, ScriptsSchema } from './script';
import { WeekPlanSchema } from './week-plan';

/** What people decide about a week, each part by itself with a revision of its own. A new part is one line here. */
export const WEEK_PARTS = { plan: WeekPlanSchema, practice: PracticeWeekSchema, scripts: ScriptsSchema } as const;
export type WeekPart = keyof typeof WEEK_PARTS;
export const WEEK_PART_IDS = Object.keys(WEEK_PARTS) as [WeekPart, ...WeekPart[]];
export type WeekBody<P extends WeekPart> = z.infer<(typeof WEEK_PARTS)[P]>;

const kept = <T extends z.ZodType>(body: T) => z.object({ revision: z.int().min(1), by: z.string(), body });

/** A front the opponent has shown, to us or in a game of his, and on how many snaps. */
export const SeenFrontSchema = z.object({
  front: z.string(),
  frontName: z.string(),
  snaps: z.int(),
  /** Weeks it was seen in, as they are said. */
  weeks: z.array(z.int()),
});
export type SeenFront = z.infer<typeof SeenFrontSchema>;

/** A week as it is worked on: its game, what was decided, and what is known that bears on it. */
export const WeekSchema = z.object({
  game: z.object({ id: z.int(), opponent: z.string(), week: z.int(), playedOn: DaySchema.nullable() }),
  plan: kept(WeekPlanSchema).nullable(),
  practice: kept(PracticeWeekSchema).nullable(),
  scripts: kept(ScriptsSchema).nullable(),
  /** What came of the reps of its scripts. */
  marks: z.array(RepMarkSchema),
  /** What men did at each block in the season that is played. */
  records: z.array(BlockRecordSchema),
  seen: z.array(SeenFrontSchema),
});
export type Week = z.infer<typeof WeekSchema>;

/** What was written meanwhile, beside a refusal to write over it. */
export const StaleWeekSchema = z.object({ revision: z.int(), by: z.string() });
