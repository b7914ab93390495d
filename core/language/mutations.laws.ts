import fc from 'fast-check';
import { expect, it } from 'vitest';
import { hasErrors } from '../diagnostics/diagnostic';
import { wordDiagnostic } from '../diagnostics/wording';
import { formationFrom, frontFrom, libraryIds, libraryText, schemeFrom, type Shelf } from '../library/library';
import { checkText } from './check';

const TEXTS = 10_000;
const all = (shelf: Shelf): string[] => libraryIds(shelf).map((id) => libraryText(shelf, id)!);
const sources = [...all('schemes'), ...all('fronts'), ...all('formations')];
const PIECES = [
  'when',
  ':',
  '(',
  ')',
  '"',
  '\n',
  '  ',
  'and',
  'not',
  'zzz',
  '#',
  'otherwise',
  ',',
  ';',
  'then',
  'else',
  'the',
  '€',
  '\t',
  'L1',
  '=',
  'him',
  'who is not',
  '@',
  '-',
  '(9, 9)',
  'left',
  'tag',
  '\u0000',
  '😀',
];
const plain = formationFrom(libraryText('formations', 'two-tight-ends')!);
if (!plain.ok) throw new Error('the plain formation no longer reads');
const formation = plain.value;

/** Words cut out, put in, doubled and moved: what a tired hand or a bad copy does to a text. */
const aMutation = fc
  .tuple(
    fc.constantFrom(...sources),
    fc.array(fc.tuple(fc.double({ min: 0, max: 1, noNaN: true }), fc.nat(14), fc.constantFrom(...PIECES)), {
      minLength: 1,
      maxLength: 6,
    }),
  )
  .map(([source, cuts]) =>
    cuts.reduce((t, [at, length, piece]) => {
      const i = Math.floor(at * t.length);
      return t.slice(0, i) + piece + t.slice(i + length);
    }, source),
  );

it(`reads ${TEXTS} spoilt texts without throwing, and always says where`, () => {
  let wrong = 0;
  fc.assert(
    fc.property(aMutation, (text) => {
      const lines = text.split(/\r\n?|\n/).length;
      const found = checkText(text);
      for (const d of found) {
        expect(d.span.line).toBeGreaterThan(0);
        expect(d.span.line).toBeLessThanOrEqual(lines);
        expect(d.span.column).toBeGreaterThan(0);
        expect(wordDiagnostic(d)).not.toMatch(/[{}]|undefined/);
      }
      const read = text.startsWith('front')
        ? frontFrom(text, formation)
        : text.startsWith('formation')
          ? formationFrom(text)
          : schemeFrom(text);
      expect(read.ok).toBe(!hasErrors(read.diagnostics));
      if (!read.ok) wrong++;
    }),
    { numRuns: TEXTS },
  );
  expect(wrong).toBeGreaterThan(TEXTS / 4);
}, 600_000);
