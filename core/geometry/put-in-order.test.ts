import fc from 'fast-check';
import { expect, it } from 'vitest';
import { putInOrder } from './put-in-order';

it('puts one after the other where a stable sort would have them', () => {
  fc.assert(
    fc.property(fc.array(fc.record({ rank: fc.integer({ min: 0, max: 4 }), name: fc.string() })), (items) => {
      const list: typeof items = [];
      for (const item of items) putInOrder(list, item, (a, b) => a.rank - b.rank);
      expect(list).toEqual([...items].sort((a, b) => a.rank - b.rank));
    }),
  );
});
