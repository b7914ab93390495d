import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readFront } from '../language/lineups/read-front';
import { frontFrom, formationFrom, libraryText, schemeFrom } from '../library/library';
import { resolve } from '../movement/play';
import { need } from '../testing/need';
import { SHIPPED_SETTINGS } from './settings';
import { isSameStandard, judgedOn, NEEDS, readNeed, sayNeed, sayStandard, standardFor } from './standard';

const always = { standardYards: 4, standardSecond: 0, standardThird: 0 };
const shares = { standardYards: 4, standardSecond: 0.5, standardThird: 1 };

describe('what a good run gains', () => {
  it('is the same yards on every down unless a share is set', () => {
    for (const need of NEEDS) expect(standardFor(always, need)).toBe(4);
    expect(NEEDS.map((n) => standardFor(shares, n))).toEqual([4, 1.5, 3.5, 1, 3, 6, 1]);
  });

  it('is said with its shares, and known again after a change', () => {
    expect(sayStandard(always)).toBe('A success gains 4 yards, or the line to gain when it is short.');
    expect(sayStandard(shares)).toBe(
      'A success gains 50 % of what is needed on second down, 100 % of what is needed on third and fourth, 4 yards otherwise, or the line to gain when it is short.',
    );
    expect([isSameStandard(always, { ...always }), isSameStandard(always, shares)]).toEqual([true, false]);
  });
});

describe('a down and what is needed', () => {
  it('is read back as it is said', () => {
    const aNeed = fc.record({ down: fc.integer({ min: 1, max: 4 }), distance: fc.integer({ min: 1, max: 99 }) });
    fc.assert(
      fc.property(aNeed, (n) => {
        expect(readNeed(sayNeed(n))).toEqual(n);
      }),
    );
    expect(readNeed(' 3 and 2 ')).toEqual({ down: 3, distance: 2 });
  });

  it.each(['', '5th and 2', '3rd', '3rd and 0', '3rd and 100', 'any'])('%j is none', (text) => {
    expect(readNeed(text)).toBeNull();
  });
});

describe('judging a run on a down', () => {
  const [scheme, men] = [
    need(schemeFrom(libraryText('schemes', 'inside-zone-z1')!)),
    need(formationFrom(libraryText('formations', 'five-man')!)),
  ];
  const front = need(frontFrom(libraryText('fronts', 'over')!, men));
  const standard = (on: string): number =>
    resolve(scheme, men, front, { side: 'right', settings: judgedOn(SHIPPED_SETTINGS, readNeed(on)) }).expected!
      .standard;

  it('asks for no more than the line to gain, and for nothing else on any down', () => {
    expect([standard(''), standard('1st and 10'), standard('3rd and 1'), standard('3rd and 3')]).toEqual([4, 4, 1, 3]);
  });

  it('leaves a run short of the standard on one down and good on another', () => {
    const loose = 'LE 5 left; N 1 left; T 3 right; RE 5 right; W 30 left; M 10 right; S (12, 18) db';
    const short = need(readFront(loose, men));
    const verdicts = ['1st and 10', '4th and 1'].map((on) => {
      const r = resolve(scheme, men, short, { side: 'right', settings: judgedOn(SHIPPED_SETTINGS, readNeed(on)) });
      return [r.expected!.yards! >= r.expected!.standard, r.problems.some((p) => p.code === 'free-linebacker')];
    });
    expect(verdicts).toEqual([
      [false, true],
      [true, false],
    ]);
  });
});
