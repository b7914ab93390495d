import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { apart, COVERED, type Mark } from './apart';

const half = { x: 20, y: 11 };
const aMark = fc.record({
  team: fc.constantFrom<'ours' | 'theirs'>('ours', 'theirs'),
  x: fc.integer({ min: 100, max: 900 }),
  y: fc.integer({ min: 60, max: 300 }),
});
const marksOf = (list: readonly Pick<Mark, 'team' | 'x' | 'y'>[]): Mark[] =>
  list.map((m, i) => ({ ...m, id: `m${i}`, half }));
const aBoard = fc.array(aMark, { minLength: 2, maxLength: 14 }).map(marksOf);

const drawn = (marks: readonly Mark[]): { id: string; x: number; y: number }[] => {
  const shifts = apart(marks);
  return marks.map(({ id, x, y }) => ({ id, x: x + (shifts.get(id)?.dx ?? 0), y: y + (shifts.get(id)?.dy ?? 0) }));
};
/** How much of the smaller extent two marks cover of each other, pixels. */
const cover = (a: { x: number; y: number }, b: { x: number; y: number }): number =>
  Math.min(2 * half.x - Math.abs(a.x - b.x), 2 * half.y - Math.abs(a.y - b.y));
const pairs = <T>(list: readonly T[]): [T, T][] => list.flatMap((a, i) => list.slice(i + 1).map((b): [T, T] => [a, b]));

describe('marks drawn apart', () => {
  it('two men anywhere can both be read', () => {
    fc.assert(
      fc.property(aMark, aMark, (one, other) => {
        const [a, b] = drawn(marksOf([one, other]));
        expect(cover(a!, b!)).toBeLessThanOrEqual(COVERED + 0.05);
      }),
    );
  });

  it('leaves whoever is clear of everybody exactly where he stands', () => {
    fc.assert(
      fc.property(aBoard, (marks) => {
        const shifts = apart(marks);
        const clear = pairs(marks).every(([a, b]) => cover(a, b) <= COVERED);
        if (clear) expect(shifts.size).toBe(0);
        const wide = { id: 'far', team: 'theirs' as const, x: 3000, y: 100, half };
        expect(apart([...marks, wide]).has('far')).toBe(false);
      }),
    );
  });

  it('makes a crowd no thicker, and ends', () => {
    fc.assert(
      fc.property(aBoard, (marks) => {
        const worst = (list: readonly { x: number; y: number }[]): number =>
          Math.max(...pairs(list).map(([a, b]) => cover(a, b)));
        expect(worst(drawn(marks))).toBeLessThanOrEqual(Math.max(worst(marks), COVERED) + 0.5);
      }),
      { numRuns: 300 },
    );
  });

  it('of a blocker and his man on one spot theirs goes up and ours down, alike in either order', () => {
    const [ours, theirs] = marksOf([
      { team: 'ours', x: 400, y: 200 },
      { team: 'theirs', x: 400, y: 200 },
    ]);
    for (const marks of [
      [ours!, theirs!],
      [theirs!, ours!],
    ]) {
      const shifts = apart(marks);
      expect(shifts.get(ours!.id)!.dy).toBeCloseTo(9.5);
      expect(shifts.get(theirs!.id)!.dy).toBeCloseTo(-9.5);
      expect(shifts.get(ours!.id)!.dx).toBe(0);
    }
  });

  it('moves the other when one is in hand', () => {
    const [held, other] = marksOf([
      { team: 'ours', x: 400, y: 200 },
      { team: 'theirs', x: 400, y: 195 },
    ]);
    const shifts = apart([{ ...held!, held: true }, other!]);
    expect(shifts.has(held!.id)).toBe(false);
    expect(shifts.get(other!.id)!.dy).toBeCloseTo(-14);
  });

  it('moves the mirrored board the mirrored way', () => {
    fc.assert(
      fc.property(aBoard, (marks) => {
        // Of two of one team on one line the listed order says who goes left: no mirror there.
        fc.pre(pairs(marks).every(([a, b]) => a.x !== b.x));
        const turned = drawn(marks.map((m) => ({ ...m, x: 1000 - m.x })));
        for (const [i, m] of drawn(marks).entries()) {
          expect(turned[i]!.x).toBeCloseTo(1000 - m.x, 1);
          expect(turned[i]!.y).toBeCloseTo(m.y, 1);
        }
      }),
    );
  });
});
