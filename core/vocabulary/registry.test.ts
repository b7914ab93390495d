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
import { Facts } from '../identify/identify';
import { readFormation } from '../language/lineups/read-formation';
import { readFront } from '../language/lineups/read-front';
import { libraryText, schemeFrom } from '../library/library';
import { slotsOf } from '../resolve/prepare/phrase';
import { prepareCall } from '../resolve/prepare/prepare-call';
import { setScene } from '../resolve/settle/set-scene';
import { settleFirstLevel } from '../resolve/settle/settle';
import { need } from '../testing/need';
import { always } from './finding';
import { BLOCKS, CONDITIONS, QUALIFIERS, TARGETS, WORDS } from './index';
import type { Scene } from './scene';
import {
  PHRASE_KINDS,
  type BlockWord,
  type ConditionWord,
  type LeafKind,
  type PhraseKind,
  type Saying,
  type TargetWord,
} from './word';

const names = { tag: new Set(['t']), look: new Set(['l']), seat: new Set(['s']) };
const span = { line: 1, column: 1, endColumn: 1 };

/** A phrase with the plainest filling of every slot. */
function plain(kind: PhraseKind, depth = 0): Phrase {
  const word = kind === 'man' ? 'me' : kind === 'target' ? 'nose' : TEMPLATES[kind][0]!.word;
  const template = TEMPLATES[kind].find((t) => t.word === word && !t.denies)!;
  return { kind, word, form: template.form, slots: fill(template.pieces, depth), qualifiers: [], span };
}
/** The plainest filling that speaks of nobody's own place. */
function fillPlainly(pieces: (typeof TEMPLATES)['man'][number]['pieces']): Record<string, SlotValue> {
  return Object.fromEntries(Object.entries(fill(pieces, 0)).map(([name, value]) => [name, elsewhere(value)]));
}
const centre: Phrase = { kind: 'man', word: 'centre', form: 0, slots: {}, qualifiers: [], span };
function elsewhere(value: SlotValue): SlotValue {
  if (typeof value !== 'object' || !('word' in value)) return value;
  if (value.word === 'me') return centre;
  if (value.word === 'my-gap') return { ...value, word: 'letter-gap', slots: { side: 'playside', letter: 'B' } };
  if (value.word === 'my-region') return { ...value, word: 'region-of', slots: { who: centre } };
  return value;
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

const FOLDERS = {
  blocks: WORDS.block,
  conditions: WORDS.condition,
  events: WORDS.event,
  gaps: WORDS.gap,
  groups: WORDS.group,
  men: WORDS.man,
  qualifiers: WORDS.qualifier,
  reactions: WORDS.reaction,
  regions: WORDS.region,
  targets: WORDS.target,
} as const;

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

  it.each(Object.entries(FOLDERS))('%s: every file is registered', (folder, registry) => {
    const files = readdirSync(fileURLToPath(new URL(folder, import.meta.url)))
      .filter((f) => !f.endsWith('.test.ts') && f !== 'index.ts')
      .map((f) => f.replace('.ts', ''));
    expect(files).toHaveLength(Object.keys(registry).length);
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

describe('what a word declares of itself', () => {
  const formation = need(readFormation('LT LG C RG RT Y right H left B'));
  const front = need(
    readFront('LE 5 left; N 1 left; T 3 right; RE 5 right; W 30 left; M 10 right; S (13, 8)', formation),
  );
  const scheme = need(schemeFrom(libraryText('schemes', 'power')!));
  const prepared = prepareCall(scheme, formation, { side: 'right' });
  const settled = settleFirstLevel(
    prepared.seated,
    setScene(prepared.seated, new Facts(formation, front, { side: 'right' })),
  );
  /** What others have chosen cannot be read here. */
  const deaf = new Proxy(settled.scene, {
    get(scene, key) {
      if (key === 'proposals' || key === 'owners') throw new Error(`reads ${key}`);
      return Reflect.get(scene, key, scene) as unknown;
    },
  });
  const men = settled.scene.men.slice(0, settled.scene.lineCount).map((m) => m.index);
  const ask = (kind: 'condition' | 'target' | 'qualifier', word: string, scene: Scene, me: number): unknown => {
    const t = TEMPLATES[kind].find((x) => x.word === word && !x.denies)!;
    const slots = slotsOf(
      { kind, word, form: t.form, slots: fillPlainly(t.pieces), qualifiers: [], span } as Phrase,
      null,
    );
    if (kind === 'target') return TARGETS[word as keyof typeof TARGETS].find(slots).seek(scene, me, 2, always);
    if (kind === 'qualifier') return QUALIFIERS[word as keyof typeof QUALIFIERS].keep(slots)(scene, me, 2, 2);
    const condition: ConditionWord = CONDITIONS[word as keyof typeof CONDITIONS];
    return ('finds' in condition ? condition.finds(slots) : condition.test(slots))(scene, me, 2);
  };
  const words = (['condition', 'target', 'qualifier'] as const).flatMap((kind) =>
    Object.keys(WORDS[kind]).map((word) => [kind, word] as const),
  );

  it.each(words)('%s %s reads what others chose only if it says so', (kind, word) => {
    const says = (WORDS[kind] as Record<string, Saying>)[word]!.asksOthers ?? false;
    const reads = men.some((me) => {
      try {
        ask(kind, word, deaf, me);
        return false;
      } catch (problem) {
        expect((problem as Error).message).toMatch(/^reads/);
        return true;
      }
    });
    expect(reads).toBe(says);
  });

  const ofNobody = words.filter(([kind, word]) => {
    const { aboutMe, asksOthers } = (WORDS[kind] as Record<string, Saying>)[word]!;
    return !aboutMe && !asksOthers;
  });
  it.each(ofNobody)('%s %s is the same whoever asks', (kind, word) => {
    const answers = men.map((me) => ask(kind, word, settled.scene, me));
    expect(new Set(answers).size).toBe(1);
  });

  const claimOf = (id: string, word: TargetWord): string | null => {
    const t = TEMPLATES.target.find((x) => x.word === id)!;
    const slots = fillPlainly(t.pieces);
    return word.find(slotsOf({ kind: 'target', word: id, form: t.form, slots, qualifiers: [], span } as Phrase, null))
      .claim;
  };
  const handedOut = Object.entries<TargetWord>(TARGETS).filter(([id, word]) => claimOf(id, word) !== null);

  it.each(handedOut)('target %s: who is handed out later may stand off the line', (_id, word) => {
    expect(word.offTheLine).toBe(true);
  });

  it.each(Object.entries<BlockWord>(BLOCKS))('block %s: what it declares agrees', (_id, word) => {
    if (word.scans || word.slides) expect(word.course).toBe('retreat');
    if (word.comesOffFirst) expect(word.role).toBe('pair');
    expect(word.pulls).toBe(word.course === 'behind-the-line' && word.pulls);
    expect(word.technique.step + word.technique.aim + word.technique.eyes).toMatch(/\w/);
  });
});
