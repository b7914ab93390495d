import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { pairByTime, shotAt, type Shot } from './by-time';

/** A camera that is pressed for some of the snaps: `offs` says how late for each, seconds; its clock is wrong by `clock`. */
const camera = (
  first: number,
  starts: readonly number[],
  { clock, offs, missed = [] }: { clock: number; offs: readonly number[]; missed?: readonly number[] },
  shows: (snap: number) => Shot['shows'],
): Shot[] =>
  starts.flatMap((at, i) =>
    missed.includes(i + 1)
      ? []
      : [{ id: first + i, at: at + clock + (offs[i % offs.length] ?? 0), shows: shows(i + 1) }],
  );
/** When snaps began: never nearer than a huddle apart. */
const aGame = fc
  .array(fc.integer({ min: 25, max: 90 }), { minLength: 6, maxLength: 40 })
  .map((gaps) => gaps.reduce<number[]>((all, gap) => [...all, (all.at(-1) ?? 0) + gap], []));
const known = (snap: number): Shot['shows'] => ({ snap, angle: 'sideline' });

describe('films of two cameras, paired by the clock', () => {
  it('are the same snap whatever their clocks say, and whoever forgot to press', () => {
    const late = fc.array(fc.double({ min: -3, max: 3, noNaN: true }), { minLength: 3, maxLength: 9 });
    const clock = fc.integer({ min: -40_000, max: 40_000 });
    fc.assert(
      fc.property(aGame, clock, late, fc.integer({ min: 1, max: 40 }), (starts, wrong, offs, forgot) => {
        const missed = [forgot];
        const there = camera(100, starts, { clock: 0, offs: [0] }, known);
        const open = camera(200, starts, { clock: wrong, offs, missed }, () => null);
        const paired = pairByTime([...open, ...there]);
        expect(paired.filter((p) => p.snap !== p.id - 199)).toEqual([]);
        expect(paired).toHaveLength(open.length);
        for (const p of paired) expect(p).toMatchObject({ angle: 'end zone', beside: p.id - 100 });
      }),
    );
  });

  it('are not paired where too few fall together', () => {
    const there = camera(100, [0, 30, 70, 130], { clock: 0, offs: [0] }, known);
    const strange = camera(200, [0, 11, 500, 2000, 9000, 20_000, 40_000], { clock: 5, offs: [0] }, () => null);
    expect(pairByTime([...there, ...strange])).toEqual([]);
    const many = Array.from({ length: 10 }, (_, i) => 40 * i * (i + 1));
    const few = [...many.slice(0, 4), ...Array.from({ length: 6 }, (_, i) => 50_000 + 1000 * i * i)];
    const ten = camera(100, many, { clock: 0, offs: [0] }, known);
    expect(pairByTime([...ten, ...camera(200, few, { clock: 9, offs: [0] }, () => null)])).toEqual([]);
    expect(pairByTime(there)).toEqual([]);
    expect(pairByTime(strange)).toEqual([]);
  });

  it('are together up to eight seconds apart, at least three of them, and at least six of ten that could be', () => {
    const starts = [0, 60, 130, 210, 300];
    const there = camera(100, starts, { clock: 0, offs: [0] }, known);
    const open = (offs: readonly number[], missed: readonly number[] = []) =>
      pairByTime([...there, ...camera(200, starts, { clock: 0, offs, missed }, () => null)]).length;
    // Of five the first three tell the clock; the others are as late as they may be, and later.
    expect([open([0, 0, 0, 8, 8]), open([0, 0, 0, 8.1, 8.1])]).toEqual([5, 3]);
    expect([open([0], [4, 5]), open([0], [3, 4, 5])]).toEqual([3, 0]);
    expect(open([0, 0, 0, 20, -20])).toBe(3);
    expect(open([0, 0, 25, -25, 45])).toBe(0);
  });

  it('of two clocks that bring as many together take the one that brings them nearer', () => {
    const starts = [0, 14, 28, 42];
    const there = camera(100, starts, { clock: 0, offs: [0] }, known);
    const open = camera(200, starts, { clock: 7, offs: [0.5, -0.5] }, () => null);
    expect(pairByTime([...there, ...open]).map((p) => [p.id, p.beside])).toEqual(
      [0, 1, 2, 3].map((i) => [200 + i, 100 + i]),
    );
  });

  it('take the angle their partners have not', () => {
    const starts = [0, 40, 90, 150];
    const there = camera(100, starts, { clock: 0, offs: [0] }, (snap) => ({ snap, angle: 'end zone' }));
    const open = camera(200, starts, { clock: 3600, offs: [1] }, () => null);
    // In whatever order they came in.
    expect(pairByTime([...there, ...open].reverse()).map((p) => [p.id, p.snap, p.angle])).toEqual([
      ...[200, 201, 202, 203].map((id) => [id, id - 199, 'sideline']),
    ]);
  });
});

describe('when a film was shot', () => {
  it('is as the file says, else as its name does', () => {
    const at = Date.UTC(2026, 9, 3, 14, 30, 12) / 1000;
    expect(shotAt('x.mp4', '2026-10-03T14:30:12.000000Z')).toBe(at);
    for (const name of ['20261003_143012.mp4', 'VID-20261003-143012.mov', '2026-10-03 14.30.12 EZ.mp4'])
      expect(shotAt(name, undefined)).toBe(at);
    expect(shotAt('20261003_143012.mp4', 'nonsense')).toBe(at);
    // The last second of a year, which is a time; and one that is none.
    expect(shotAt('20261231_235959.mp4', undefined)).toBe(Date.UTC(2026, 11, 31, 23, 59, 59) / 1000);
    for (const none of ['20261301_000000', '20261232_000000', '20261231_240000', '20261231_236000', '20261231_235960'])
      expect(shotAt(`${none}.mp4`, undefined)).toBeNull();
  });

  it('is not known where neither says, or what they say is no time', () => {
    for (const name of ['snap 12.mp4', '20261003.mp4', '20261399_143012.mp4', '20261003_256199.mp4'])
      expect(shotAt(name, undefined)).toBeNull();
    expect(shotAt('snap 12.mp4', '1970-01-01T00:00:00Z')).toBeNull();
  });
});
