import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readFormation } from '../language/lineups/read-formation';
import { readFront } from '../language/lineups/read-front';
import { spaceFrom, libraryIds, libraryText } from '../library/library';
import { SettingsSchema, type Settings } from '../model/settings';
import { openSpace } from '../stress/space';
import { aLineup } from '../testing/fronts';
import { need } from '../testing/need';
import { againstLeague, hasLeagueRules, isLegal } from './league';

const men = need(readFormation('LT LG C RG RT; B left'));
const rules = (part: Partial<Settings>): Settings => SettingsSchema.parse(part);
const said = (front: string, part: Partial<Settings>): string[] =>
  againstLeague(need(readFront(front, men)), men, rules(part));
const OVER = 'LE 5 left; N 1 left; T 3 right; RE 5 right; W 30 left; M 10 right; FS (0, 36)';

describe('what a league asks of a defence', () => {
  it.each([
    [{ leagueLeastOnLine: 5 }, '4 stand on the line; your league asks for 5.'],
    [{ leagueMostOnLine: 3 }, '4 stand on the line; your league allows 3.'],
    [{ leagueDepth: 5 }, /^[WM] stands [\d.]+ yards off; your league asks for 5\.$/],
    [{ leagueCentre: 'head-up' as const }, 'Nobody is head-up on the centre; your league asks for it.'],
    [{ leagueCentre: 'nobody' as const }, 'A man stands over the centre; your league forbids it.'],
  ])('%o', (part, sentence) => {
    const found = said(OVER, part);
    expect(found[0]).toEqual(typeof sentence === 'string' ? sentence : expect.stringMatching(sentence));
    expect(hasLeagueRules(rules(part))).toBe(true);
  });

  it('is kept by a front that keeps it, and asks nothing as it ships', () => {
    const five = 'LE 5 left; L 2 left; N 0; R 2 right; RE 5 right; W (-4, 15); M (4, 15)';
    const asked = { leagueLeastOnLine: 5, leagueMostOnLine: 5, leagueDepth: 4, leagueCentre: 'head-up' as const };
    expect(said(five, asked)).toEqual([]);
    expect([said(OVER, {}), hasLeagueRules(rules({}))]).toEqual([[], false]);
  });

  it('forbids who comes from off the line and not what the line itself does', () => {
    const forbidden = { leagueBlitz: 'forbidden' as const };
    expect(said(`${OVER}; M blitz A left`, forbidden)).toEqual(['M comes from off the line; your league forbids it.']);
    expect(said(`${OVER}; slant right; twist T RE`, forbidden)).toEqual([]);
  });

  it('takes a man who stands just where he has to', () => {
    expect(said('N 0; W (-4, 15)', { leagueDepth: 5 })).toEqual([]);
    expect(said('N 0; W (-4, 14.5)', { leagueDepth: 5 })).toEqual(['W stands 4.8 yards off; your league asks for 5.']);
  });

  it('does not look at men wide of the box', () => {
    expect(said('N 0; W (30, 9)', { leagueDepth: 5 })).toEqual([]);
  });

  it('over random fronts: who asks for more finds at least as much', () => {
    fc.assert(
      fc.property(
        aLineup,
        fc.integer({ min: 0, max: 8 }),
        fc.integer({ min: 0, max: 8 }),
        ({ formation, front }, a, b) => {
          const [mild, strict] = [Math.min(a, b), Math.max(a, b)];
          const at = (n: number): number =>
            againstLeague(front, formation, rules({ leagueLeastOnLine: n, leagueDepth: n })).length;
          expect(at(mild)).toBeLessThanOrEqual(at(strict));
        },
      ),
      { numRuns: 200 },
    );
  });

  it('limits every shipped space to what is legal, and leaves it as it is while nothing is asked', () => {
    const asked = rules({ leagueCentre: 'nobody', leagueBlitz: 'forbidden' });
    for (const id of libraryIds('spaces')) {
      const space = need(spaceFrom(libraryText('spaces', id)!));
      const [all, limited] = [need(openSpace(space, men)), need(openSpace(space, men, asked))];
      for (let i = 0; i < 200; i++) {
        const choice = all.radix.map((n, k) => (i * (k + 3)) % n);
        const front = all.frontAt(choice);
        expect(limited.frontAt(choice)).toEqual(front && isLegal(front, men, asked) ? front : null);
      }
    }
  });
});
