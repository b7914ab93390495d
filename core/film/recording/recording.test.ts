import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { cutsOf, inOther, putCut, renumber, type Cut } from './marks';
import { jumpsOf, suggestPieces, type Motion } from './suggest';

const RATE = 10;
/** A stretch of a recording: so many seconds at a pace, with the noise of a camera. */
const at = (seconds: number, pace: number, seed = 1): number[] =>
  Array.from({ length: Math.round(seconds * RATE) }, (_, i) => pace + 0.25 * Math.abs(Math.sin(i * 12.9898 + seed)));
const recording = (...stretches: number[][]): Motion => ({ perSecond: RATE, values: stretches.flat() });
/** Walking to the line, set, the play, the pile, walking back. */
const play = (set: number, long: number): number[][] => [at(8, 2), at(set, 0.6), at(long, 5, 3), at(4, 1.8, 5)];

describe('cuts that are suggested', () => {
  it('find every snap of a recording that ran on, to a third of a second', () => {
    const plays = fc.array(
      fc.tuple(fc.double({ min: 1, max: 4, noNaN: true }), fc.double({ min: 2.5, max: 7, noNaN: true })),
      {
        minLength: 2,
        maxLength: 8,
      },
    );
    fc.assert(
      fc.property(plays, (all) => {
        const motion = recording(...all.flatMap(([set, long]) => play(set, long)));
        let t = 0;
        const truth = all.map(([set, long]) => {
          const snap = t + 8 + Math.round(set * RATE) / RATE;
          t = snap + Math.round(long * RATE) / RATE + 4;
          return snap;
        });
        const found = suggestPieces(motion);
        expect(found.map((p) => p.snap)).toEqual(truth.map((snap) => expect.closeTo(snap, 0.33)));
      }),
    );
  });

  it('are in order, never overlap, lie within the recording and hold their snap, whatever is recorded', () => {
    const values = fc.array(fc.double({ min: 0, max: 60, noNaN: true }), { maxLength: 600 });
    fc.assert(
      fc.property(values, (all) => {
        const pieces = suggestPieces({ perSecond: RATE, values: all });
        for (const [i, { from, snap, to }] of pieces.entries()) {
          expect(from).toBeGreaterThanOrEqual(i ? pieces[i - 1]!.to : 0);
          expect(to).toBeGreaterThan(from);
          expect(to).toBeLessThanOrEqual(all.length / RATE);
          if (snap !== null) expect(snap >= from && snap <= to).toBe(true);
        }
      }),
      { numRuns: 200 },
    );
  });

  it('take a camera that was stopped after every play at its word', () => {
    const one = [...at(1.5, 0.6), ...at(4, 5, 3)];
    const motion = recording(one, [40], one, [38], one);
    expect(jumpsOf(motion)).toEqual([55, 111]);
    const pieces = suggestPieces(motion);
    expect(pieces.map((p) => [p.from, p.to])).toEqual([
      [0, 5.5],
      [5.5, 11.1],
      [11.1, 16.7],
    ]);
    expect(pieces.map((p) => p.snap)).toEqual([1.5, 7.1, 12.7].map((s) => expect.closeTo(s, 0.3)));
  });

  it('do not take a back in motion for a snap, nor a camera that never moves', () => {
    const motion = recording(...play(2, 4), at(6, 2), at(2, 0.6), at(0.4, 3), at(1.5, 0.6), at(5, 5, 3), at(3, 1.8));
    expect(suggestPieces(motion)).toHaveLength(2);
    expect(suggestPieces({ perSecond: RATE, values: Array.from({ length: 500 }, () => 0.5) })).toEqual([]);
    expect(suggestPieces({ perSecond: RATE, values: [] })).toEqual([]);
  });
});

describe('cuts of a recording', () => {
  const cut: fc.Arbitrary<Cut> = fc
    .tuple(fc.nat(900), fc.integer({ min: 2, max: 90 }))
    .map(([from, long]) => ({ number: 1, from, snap: from + Math.floor(long / 2), to: from + long }));

  it('never share a frame, are numbered in order, and hold the one put last as it was put', () => {
    fc.assert(
      fc.property(fc.array(cut, { minLength: 1, maxLength: 12 }), (all) => {
        const put = all.reduce<Cut[]>((cuts, one) => putCut(cuts, one, 1), []);
        expect(put.map((c) => c.number)).toEqual(put.map((_, i) => i + 1));
        for (const [i, c] of put.entries()) {
          expect(c.from).toBeLessThan(c.to);
          if (i) expect(c.from).toBeGreaterThan(put[i - 1]!.to);
          if (c.snap !== null) expect(c.snap >= c.from && c.snap <= c.to).toBe(true);
        }
        const { from, to } = all.at(-1)!;
        expect(put.some((c) => c.from === from && c.to === to)).toBe(true);
      }),
    );
  });

  it('leave nothing of another one that is a frame long, or has lost its snap', () => {
    const put = (snap: number | null, from: number) =>
      putCut([{ number: 1, from: 10, snap, to: 20 }], { number: 1, from, snap: null, to: 40 }, 1).map((c) => c.from);
    expect([put(null, 11), put(null, 12), put(18, 15), put(12, 15)]).toEqual([[11], [10, 12], [15], [10, 15]]);
  });

  it('share no frame where a camera was stopped between two pieces', () => {
    const pieces = [
      { from: 0, snap: 1, to: 4 },
      { from: 4, snap: 5, to: 8 },
    ];
    const cuts = cutsOf(pieces, 30, 300, 1);
    expect(cuts.map((c) => [c.from, c.to])).toEqual([
      [0, 119],
      [120, 240],
    ]);
    expect(cuts.reduce<Cut[]>((all, c) => putCut(all, c, 1), [])).toEqual(cuts);
  });

  it('come from pieces in frames, and are the same moments in another recording', () => {
    const pieces = [
      { from: 1, snap: 2.5, to: 4 },
      { from: 5, snap: null, to: 99 },
    ];
    const cuts = cutsOf(pieces, 30, 300, 7);
    expect(cuts).toEqual([
      { number: 7, from: 30, snap: 75, to: 120 },
      { number: 8, from: 150, snap: null, to: 299 },
    ]);
    expect(inOther(cuts, 30, { rate: 60, frames: 600 }, 2)).toEqual([{ number: 7, from: 180, snap: 270, to: 360 }]);
    expect(inOther(cuts, 30, { rate: 60, frames: 600 }, -1.5)).toEqual([{ number: 8, from: 210, snap: null, to: 508 }]);
    expect(renumber([...cuts].reverse(), 30).map((c) => [c.number, c.from])).toEqual([
      [30, 30],
      [31, 150],
    ]);
  });
});
