import { createError } from 'h3';

let isOpen = false;
let busy: string | null = null;

/** Says that everything requests stand on is there: database, demo program, queue, folders. */
export const nowOpen = (): void => void (isOpen = true);

/** Whether the application is open; until then it answers, but not everything it answers from is there. */
export const isNowOpen = (): boolean => isOpen && busy === null;

/** Why nothing can be asked just now, in a sentence; `null` as always. */
export const whyClosed = (): string | null => busy;

/** Does something nobody may be in the way of, one such thing at a time: whoever asks meanwhile is told why. */
export async function closedFor<T>(why: string, work: () => Promise<T>): Promise<T> {
  if (busy !== null) throw createError({ statusCode: 503, message: busy });
  busy = why;
  try {
    return await work();
  } finally {
    busy = null;
  }
}
