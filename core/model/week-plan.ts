import * as z from 'zod';
import { CALL_SITUATION_IDS } from './call-situations';
import { DefenderSchema } from './front';
import { CallSchema } from './snap';

/** Most plays and looks a week's plan holds; more could be read by nobody. */
export const MOST_PLAYS = 40;
export const MOST_LOOKS = 24;

/** A play meant by its name, so that it stays the same when others come or go. */
export const PlayNameSchema = CallSchema.pick({ scheme: true, side: true, tags: true });
export type PlayName = z.infer<typeof PlayNameSchema>;
export const isSamePlay = (a: PlayName, b: PlayName): boolean =>
  a.scheme === b.scheme && a.side === b.side && a.tags.join() === b.tags.join();

/** A play of the week: the call without what it will meet, and how often it is to be called in the game. */
export const PlannedPlaySchema = CallSchema.pick({
  scheme: true,
  side: true,
  tags: true,
  formation: true,
  formationName: true,
}).extend({
  times: z.int().min(1, 'at least once').max(40, 'at most 40 times'),
  /** When it is called; at any time when nothing is said. */
  when: z.array(z.enum(CALL_SITUATION_IDS)).max(CALL_SITUATION_IDS.length).optional(),
  /** The play it builds on: it is put in after that one. */
  after: PlayNameSchema.optional(),
});
export type PlannedPlay = z.infer<typeof PlannedPlaySchema>;

/** A front of theirs with what it does after the snap, in inline notation, and how much of the game it is expected to be. */
export const PlannedLookSchema = CallSchema.pick({ front: true, frontName: true }).extend({
  /** Weights stand to each other as the shares do: "22 of 25" may be typed as 22. */
  weight: z.number().positive('more than nothing').max(1000),
  /** From where it is known; empty when the coach expects it. */
  seen: z.string().max(120).default(''),
});
export type PlannedLook = z.infer<typeof PlannedLookSchema>;

/** Most signs a call sheet answers. */
export const MOST_ANSWERS = 24;

/** A sign of theirs and the play that uses it. */
export const PlannedAnswerSchema = PlayNameSchema.extend({
  sign: z.string().trim().min(1, 'a sign in words').max(120),
  /** How often it was seen, as it is known: "8 of 11". */
  seen: z.string().trim().max(40).default(''),
});
export type PlannedAnswer = z.infer<typeof PlannedAnswerSchema>;

/** One of theirs as he is known: by the letters he has on the looks, with the number on his back. */
export const TheirManSchema = z.object({
  id: DefenderSchema.shape.id,
  number: z.int('a number from 0 to 99').min(0, 'a number from 0 to 99').max(99, 'a number from 0 to 99').nullable(),
  /** What he is known for: "spins inside". */
  note: z.string().trim().max(80, 'at most 80 characters').default(''),
});
export type TheirMan = z.infer<typeof TheirManSchema>;

/** What a week is planned with: what we call and what they show. */
export const WeekPlanSchema = z.object({
  plays: z.array(PlannedPlaySchema).max(MOST_PLAYS, `at most ${MOST_PLAYS} plays`),
  looks: z.array(PlannedLookSchema).max(MOST_LOOKS, `at most ${MOST_LOOKS} looks`),
  answers: z.array(PlannedAnswerSchema).max(MOST_ANSWERS, `at most ${MOST_ANSWERS} answers`).optional(),
  theirs: z
    .array(TheirManSchema)
    .max(30)
    .refine((all) => new Set(all.map((m) => m.id)).size === all.length, { message: 'somebody stands here twice' })
    .optional(),
  /** Its players are quizzed on it. */
  quiz: z.boolean().default(false),
});
export type WeekPlan = z.infer<typeof WeekPlanSchema>;

/** How the looks share the game: as many numbers as looks, together 1. */
export function sharesOf(looks: readonly Pick<PlannedLook, 'weight'>[]): number[] {
  const whole = looks.reduce((sum, l) => sum + l.weight, 0);
  return looks.map((l) => l.weight / whole);
}

/** What is known of one of theirs; nothing by default. */
export const theirManOf = ({ theirs = [] }: Pick<WeekPlan, 'theirs'>, id: string): TheirMan =>
  theirs.find((m) => m.id === id) ?? { id, number: null, note: '' };
