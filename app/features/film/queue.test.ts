import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ALL_PLUS } from '#core/model/grade';
import { dequeue, enqueue, nextBatch, queueKey, readQueue, type Waiting } from './queue';

const mark = (snapId: number, blocker: string, note = ''): Waiting => ({
  snapId,
  blocker,
  grade: { ...ALL_PLUS, note },
});
const aMark = fc
  .record({ snapId: fc.integer({ min: 1, max: 4 }), blocker: fc.constantFrom('LT', 'C', 'RG'), note: fc.string() })
  .map((m) => mark(m.snapId, m.blocker, m.note));
const queued = (marks: readonly Waiting[]): Waiting[] => marks.reduce<Waiting[]>((q, m) => enqueue(q, m), []);

describe('marks that wait', () => {
  it('are one a man and snap: the last one given', () => {
    fc.assert(
      fc.property(fc.array(aMark), (marks) => {
        const queue = queued(marks);
        expect(new Set(queue.map((w) => `${w.snapId} ${w.blocker}`)).size).toBe(queue.length);
        for (const w of queue)
          expect(marks.filter((m) => m.snapId === w.snapId && m.blocker === w.blocker).at(-1)).toBe(w);
        expect(new Set(marks.map((m) => `${m.snapId} ${m.blocker}`)).size).toBe(queue.length);
      }),
    );
  });

  it('go a whole snap at a time, and everything goes in the end', () => {
    fc.assert(
      fc.property(fc.array(aMark), (marks) => {
        let queue = queued(marks);
        for (let rounds = 0; queue.length > 0; rounds++) {
          expect(rounds).toBeLessThan(5);
          const batch = nextBatch(queue);
          expect(new Set(batch.map((w) => w.snapId)).size).toBe(1);
          expect(queue.filter((w) => w.snapId === batch[0]!.snapId)).toEqual(batch);
          queue = dequeue(queue, batch);
        }
      }),
    );
  });

  it('keep a mark that was changed while it was on its way', () => {
    const first = queued([mark(1, 'LT'), mark(1, 'C')]);
    const sent = nextBatch(first);
    const meanwhile = enqueue(first, mark(1, 'C', 'late'));
    expect(dequeue(meanwhile, sent)).toEqual([mark(1, 'C', 'late')]);
  });

  it('are read back as they were kept; what is no list is none', () => {
    const queue = queued([mark(1, 'LT'), mark(2, 'C')]);
    const keep = (text: string | null) => ({ getItem: () => text });
    expect(readQueue(keep(JSON.stringify(queue)), 'x')).toEqual(queue);
    for (const bad of [null, '', '{', '{}', '7', 'null']) expect(readQueue(keep(bad), 'x')).toEqual([]);
  });

  it('belong to one user of one program', () => {
    const keys = [queueKey(1, 2), queueKey(2, 1), queueKey(1, 1), queueKey(12, 1), queueKey(1, 21)];
    expect(new Set(keys).size).toBe(keys.length);
  });
});
