import * as z from 'zod';
import { SHELVES } from './shelves';
import { CallSchema } from './snap';

/** Most phones one huddle takes in: two lines and then some. */
export const MOST_IN_HUDDLE = 40;

/** Whether the men are answering, or what is right is shown to all. */
export const HUDDLE_STAGES = ['open', 'shown'] as const;

/** What a man says in the huddle: the word he calls out, whom he has, and with whom. */
export const SaidSchema = z.object({
  seat: z.string().min(1).max(3),
  /** The word he says at the line; `null` when he says none, or nobody speaks. */
  call: z.string().max(30).nullable(),
  whom: z.string().min(1).max(10),
  with: z.array(z.string().min(1).max(3)).max(3),
});
export type Said = z.infer<typeof SaidSchema>;

/** What is asked of the whole line at once. */
export const HuddleQuestionSchema = z.object({
  call: CallSchema,
  /** What they do after the snap, in words; empty while they stand. */
  says: z.string().max(120).default(''),
  /** As in a stadium that is too loud: nobody speaks, and nobody sees what the others tap before it is shown. */
  silent: z.boolean(),
});
export type HuddleQuestion = z.infer<typeof HuddleQuestionSchema>;

/** Somebody who is in it, by his place and his number. */
const HuddleManSchema = z.object({
  seat: z.string(),
  jersey: z.int().nullable(),
  hasAnswered: z.boolean(),
});

/** The huddle as one of those in it sees it. */
export const HuddleSchema = HuddleQuestionSchema.extend({
  /** How many questions there have been: what was said to an earlier one does not count here. */
  number: z.int().min(1),
  stage: z.enum(HUDDLE_STAGES),
  game: z.object({ id: z.int(), opponent: z.string(), week: z.int() }),
  /** The program's own texts this call needs. */
  texts: z.array(z.object({ shelf: z.enum(SHELVES), id: z.string(), text: z.string() })),
  men: z.array(HuddleManSchema).max(MOST_IN_HUDDLE),
  /** Places he can take: the line’s for who has none of his own. */
  seats: z.array(z.string()),
  /** The place he has taken; `null` before. */
  seat: z.string().nullable(),
  /** What has been said and may be seen, the earliest first. */
  said: z.array(SaidSchema),
  /** What he himself has said; `null` before. */
  mine: SaidSchema.nullable(),
});
export type Huddle = z.infer<typeof HuddleSchema>;

/** What is asked next, shown, or both; `number` is the question it was decided on. */
export const HuddleChangeSchema = z
  .object({
    number: z.int().min(1),
    next: HuddleQuestionSchema.optional(),
    stage: z.enum(HUDDLE_STAGES).optional(),
  })
  .refine(({ next, stage }) => next !== undefined || stage !== undefined, { message: 'a next question or a stage' });
export type HuddleChange = z.infer<typeof HuddleChangeSchema>;
