import { describe, expect, it } from 'vitest';
import { readFormation } from '../language/lineups/read-formation';
import { readFront } from '../language/lineups/read-front';
import { libraryIds } from '../library/library';
import { shippedScheme } from '../calls/resolve-call';
import type { CompiledScheme } from '../resolve/prepare/compile';
import { resolveStill } from '../resolve/resolve';
import type { Call } from '../resolve/prepare/prepare-call';
import { compareResolutions } from './compare';
import { sayChange, whatMends } from './mend';

const scheme = (id: string): CompiledScheme => {
  const read = shippedScheme(id);
  if (!read.ok) throw new Error(id);
  return read.value;
};
const lineup = (formationText: string, frontText: string) => {
  const formation = readFormation(formationText);
  if (!formation.ok) throw new Error(formationText);
  const front = readFront(frontText, formation.value);
  if (!front.ok) throw new Error(frontText);
  return { formation: formation.value, front: front.value };
};
const schools = libraryIds('schemes')
  .filter((id) => id.startsWith('inside-zone'))
  .map(scheme);
const OVER = 'LE 5 left; N 1 left; T 3 right; RE 5 right; W 30 left; M 10 right';

describe('two schools on one front', () => {
  it('marks the men who do something else', () => {
    const { formation, front } = lineup('LT LG C RG RT', OVER);
    const [one, other] = ['inside-zone-z1', 'inside-zone-z2'].map((id) =>
      resolveStill(scheme(id), formation, front, { side: 'right' }),
    );
    const { men, defenders, sameVerdict } = compareResolutions(one!, other!);
    expect(men.filter((m) => !m.same).map((m) => m.blocker)).toEqual(['LG', 'C', 'RG']);
    expect(defenders.filter((d) => !d.same).map((d) => [d.id, d.one, d.other])).toEqual([
      ['N', 'double', 'single'],
      ['T', 'single', 'double'],
    ]);
    expect(sameVerdict).toBe(true);
    expect(compareResolutions(one!, one!).men.every((m) => m.same)).toBe(true);
  });
});

describe('what mends it', () => {
  const mend = (id: string, formationText: string, frontText: string, call: Call) =>
    whatMends({ scheme: scheme(id), formationText, front: lineup(formationText, frontText).front, call, schools });

  it('finds the tag that answers a free linebacker', () => {
    const found = mend('inside-zone-z1', 'LT LG C RG RT H right', `${OVER}; S (9, 12)`, { side: 'right' });
    expect(found[0]).toMatchObject({
      verdict: 'sound',
      left: 0,
      change: { kind: 'tag', tag: 'insert', on: true },
      gone: ['free-linebacker'],
    });
    expect(found.some((m) => m.change.kind === 'split')).toBe(false);
  });

  it('has nothing to say about a sound call', () => {
    expect(mend('inside-zone-z1', 'LT LG C RG RT', OVER, { side: 'right' })).toEqual([]);
  });

  it('only names changes that make it better, and each does what it says', () => {
    const front = 'LE 5 left; N 0; RE 5 right; W 50 left; M 00; S 50 right';
    const found = mend('inside-zone-z5', 'LT LG C RG RT', front, { side: 'right' });
    const others = found.filter((x) => x.change.kind === 'school');
    expect(others.length).toBeGreaterThan(0);
    for (const m of others) {
      const { formation, front: f } = lineup('LT LG C RG RT', front);
      expect(
        resolveStill(scheme((m.change as { scheme: string }).scheme), formation, f, { side: 'right' }).verdict,
      ).toBe(m.verdict);
    }
    expect(found.map((m) => sayChange(m.change)).every((s) => s.length > 5)).toBe(true);
  });
});
