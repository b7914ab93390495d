import { describe, expect, it } from 'vitest';
import { readdirSync, readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { embeddedLibrary } from '../../scripts/embed-library.mjs';
import { PhraseReader } from '../language/read-phrase';
import { sayPhrase } from '../language/print';
import { LEAVES, LIST_LEAVES, TEMPLATES, isPhraseKind } from '../language/templates';
import type { Phrase, SlotValue } from '../language/tree';
import { readTokens } from '../language/tokens';
import { CALL_MEANINGS } from '../model/call-words';
import { BLOCKS, CONDITIONS, QUALIFIERS, TARGETS, WORDS } from './index';
import { PHRASE_KINDS, type LeafKind, type PhraseKind } from './word';

const names = { tag: new Set(['t']), look: new Set(['l']), seat: new Set(['s']) };
const span = { line: 1, column: 1, endColumn: 1 };

/** A phrase with the plainest filling of every slot. */
function plain(kind: PhraseKind, depth = 0): Phrase {
  const word = kind === 'man' ? 'me' : kind === 'target' ? 'nose' : TEMPLATES[kind][0]!.word;
  const template = TEMPLATES[kind].find((t) => t.word === word && !t.denies)!;
  return { kind, word, form: template.form, slots: fill(template.pieces, depth), qualifiers: [], span };
}
function fill(pieces: (typeof TEMPLATES)['man'][number]['pieces'], depth: number): Record<string, SlotValue> {
  return Object.fromEntries(
    pieces.flatMap((p) =>
      p.is === 'slot' && !p.optional
        ? [
            [
              p.name,
              isPhraseKind(p.kind)
                ? plain(p.kind, depth + 1)
                : LIST_LEAVES.has(p.kind)
                  ? Object.keys(LEAVES[p.kind as LeafKind].values!).slice(0, 2)
                  : Object.keys(LEAVES[p.kind].values ?? { [p.kind[0]!]: '' })[0]!,
            ],
          ]
        : [],
    ),
  );
}

describe('every word of the language', () => {
  const all = PHRASE_KINDS.flatMap((kind) =>
    TEMPLATES[kind].map((t) => [`${kind} ${t.word} ${t.denies ? 'denied ' : ''}${t.form}`, kind, t] as const),
  );

  it.each(all)('%s is read back as it is said', (_label, kind, template) => {
    const phrase: Phrase = {
      kind,
      word: template.word,
      form: template.form,
      slots: fill(template.pieces, 0),
      qualifiers: [],
      span,
    };
    const said = sayPhrase(phrase, { denied: template.denies });
    const { lines } = readTokens(said);
    const reading = new PhraseReader(lines[0]!.tokens, names, false).read(kind, 0)!;
    expect(reading.end).toBe(lines[0]!.tokens.length);
    expect(sayPhrase(reading.phrase, { denied: reading.denied })).toBe(said);
  });

  it.each(PHRASE_KINDS)('%s: says what it is for', (kind) => {
    for (const word of Object.values(WORDS[kind])) expect(word.help).toMatch(/^[A-Z].*[.]$/);
  });

  it.each([
    ['conditions', CONDITIONS],
    ['targets', TARGETS],
    ['blocks', BLOCKS],
    ['qualifiers', QUALIFIERS],
  ] as const)('%s: every file is registered', (folder, registry) => {
    const files = readdirSync(fileURLToPath(new URL(folder, import.meta.url))).map((f) => f.replace('.ts', ''));
    expect(files.sort()).toEqual(Object.keys(registry).sort());
  });

  it('every block’s call has a meaning a program can word', () => {
    for (const block of Object.values(BLOCKS)) if (block.call) expect(CALL_MEANINGS).toContain(block.call);
  });
});

it('the embedded library is what the .chalk files say', () => {
  expect(readFileSync(fileURLToPath(new URL('../library/embedded.ts', import.meta.url)), 'utf8')).toBe(
    embeddedLibrary(),
  );
});
