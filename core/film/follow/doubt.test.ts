import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { doubtAfter, NO_DOUBT, type Doubt } from './doubt';

/** The doubt after frames on which so much surprised each camera. */
const after = (frames: readonly (readonly (readonly number[])[])[], rate = 30, from: Doubt = NO_DOUBT): Doubt =>
  frames.reduce<Doubt>((doubt, frame) => doubtAfter(doubt, frame, rate), from);
const times = <T>(many: number, one: T): T[] => Array.from({ length: many }, () => one);
const [ASTRAY, EXPECTED] = [[40], [1]];

describe('a man who is found where he could not be', () => {
  it('is doubted once it has lasted a tenth of a second, at any rate of frames', () => {
    for (const rate of [25, 30, 60, 120]) {
      const enough = Math.round(rate / 10);
      expect(after(times(enough - 1, [ASTRAY]), rate).isDoubted).toBe(false);
      expect(after(times(enough, [ASTRAY]), rate).isDoubted).toBe(true);
    }
  });

  it('is not doubted while anything of him is found where he was expected', () => {
    expect(after(times(20, [ASTRAY, EXPECTED])).isDoubted).toBe(false);
    expect(after(times(20, [[40, 2]])).isDoubted).toBe(false);
    expect(after([...times(2, [ASTRAY]), [EXPECTED], ...times(2, [ASTRAY])]).isDoubted).toBe(false);
  });

  it('is doubted no more once two cameras have found him where he was expected for a sixth of a second', () => {
    const doubted = after(times(3, [ASTRAY]));
    expect(after(times(4, [EXPECTED, EXPECTED]), 30, doubted).isDoubted).toBe(true);
    expect(after(times(5, [EXPECTED, EXPECTED]), 30, doubted).isDoubted).toBe(false);
    expect(
      after([...times(4, [EXPECTED, EXPECTED]), [EXPECTED, []], [EXPECTED, EXPECTED]], 30, doubted).isDoubted,
    ).toBe(true);
  });

  it('stays doubted while one camera alone finds him, however well and often it does', () => {
    const doubted = after(times(3, [ASTRAY]));
    expect(after(times(200, [EXPECTED, []]), 30, doubted).isDoubted).toBe(true);
    expect(after(times(200, [[1, 1]]), 30, doubted).isDoubted).toBe(true);
  });

  it('is neither doubted more nor less by frames on which nobody finds him', () => {
    const surprise = fc.array(fc.constantFrom(0, 5, 10, 20, 60), { maxLength: 2 });
    const frames = fc.array(fc.tuple(surprise, surprise), { maxLength: 30 });
    fc.assert(
      fc.property(frames, fc.nat(), (all, at) => {
        const hidden = [...all.slice(0, at % (all.length + 1)), [[], []], ...all.slice(at % (all.length + 1))];
        expect(after(hidden)).toEqual(after(all));
      }),
    );
  });
});
