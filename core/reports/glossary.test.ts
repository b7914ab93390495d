import { describe, expect, it } from 'vitest';
import { SHIPPED_CALL_WORDS } from '../model/call-words';
import { BLOCKS } from '../vocabulary/index';
import { findIn, glossary } from './glossary';

const groups = glossary({
  words: { ...SHIPPED_CALL_WORDS, pair: 'Lighthouse' },
  faults: [{ id: 'own-heels', name: 'heels click', part: 'first step', blocks: [] }],
});

describe('the glossary', () => {
  it('says what every word means, and no word twice in a group', () => {
    for (const { name, entries } of groups) {
      expect(entries.length, name).toBeGreaterThan(0);
      expect(new Set(entries.map((e) => e.term)).size, name).toBe(entries.length);
      for (const { term, says } of entries)
        expect([term.length > 0, says.length > 5], `${name}: ${term}`).toEqual([true, true]);
    }
  });

  it('has every block, and the program’s own words and faults', () => {
    expect(groups.find((g) => g.name === 'Blocks')!.entries).toHaveLength(Object.keys(BLOCKS).length);
    expect(findIn(groups, 'lighthouse').map((g) => g.entries.map((e) => e.says))).toEqual([['we double him']]);
    expect(findIn(groups, 'heels click')[0]!.entries[0]!.says).toBe('a fault of the first step; your own');
  });

  it('finds a text in words and in what they mean, and nothing where there is none', () => {
    expect(findIn(groups, ' DOUBLE ').length).toBeGreaterThan(1);
    expect(findIn(groups, 'zzz')).toEqual([]);
    expect(findIn(groups, '')).toEqual(groups);
  });

  it('shows no sign of how templates are written', () => {
    for (const { entries } of groups) for (const { term } of entries) expect(term).not.toMatch(/[{}*|]/);
  });
});
