import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { libraryIds, libraryText } from '../library/library';
import { LONGEST, readTree } from './read';
import { readTitle, type Title } from './read-title';

const TEXTS = (['schemes', 'fronts', 'formations'] as const).flatMap((shelf) =>
  libraryIds(shelf).map((id) => libraryText(shelf, id)!),
);

/** What the whole reading finds, laid out as a title. */
function wholly(text: string): unknown {
  const { tree } = readTree(text);
  if (!tree) return null;
  const head = tree.kind === 'scheme' ? tree.head.map(({ key, value }) => [key, value]) : [];
  const tags = tree.kind === 'scheme' ? tree.tags.map((t) => t.name) : [];
  return { kind: tree.kind, id: tree.id, name: tree.name, head, tags };
}
const shown = (title: Title | null): unknown =>
  title && { ...title, head: title.head.map(({ key, value }) => [key, value]) };

describe('what a text says of itself', () => {
  it('is what the whole reading finds, for everything that ships', () => {
    for (const text of TEXTS) expect(shown(readTitle(text))).toEqual(wholly(text));
  });

  it('is what the whole reading finds, whatever happened to some lines', () => {
    const broken = fc.constantFrom(
      '',
      '  ',
      '# a remark',
      'family gap',
      '  always: base him',
      'scheme',
      '"',
      'entry moon',
      'cover',
    );
    const change = fc.record({ text: fc.constantFrom(...TEXTS), at: fc.nat(14), with: broken, drop: fc.boolean() });
    fc.assert(
      fc.property(change, ({ text, at, with: line, drop }) => {
        const lines = text.split('\n');
        lines.splice(at, drop ? 1 : 0, line);
        const changed = lines.join('\n');
        expect(shown(readTitle(changed))).toEqual(wholly(changed));
      }),
      { numRuns: 400 },
    );
  });

  it('is read from a header that is nearly right, or indented, and not from one that is too long', () => {
    for (const text of [
      'sheme dive "Dive"\nfamily gap',
      '  scheme dive "Dive"\nscheme other "Other"',
      'nothing at all',
      '',
    ])
      expect(shown(readTitle(text))).toEqual(wholly(text));
    expect(readTitle(`scheme dive "Dive"\n# ${'x'.repeat(LONGEST.text)}`)).toBeNull();
  });
});
