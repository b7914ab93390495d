import { describe, expect, it } from 'vitest';
import { readTree } from '../language/read';
import { libraryIds, libraryText } from '../library/library';
import { resolveCall } from '../calls/resolve-call';
import { cautionsFor, cautionsOfSheet } from './cautions';

const assignments = (scheme: string, tags: string[] = []) => {
  const r = resolveCall({
    scheme,
    side: 'right',
    tags,
    formation: 'LT LG C RG RT; B',
    formationName: '',
    front: 'LE 5 left; N 1 left; T 3 right; RE 5 right; W 30 left; M 10 right',
    frontName: '',
    overrides: {},
  });
  if (!r.ok) throw new Error(JSON.stringify(r.diagnostics));
  return r.value;
};

describe('cautions', () => {
  it('name the men who cut, by the level of play, and send the coach to his rule book', () => {
    const [low, ...rest] = cautionsFor(assignments('pro-quick', ['cut']), 'youth');
    expect(low).toMatchObject({ id: 'low', who: ['LT', 'LG', 'RG', 'RT'] });
    expect(low!.says).toMatch(/youth level.*rule book/);
    expect(rest).toEqual([]);
    expect(cautionsFor(assignments('pro-quick', ['cut']), 'adult')[0]!.says).not.toBe(low!.says);
    expect(cautionsFor(assignments('pro-quick'), 'youth')).toEqual([]);
  });

  it('warn of one high and one low on the same man', () => {
    const r = assignments('pro-quick', ['cut']);
    const both = { assignments: [...r.assignments, { ...r.assignments[0]!, blocker: 'B', block: 'base' }] };
    expect(cautionsFor(both, 'school').map((c) => c.id)).toEqual(['low', 'low-high']);
  });

  it('stand on the sheets that have such a block and on no other', () => {
    const found = Object.fromEntries(
      libraryIds('schemes').flatMap((id) => {
        const { tree } = readTree(libraryText('schemes', id)!);
        if (tree?.kind !== 'scheme') throw new Error(id);
        const cautions = cautionsOfSheet(tree, 'adult');
        return cautions.length ? [[id, cautions.map((c) => `${c.id}: ${c.who.join(', ')}`)]] : [];
      }),
    );
    expect(found).toEqual({
      'down-gap': ['blind: trap'],
      'down-open': ['blind: trap'],
      'long-trap': ['blind: trap'],
      'short-trap': ['blind: trap'],
      'toss-tackle': ['blind: crack'],
      'pro-quick': ['low: cut'],
    });
  });
});
