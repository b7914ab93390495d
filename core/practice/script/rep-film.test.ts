import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { inOrder, joinFrom, noRep, notFilmed } from './rep-film';

const CLIPS = ['clip 10', 'clip 1', 'clip 2', 'clip 3', 'clip 4', 'clip 5'];

describe('practice film and the reps of a script', () => {
  it('come together in the order a camera numbers its clips, from the one that shows the first rep', () => {
    expect(inOrder(CLIPS)).toEqual(['clip 1', 'clip 2', 'clip 3', 'clip 4', 'clip 5', 'clip 10']);
    expect(joinFrom(CLIPS, 'clip 2', 3)).toEqual(['clip 2', 'clip 3', 'clip 4']);
    expect(joinFrom(CLIPS, 'clip 5', 4)).toEqual(['clip 5', 'clip 10', null, null]);
    expect(joinFrom(CLIPS, 'gone', 2)).toEqual(['clip 1', 'clip 2']);
  });

  it('a rep nobody filmed moves the others on, a clip that shows none moves them back', () => {
    const film = joinFrom(CLIPS, 'clip 1', 4);
    expect(notFilmed(film, 1)).toEqual(['clip 1', null, 'clip 2', 'clip 3']);
    expect(noRep(film, 1, CLIPS)).toEqual(['clip 1', 'clip 3', 'clip 4', 'clip 5']);
    expect(noRep(joinFrom(CLIPS, 'clip 5', 2), 0, CLIPS)).toEqual(['clip 10', null]);
  });

  it('never shows one clip twice, nor out of order, whatever is put right', () => {
    const aClip = fc.integer({ min: 1, max: 40 }).map((n) => `rep ${n}`);
    const aFix = fc.record({ at: fc.nat(30), none: fc.boolean() });
    fc.assert(
      fc.property(
        fc.uniqueArray(aClip, { minLength: 1, maxLength: 30 }),
        fc.integer({ min: 1, max: 24 }),
        fc.array(aFix, { maxLength: 8 }),
        (clips, reps, fixes) => {
          let film = joinFrom(clips, inOrder(clips)[0]!, reps);
          for (const { at, none } of fixes) film = none ? noRep(film, at % reps, clips) : notFilmed(film, at % reps);
          expect(film).toHaveLength(reps);
          const shown = film.filter((f): f is string => f !== null);
          expect(new Set(shown).size).toBe(shown.length);
          expect(shown).toEqual(inOrder(shown));
        },
      ),
    );
  });
});
