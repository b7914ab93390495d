import * as z from 'zod';
import { SHELVES } from './shelves';
import { CallSchema } from './snap';
import { PlannedLookSchema, PlannedPlaySchema } from './week-plan';

/** What is asked of a man in a call, in the order in which it is asked. */
export const QUIZ_PARTS = ['whom', 'with', 'then', 'foot', 'shoulder', 'call', 'why'] as const;
export type QuizPart = (typeof QUIZ_PARTS)[number];

/** One thing to know: a play against a look, from one place. Said by names, so that a look drawn a little otherwise is the same thing to know. */
export const QuizItemSchema = CallSchema.pick({
  scheme: true,
  side: true,
  tags: true,
  formationName: true,
  frontName: true,
}).extend({
  seat: z.string().min(1).max(3),
});
export type QuizItem = z.infer<typeof QuizItemSchema>;
export const keyOfItem = ({ scheme, side, tags, formationName, frontName, seat }: QuizItem): string =>
  [scheme, side, ...[...tags].sort(), formationName, frontName, seat].join(' | ');

/** An answer as it was given, each part right or not; parts that were not asked are not there. It is kept once, however often it is sent. */
export const QuizAnswerSchema = z.object({
  id: z.uuid(),
  item: QuizItemSchema,
  parts: z.partialRecord(z.enum(QUIZ_PARTS), z.boolean()),
  /** Said again after they moved: right or not; `null` when it was not asked. */
  moved: z.boolean().nullable().default(null),
  /** On film, where he marked his own block before he saw his coach's mark: did the two agree? */
  film: z.object({ assignment: z.boolean(), technique: z.boolean() }).nullable().default(null),
  seconds: z.number().min(0).max(3600),
  at: z.iso.datetime(),
});
export type QuizAnswer = z.infer<typeof QuizAnswerSchema>;
export const isRight = ({ parts, moved }: Pick<QuizAnswer, 'parts' | 'moved'>): boolean =>
  Object.values(parts).every(Boolean) && moved !== false;

/** What a man is quizzed on: the week's calls and looks with the texts they need, his places, and what he has answered. */
export const QuizSchema = z.object({
  game: z.object({ id: z.int(), opponent: z.string(), week: z.int() }).nullable(),
  plays: z.array(PlannedPlaySchema),
  looks: z.array(PlannedLookSchema),
  texts: z.array(z.object({ shelf: z.enum(SHELVES), id: z.string(), text: z.string() })),
  /** His usual place first; everybody's for a coach. */
  seats: z.array(z.string()),
  answers: z.array(QuizAnswerSchema),
});
export type Quiz = z.infer<typeof QuizSchema>;

/** How one thing to know was answered by everybody who was asked. */
export const QuizResultSchema = z.object({
  item: QuizItemSchema,
  men: z.int(),
  of: z.int(),
  right: z.int(),
  /** How often each part was missed. */
  missed: z.partialRecord(z.enum(QUIZ_PARTS), z.int()),
  /** On film: how often a man marked his own block, and how often as his coach had. */
  film: z.object({ of: z.int(), same: z.int() }).default({ of: 0, same: 0 }),
});
export type QuizResult = z.infer<typeof QuizResultSchema>;
