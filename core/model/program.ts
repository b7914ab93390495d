import * as z from 'zod';
import { CALL_MEANINGS, SHIPPED_CALL_WORDS, type CallMeaning } from './call-words';
import { OwnFaultSchema } from './faults';
import { NamingSchema } from './naming';
import { PracticeWaysSchema } from './practice';
import { RatingsSchema } from './ratings';
import { SettingsSchema } from './settings';

const wordFor = (meaning: CallMeaning) => z.string().trim().min(1).max(30).default(SHIPPED_CALL_WORDS[meaning]);
/** A set kept before a meaning was added says the shipped word for it. */
const CallWordsSchema = z.object(
  Object.fromEntries(CALL_MEANINGS.map((m) => [m, wordFor(m)])) as Record<CallMeaning, ReturnType<typeof wordFor>>,
);

/** Everything a program does its own way: limits and schools, the words at the line (several sets, one of them this week's), and how plays are named. */
export const ProgramBodySchema = z.object({
  settings: SettingsSchema.optional(),
  callWords: z
    .object({ active: z.string(), sets: z.record(z.string().min(1).max(30), CallWordsSchema) })
    .refine((w) => Object.hasOwn(w.sets, w.active), { message: 'the week’s set must be one of the sets' })
    .optional(),
  naming: NamingSchema.optional(),
  /** Plays of the library the program runs, by id; everything while nothing was chosen. */
  plays: z.array(z.string().max(80)).max(300).optional(),
  /** First steps that were taken or left out. */
  begun: z.array(z.string().max(20)).max(20).optional(),
  /** Limits, gear and habits of practice, as the program's staff and its governing body set them. */
  practice: PracticeWaysSchema.optional(),
  /** How good our men are at protecting and theirs at rushing, as the coach sees it. */
  ratings: RatingsSchema.optional(),
  /** Faults the program tags beside those that ship. */
  faults: z.array(OwnFaultSchema).max(60).optional(),
  /** So many months what is known of a man who left is kept; until somebody erases it without one. */
  keepLeft: z.int().min(1).max(120).nullable().optional(),
});
export type ProgramBody = z.infer<typeof ProgramBodySchema>;
