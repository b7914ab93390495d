import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { shrunk } from './shrink';

const share = fc.double({ min: 0, max: 1, noNaN: true });
const counts = fc.nat(200).chain((of) => fc.record({ good: fc.nat(of), of: fc.constant(of) }));

describe('a rate of few counts', () => {
  it('is the rate of everybody without any, and lies between his own and theirs', () => {
    expect(shrunk({ good: 0, of: 0 }, 0.7)).toBe(0.7);
    fc.assert(
      fc.property(counts, share, ({ good, of }, prior) => {
        const [own, found] = [of === 0 ? prior : good / of, shrunk({ good, of }, prior)];
        expect(found).toBeGreaterThanOrEqual(Math.min(own, prior) - 1e-12);
        expect(found).toBeLessThanOrEqual(Math.max(own, prior) + 1e-12);
      }),
    );
  });

  it('comes nearer to his own the more there is of it', () => {
    const away = (n: number): number => Math.abs(shrunk({ good: n, of: 4 * n }, 0.9) - 0.25);
    expect([1, 2, 5, 20, 100].map(away)).toEqual([1, 2, 5, 20, 100].map(away).sort((a, b) => b - a));
    expect(away(100)).toBeLessThan(0.02);
  });
});
