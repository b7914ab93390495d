import { describe, expect, it } from 'vitest';
import { wordDiagnostic } from '../diagnostics/wording';
import { libraryIds, libraryText } from '../library/library';
import { isAboutHeader, LONGEST, readDocument, readTree } from './read';

const BODY =
  'family gap\nentry playside A gap\ntrack gap\ntempo power\ncover shoulders\n\ncentre\n  when bananas: climb\n  otherwise: climb\n';
const told = (text: string) => readTree(text).diagnostics.map((d) => `${d.span.line}:${d.span.column} ${d.code}`);

describe('a header that is not right', () => {
  it.each([
    ['schem x "X"', 'text.header-near'],
    ['scheme "X"', 'text.header'],
    ['scheme x', 'text.header'],
    ['scheme x "X" and more', 'text.header'],
    ['my own play', 'text.header'],
  ])('%s: is told, and what follows is read all the same', (header, code) => {
    const read = readTree(`${header}\n${BODY}`);
    expect(told(`${header}\n${BODY}`)).toEqual([`1:1 ${code}`, '9:8 text.expected']);
    expect(read.tree).toMatchObject({
      kind: 'scheme',
      head: expect.arrayContaining([expect.objectContaining({ key: 'family' })]),
    });
    expect(readDocument(`${header}\n${BODY}`, 'scheme').ok).toBe(false);
  });

  it('says which word was probably meant', () => {
    expect(wordDiagnostic(readTree('frnt x "X"\nT 3 right\n').diagnostics[0]!)).toContain('did you mean "front"?');
    expect(readTree('frnt x "X"\nT 3 right\n').tree).toMatchObject({ kind: 'front', id: 'x', name: 'X' });
  });

  it('makes nothing of a text that could be anything', () => {
    expect(readTree('T 3 right\nN 1 left\n').tree).toBeNull();
  });

  it('is told once, whatever kind of text was asked for', () => {
    for (const kind of ['scheme', 'front', 'formation'] as const)
      expect(readDocument(`schem x "X"\n${BODY}`, kind).diagnostics.filter(isAboutHeader)).toHaveLength(1);
  });

  it('never is one of what ships', () => {
    for (const shelf of ['schemes', 'fronts', 'formations'] as const)
      for (const id of libraryIds(shelf)) expect(told(libraryText(shelf, id)!)).toEqual([]);
  });
});

describe('a text nobody would write', () => {
  const codes = (text: string): unknown[] => readTree(text).diagnostics.map((d) => [d.code, d.span.line]);

  it('is refused before it is read, with the place where it is too long', () => {
    expect(codes(`scheme long "Long"\nnote ${'x '.repeat(LONGEST.text / 2)}`)).toEqual([['text.too-large', 1]]);
    expect(codes(`scheme long "Long"\nfamily gap\nnote ${'x'.repeat(LONGEST.line)}`)).toEqual([
      ['text.line-too-long', 3],
    ]);
    expect(readTree(`scheme long "Long"\nnote ${'x'.repeat(LONGEST.line - 5)}`).tree).not.toBeNull();
  });

  it('is nothing that ships', () => {
    for (const shelf of ['schemes', 'fronts', 'formations'] as const)
      for (const id of libraryIds(shelf)) expect(codes(libraryText(shelf, id)!), id).toEqual([]);
  });
});
