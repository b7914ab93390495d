import type { PhraseKind } from '../vocabulary/word';
import { isPhraseKind, LEAVES, LIST_LEAVES, TEMPLATES, type Template } from './templates';
import type { Action, Condition, Phrase, SchemeTree, Sentence, SlotValue } from './tree';

const NOWHERE = { line: 1, column: 1, endColumn: 1 };

/** What a scheme declares, for slots that name a tag, look or seat. */
export interface Declared {
  readonly tag: readonly string[];
  readonly look: readonly string[];
  readonly seat: readonly string[];
}

export const declaredIn = (tree: SchemeTree): Declared => ({
  tag: tree.tags.map((t) => t.name),
  look: tree.looks.map((l) => l.name),
  seat: tree.seats.map((s) => s.name),
});

/** The plainest word of each kind, for a slot nobody has filled yet. */
const PLAIN: Partial<Record<PhraseKind, string>> = {
  man: 'me',
  target: 'man-on',
  block: 'base',
  gap: 'my-gap',
  region: 'my-region',
  condition: 'covered',
  event: 'crosses-face',
  reaction: 'stay',
};

/** Every form a phrase of a kind can take in this scheme: forms that need a tag, look or seat only where there is one. */
export const formsOf = (kind: PhraseKind, declared: Declared): Template[] =>
  TEMPLATES[kind].filter((t) =>
    t.pieces.every(
      (p) =>
        p.is !== 'slot' ||
        isPhraseKind(p.kind) ||
        LEAVES[p.kind].values !== null ||
        declared[p.kind as keyof Declared].length > 0,
    ),
  );

/** A phrase by its form, every slot filled in the plainest way; slots that it shares with `like` keep what stood there. */
export function phraseOf(template: Template, kind: PhraseKind, declared: Declared, like?: Phrase): Phrase {
  const slots: Record<string, SlotValue> = {};
  for (const piece of template.pieces) {
    if (piece.is !== 'slot') continue;
    const kept = like?.slots[piece.name];
    if (kept !== undefined && fits(kept, piece.kind)) slots[piece.name] = kept;
    else if (!piece.optional) slots[piece.name] = plainSlot(piece.kind, declared);
  }
  return { kind, word: template.word, form: template.form, slots, qualifiers: [], span: NOWHERE };
}

function fits(value: SlotValue, kind: string): boolean {
  if (typeof value === 'object' && 'word' in value) return value.kind === kind;
  if (isPhraseKind(kind)) return false;
  return Array.isArray(value) === LIST_LEAVES.has(kind);
}

export function plainPhrase(kind: PhraseKind, declared: Declared): Phrase {
  const word = PLAIN[kind];
  const forms = formsOf(kind, declared).filter((t) => !t.denies);
  return phraseOf(forms.find((t) => t.word === word) ?? forms[0]!, kind, declared);
}

function plainSlot(kind: string, declared: Declared): SlotValue {
  if (isPhraseKind(kind)) return plainPhrase(kind, declared);
  const values = leafValues(kind, declared);
  return LIST_LEAVES.has(kind) ? [values[0]!.value] : values[0]!.value;
}

/** What a plain slot can hold, as kept and as said. */
export function leafValues(kind: string, declared: Declared): { value: string; said: string }[] {
  const leaf = LEAVES[kind as keyof typeof LEAVES];
  if (leaf.values) return Object.entries(leaf.values).map(([value, said]) => ({ value, said }));
  return declared[kind as keyof Declared].map((value) => ({ value, said: value }));
}

export const isCondition = (phrase: Phrase, denied: boolean): Condition =>
  denied ? { op: 'not', part: { op: 'is', phrase } } : { op: 'is', phrase };

export const plainAction = (declared: Declared): Action => ({ block: plainPhrase('block', declared), then: null });

/** A sentence to start from: always fits. */
export const plainSentence = (declared: Declared, when: Condition | null = null): Sentence => ({
  when,
  actions: [plainAction(declared)],
  followUps: [],
  comments: [],
  trailing: null,
  span: NOWHERE,
});
