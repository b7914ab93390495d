import * as z from 'zod';
import { QuizAnswerSchema, type QuizAnswer } from '#core/model/quiz';
import { outbox } from '~/features/outbox/outbox';

/** An answer on its way, with whose it is and to which game it belongs. */
const WaitingSchema = z.object({ user: z.int(), gameId: z.int(), answer: QuizAnswerSchema });
export type Waiting = z.infer<typeof WaitingSchema>;
const box = outbox('quiz', WaitingSchema);

export const keepWaiting = (waiting: Waiting): Promise<void> => box.put(waiting.answer.id, waiting);
export const dropWaiting = box.drop;
/** A device somebody has logged out of holds nothing of his. */
export const clearWaiting = box.clear;
/** Whatever lies there of one user, in the order in which it was answered. */
export const readWaiting = async (user: number): Promise<Waiting[]> =>
  (await box.all()).filter((w) => w.user === user).sort((a, b) => (a.answer.at < b.answer.at ? -1 : 1));
export const answersOf = (waiting: readonly Waiting[]): QuizAnswer[] => waiting.map((w) => w.answer);
