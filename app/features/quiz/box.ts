import { clear, createStore, delMany, entries, set, type UseStore } from 'idb-keyval';
import * as z from 'zod';
import { QuizAnswerSchema, type QuizAnswer } from '#core/model/quiz';

/** An answer on its way, with whose it is and to which game it belongs. */
const WaitingSchema = z.object({ user: z.int(), gameId: z.int(), answer: QuizAnswerSchema });
export type Waiting = z.infer<typeof WaitingSchema>;

let store: UseStore | null = null;
const box = (): UseStore => (store ??= createStore('violet-chalk-quiz', 'answers'));

/** Answers that have not arrived yet lie on the device, one entry each, until the server has them. */
export const keepWaiting = (waiting: Waiting): Promise<void> => set(waiting.answer.id, waiting, box());
export const dropWaiting = (ids: readonly string[]): Promise<void> => delMany([...ids], box());
/** Whatever lies there of one user; what nobody can read is left alone. */
export async function readWaiting(user: number): Promise<Waiting[]> {
  const found = (await entries<string, unknown>(box())).flatMap(([, value]) => {
    const read = WaitingSchema.safeParse(value);
    return read.success ? [read.data] : [];
  });
  return found.filter((w) => w.user === user).sort((a, b) => (a.answer.at < b.answer.at ? -1 : 1));
}
/** A device somebody has logged out of holds nothing of his. */
export const clearWaiting = (): Promise<void> => clear(box());
export const answersOf = (waiting: readonly Waiting[]): QuizAnswer[] => waiting.map((w) => w.answer);
