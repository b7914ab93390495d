import { describe, expect, it } from 'vitest';
import { resolveCall } from '../calls/resolve-call';
import { A_CALL } from '../testing/a-call';
import { TOO_FEW } from '../statistics/rate';
import { need } from '../testing/need';
import { difficultyOf, sayDifficulty, sayDifficultyShort } from './difficulty';

const { assignments } = need(resolveCall(A_CALL));
const of = (blocker: string) => assignments.find((a) => a.blocker === blocker)!;
const NOBODY = new Map();

describe('how hard a block was', () => {
  it('is with whom, how far, and how their man has fared so far', () => {
    const target = of('LT').target!;
    const records = new Map([
      [target, { good: 8, of: 14 }],
      ['ZZ', { good: 0, of: 9 }],
    ]);
    const hard = difficultyOf(of('LT'), records);
    expect(hard).toMatchObject({ help: 'alone', foe: { id: target, good: 8, of: 14 } });
    expect(sayDifficulty({ ...hard, way: 1 })).toBe(`alone; ${target} so far: 8 of 14 done as asked`);
    expect(sayDifficultyShort({ ...hard, way: 1 })).toBe(`alone; 8 of 14 on ${target}`);
  });

  it('says the way of whoever has to go somewhere, and no step', () => {
    const pull = difficultyOf(of('LG'), NOBODY);
    expect(pull.way).toBeGreaterThan(8);
    expect(sayDifficulty(pull)).toBe(`alone, on the move, ${Math.round(pull.way)} ft`);
    expect(sayDifficultyShort(pull)).toBe(`alone, on the move, ${Math.round(pull.way)} ft`);
    expect(sayDifficulty({ ...pull, way: 2.9 })).toBe('alone, on the move');
    expect(sayDifficulty({ ...pull, way: 3 })).toBe('alone, on the move, 3 ft');
  });

  it('says nothing of a man of whom nothing could be told, and calls few few', () => {
    const target = of('LT').target!;
    expect(difficultyOf(of('LT'), new Map([[target, { good: 0, of: 0 }]])).foe).toBeNull();
    expect(difficultyOf({ ...of('LT'), target: null }, new Map([[target, { good: 1, of: 2 }]])).foe).toBeNull();
    const one = difficultyOf(of('LT'), new Map([[target, { good: 1, of: 1 }]]));
    expect(one.foe).toEqual({ id: target, good: 1, of: 1 });
    const enough = difficultyOf(of('LT'), new Map([[target, { good: 1, of: TOO_FEW }]]));
    expect(sayDifficulty(enough)).toMatch(/done as asked$/);
    const few = difficultyOf(of('LT'), new Map([[target, { good: 1, of: 2 }]]));
    expect(sayDifficulty(few)).toMatch(/1 of 2 done as asked, too few to say much$/);
  });
});
