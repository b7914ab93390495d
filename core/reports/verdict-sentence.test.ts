import { describe, expect, it } from 'vitest';
import { readFront } from '../language/lineups/read-front';
import { shippedScheme } from '../calls/resolve-call';
import { resolveStill } from '../resolve/resolve';
import { formationOf } from '../testing/fronts';
import { expectedSentence, verdictSentence } from './verdict-sentence';

function said(id: string, formation: string, front: string): string {
  const [scheme, men] = [shippedScheme(id), formationOf(formation)];
  const read = readFront(front, men);
  if (!scheme.ok || !read.ok) throw new Error(id);
  return verdictSentence(resolveStill(scheme.value, men, read.value, { side: 'right' }));
}
const OVER = 'LE 5 left; N 1 left; T 3 right; RE 5 right; W 30 left; M 10 right';

describe('the verdict in one sentence', () => {
  it('counts the box of a sound play', () => {
    expect(said('inside-zone-z1', 'LT LG C RG RT', OVER)).toBe('5 blocked, 1 read, nobody free in the box.');
    expect(said('power', 'LT LG C RG RT H right', OVER)).toBe('6 blocked, nobody free in the box.');
  });

  it('names whoever is free and comes too late', () => {
    expect(said('pro-quick', 'LT LG C RG RT B right; QB gun', `${OVER}; S 9 right up lb; J 9 left up lb`)).toMatch(
      / blocked, [A-Z, ]+ free and too late to hurt\.$/,
    );
  });

  it('ends a sound play with what it gains before a deep man comes', () => {
    expect(said('inside-zone-z1', 'LT LG C RG RT', `${OVER}; FS (0, 36)`)).toMatch(
      /^5 blocked, 1 read, nobody free in the box\. Expect \d\.\d yards, then FS\.$/,
    );
  });

  it('says a man who is at the line as soon as the ball', () => {
    expect(expectedSentence({ yards: 0.1, metBy: 'T', standard: 4 })).toBe(
      'T meets it at the line; 4 is the standard.',
    );
    expect(expectedSentence({ yards: 20, metBy: null, standard: 4 })).toBe(
      'Of those drawn nobody free meets the ball within 20 yards.',
    );
  });

  it('says the first thing wrong and how many more', () => {
    expect(
      said('inside-zone-z1', 'LT LG C RG RT', 'LE 5 left; T 3 left; N 0; U 3 right; RE 5 right; W 30 left; M 30 right'),
    ).toBe('Nobody has W; he can meet the ball at the line unless he is held for 1.4 s.');
    expect(
      said(
        'dive-triple',
        'LT LG C RG RT',
        'LE 6 left; L 4 left; N 0; R 4 right; RE 6 right; W 30 left; M 00; S 30 right',
      ),
    ).toMatch(/ And \d+ more\. Expect [\d.]+ yards, then [A-Z]+; 4 is the standard\.$/);
  });
});
