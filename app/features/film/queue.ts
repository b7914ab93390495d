import type { Grade } from '#core/model/grade';

/** One mark on its way to the server. */
export interface Waiting {
  readonly snapId: number;
  readonly blocker: string;
  readonly grade: Grade | null;
}

const PREFIX = 'violet-chalk-marks';

/** Marks that wait belong to one user of one program, so that nobody else on this machine sends them. */
export const queueKey = (programId: number, userId: number): string => `${PREFIX}-${programId}-${userId}`;

/** Adds a mark; a newer one for the same man and snap takes the older one's place. */
export const enqueue = (queue: readonly Waiting[], mark: Waiting): Waiting[] => [
  ...queue.filter((w) => w.snapId !== mark.snapId || w.blocker !== mark.blocker),
  mark,
];

/** What is left after these were saved: a mark changed meanwhile stays. */
export const dequeue = (queue: readonly Waiting[], sent: readonly Waiting[]): Waiting[] =>
  queue.filter((w) => !sent.includes(w));

/** The marks to send next: all of one snap, so that a snap is never half saved. */
export function nextBatch(queue: readonly Waiting[]): Waiting[] {
  const snap = queue[0]?.snapId;
  return queue.filter((w) => w.snapId === snap);
}

export function readQueue(storage: Pick<Storage, 'getItem'>, key: string): Waiting[] {
  try {
    const kept: unknown = JSON.parse(storage.getItem(key) ?? '[]');
    return Array.isArray(kept) ? (kept as Waiting[]) : [];
  } catch {
    return [];
  }
}
