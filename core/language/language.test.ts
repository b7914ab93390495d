import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { hasErrors } from '../diagnostics/diagnostic';
import { wordDiagnostic } from '../diagnostics/wording';
import { libraryIds, libraryText, schemeFrom, type Shelf } from '../library/library';
import { checkText } from './check';
import { printTree } from './print';
import { readTree } from './read';
import type { SchemeTree } from './tree';

const texts = (['schemes', 'fronts', 'formations'] satisfies Shelf[]).flatMap((shelf) =>
  libraryIds(shelf).map((id) => [id, libraryText(shelf, id)!] as const),
);
const bare = (tree: unknown): unknown =>
  JSON.parse(JSON.stringify(tree, (key, value: unknown) => (key === 'span' ? undefined : value)));
const HEAD = 'scheme t "T"\nfamily gap\nentry playside A gap\ntrack gap\ntempo power\ncover shoulders\n';
const messages = (body: string): string[] =>
  checkText(HEAD + body).map((d) => `${d.span.line}:${d.span.column} ${wordDiagnostic(d)}`);

describe('the shipped library', () => {
  it.each(texts)('%s reads without a word of complaint', (_id, text) => {
    expect(checkText(text)).toEqual([]);
  });

  it.each(texts)('%s survives print and read, comments and all', (_id, text) => {
    const { tree } = readTree(text);
    const printed = printTree(tree!);
    expect(bare(readTree(printed).tree)).toEqual(bare(tree));
    expect(printTree(readTree(printed).tree!)).toBe(printed);
    for (const comment of text.match(/#.*$/gm) ?? []) expect(printed).toContain(comment.trim());
  });
});

describe('reading', () => {
  it('says line, column, what was expected and the nearest word', () => {
    expect(messages('playside tackle\n  when I am coverd: drive the nose\n  otherwise: climb')[0]).toMatch(
      /^8:13 expected .*found "coverd".*did you mean "covered"/,
    );
  });

  it('goes on after a sentence it cannot read', () => {
    const { tree, diagnostics } = readTree(`${HEAD}centre\n  when bananas: climb\n  otherwise: climb to L2`);
    expect(diagnostics).toHaveLength(1);
    expect((tree as SchemeTree).sheets[0]!.sentences).toHaveLength(1);
  });

  it('reads brackets, and prints only those that matter', () => {
    const text = `${HEAD}centre\n  when I am covered and (tag x is on or not (there is a nose and I am uncovered)): climb\n  otherwise: climb`;
    const printed = printTree(readTree(text.replace('centre\n', 'tag x "x"\n\ncentre\n')).tree!);
    expect(printed).toContain('when I am covered and (tag x is on or not (there is a nose and I am uncovered)): climb');
  });

  it('never throws on mutated texts, and always says where', () => {
    const scheme = libraryText('schemes', 'power')!;
    const pieces = [
      'when',
      ':',
      '(',
      ')',
      '"',
      '\n',
      '  ',
      'and',
      'zzz',
      '#',
      'otherwise',
      ',',
      ';',
      'the',
      '€',
      '\t',
      'L1',
      '=',
    ];
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.nat(scheme.length), fc.nat(12), fc.constantFrom(...pieces)), {
          minLength: 1,
          maxLength: 5,
        }),
        (cuts) => {
          const text = cuts.reduce((t, [at, length, piece]) => t.slice(0, at) + piece + t.slice(at + length), scheme);
          for (const d of checkText(text)) {
            expect(d.span.line).toBeGreaterThan(0);
            expect(d.span.line).toBeLessThanOrEqual(text.split('\n').length);
            expect(wordDiagnostic(d)).not.toContain('{');
          }
          const read = schemeFrom(text);
          expect(read.ok).toBe(!hasErrors(read.diagnostics));
        },
      ),
      { numRuns: 300 },
    );
  });

  it('holds a text of too many brackets and too many lines', () => {
    expect(messages(`centre\n  when ${'('.repeat(60)}I am covered: climb`).join()).toContain('nests more than 20');
    expect(wordDiagnostic(checkText('\n'.repeat(60_000))[0]!)).toContain('more than 5000 lines');
    expect(checkText(`scheme x "X"\ncentre\n${'  when bananas are\n'.repeat(4000)}`).length).toBeLessThan(120);
  });
});

describe('checking', () => {
  it.each([
    [
      'a sentence after one that always fits',
      'centre\n  always: climb to L2\n  otherwise: climb',
      /9:\d+ this sentence can never fire: the one in line 8/,
    ],
    [
      'a man without a sentence that always fits',
      'centre\n  when there is a nose: base him',
      /centre has no sentence that always fits/,
    ],
    [
      'a partner without rules',
      'centre\n  when there is a nose: double him with the playside guard\n  otherwise: climb',
      /playside guard has no rules/,
    ],
    [
      'a partner who can never agree',
      'centre\n  when there is a nose: double him with the playside guard\n  otherwise: climb\nplayside guard\n  always: pull and lead for L1',
      /this double team can never stand/,
    ],
    ['a tag that changes nothing', 'tag wrap "x"\ncentre\n  always: climb', /the tag "wrap" changes nothing/],
    [
      '"him" in a condition before anybody is named',
      'centre\n  when he is on the line and there is a nose: base him\n  otherwise: climb',
      /"him" points at nobody/,
    ],
    [
      '"him" in a qualifier without anybody',
      'centre\n  otherwise: climb to the next free linebacker who is not him',
      /"him" points at nobody/,
    ],
    [
      '"him" after a condition that names nobody',
      'centre\n  when three or more are down: base him\n  otherwise: climb',
      /"him" points at nobody/,
    ],
    [
      '"him" without anybody',
      'tag wrap "x"\ncentre\n  when tag wrap is on: base him\n  otherwise: climb',
      /"him" points at nobody/,
    ],
    ['an unknown tag', 'tag wrap "x"\ncentre\n  when tag wrp is on: climb\n  otherwise: climb', /did you mean "wrap"/],
    ['a formation nobody could be called', 'from h-=back\ncentre\n  always: climb', /expected a short name.*"h-=back"/],
    ['a sentence under nobody', '  otherwise: climb', /stands under nobody/],
  ])('notices %s', (_what, body, message) => {
    expect(messages(body).join('\n')).toMatch(message);
  });
});
