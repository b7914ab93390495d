import { describe, expect, it } from 'vitest';
import { readFormation } from './lineups/read-formation';
import { readFront } from './lineups/read-front';
import { blockerOf, suggestSentence, postOf } from '../compare/suggest';
import { libraryText } from '../library/library';
import { PHRASE_KINDS } from '../vocabulary/word';
import { declaredIn, formsOf, phraseOf, plainSentence } from './build';
import { completeAt } from './complete';
import { sayPhrase, saySentence } from './print';
import { readTree } from './read';
import { PhraseReader } from './read-phrase';
import { readTokens } from './tokens';
import type { SchemeTree } from './tree';

const power = libraryText('schemes', 'power')!;
const at = (line: string): readonly string[] =>
  completeAt(`${power}\n${line}`, power.split('\n').length + 1, line.length + 1).options;

describe('completing', () => {
  it.each([
    ['  wh', ['when']],
    ['  when tag wr', ['wrap']],
    ['  when the look is ', ['crowded', 'not']],
    ['  when I am covered head', ['head-up']],
    ['  otherwise: dou', ['double']],
    [
      'cover playside region',
      [
        'playside region',
        'playside region, head-up is mine',
        'playside region, head-up is mine play side',
        'playside region, head-up is mine back side',
      ],
    ],
    ['playside ta', ['tackle']],
  ])('after "%s" offers %j', (line, options) => {
    expect(at(line)).toEqual(options);
  });

  it('offers nothing after what cannot be read', () => expect(at('  when bananas are ')).toEqual([]));
});

describe('building without typing', () => {
  const declared = declaredIn(readTree(power).tree as SchemeTree);

  it.each(PHRASE_KINDS)('every form of a %s, filled plainly, is read back as it is said', (kind) => {
    const names = { tag: new Set(declared.tag), look: new Set(declared.look), seat: new Set(declared.seat) };
    for (const form of formsOf(kind, declared)) {
      const said = sayPhrase(phraseOf(form, kind, declared), { denied: form.denies });
      const [line] = readTokens(said).lines;
      expect(new PhraseReader(line!.tokens, names, false).read(kind, 0)?.end, said).toBe(line!.tokens.length);
    }
  });

  it('keeps what two forms have in common', () => {
    const [one, other] = formsOf('block', declared).filter((t) => ['down', 'double'].includes(t.word));
    const down = phraseOf(one!, 'block', declared);
    expect(phraseOf(other!, 'block', declared, down).slots.whom).toBe(down.slots.whom);
    expect(saySentence(plainSentence(declared))).toBe('otherwise: base the man on me');
  });
});

describe('a sentence for a hole', () => {
  it('is for a blocker involved, else for the lineman nearest to the free defender', () => {
    const formation = readFormation('LT LG C RG RT Y right');
    const front = formation.ok ? readFront('T 3 right; LE 5 left', formation.value) : formation;
    if (!formation.ok || !front.ok) throw new Error('the line-up cannot be read');
    expect(blockerOf(['LG', 'T'], formation.value, front.value)).toBe('LG');
    expect(blockerOf(['T'], formation.value, front.value)).toBe('RG');
    expect(blockerOf(['LE'], formation.value, front.value)).toBe('LT');
    expect(blockerOf(['XX'], formation.value, front.value)).toBeNull();
  });

  it('goes before the one that always fits, or to everybody’s rules', () => {
    const found = suggestSentence(power, postOf('RT', 'right'))!;
    expect(power.split('\n')[found.line - 1]).toMatch(/^ {2}otherwise: release inside to L2/);
    expect(suggestSentence(libraryText('schemes', 'inside-zone-z1')!, 'playside guard')).not.toBeNull();
    const lines = power.split('\n');
    lines.splice(found.line - 1, 0, found.sentence);
    expect(readTree(lines.join('\n')).diagnostics).toEqual([]);
    expect(suggestSentence('scheme x "X"\nfamily gap', 'centre')).toBeNull();
  });
});
