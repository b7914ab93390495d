import { NUMBERS } from '../vocabulary/numbers';
import { BLOCKS, WORDS } from '../vocabulary/index';
import type { LeafKind, PhraseKind, Saying } from '../vocabulary/word';
import { PHRASE_KINDS } from '../vocabulary/word';

/** A piece of a template: a word that stands as it is, the verb "be", or a slot. */
export type Piece =
  | { readonly is: 'word'; readonly text: string; readonly article: boolean }
  | { readonly is: 'be' }
  | {
      readonly is: 'slot';
      readonly name: string;
      readonly kind: PhraseKind | LeafKind;
      readonly optional: boolean;
      readonly subject: boolean;
      readonly bare: boolean;
      readonly plain: boolean;
    };

export interface Template {
  readonly word: string;
  readonly form: number;
  readonly denies: boolean;
  readonly pieces: readonly Piece[];
  /** Its first word that is no article, lower case; `null` when it starts with a slot. Saves trying what cannot fit. */
  readonly lead: string | null;
}

const SLOT = /^(\[?)\{(\w+):(\w+)([!=-]?)\}\]?$/;
export const ARTICLES = new Set(['the', 'a', 'an']);

function readTemplate(text: string): Piece[] {
  return text.split(' ').map((part): Piece => {
    const slot = SLOT.exec(part);
    if (!slot) return part === 'be' ? { is: 'be' } : { is: 'word', text: part, article: ARTICLES.has(part) };
    return {
      is: 'slot',
      name: slot[2]!,
      kind: slot[3] as PhraseKind | LeafKind,
      optional: slot[1] === '[',
      subject: slot[4] === '!',
      bare: slot[4] === '-',
      plain: slot[4] === '=',
    };
  });
}

function template(word: string, form: number, denies: boolean, text: string): Template {
  const pieces = readTemplate(text);
  const first = pieces.find((p) => p.is !== 'word' || !p.article);
  return { word, form, denies, pieces, lead: first?.is === 'word' ? first.text.toLowerCase() : null };
}

const templatesOf = (words: Record<string, Saying>): Template[] =>
  Object.entries(words).flatMap(([word, saying]) => [
    ...saying.says.map((text, form) => template(word, form, false, text)),
    ...(saying.denies ?? []).map((text, form) => template(word, form, true, text)),
  ]);

/** Every template of every kind of phrase, in the order of the registries. */
export const TEMPLATES: Readonly<Record<PhraseKind, readonly Template[]>> = Object.fromEntries(
  PHRASE_KINDS.map((kind) => [kind, templatesOf(WORDS[kind])]),
) as Record<PhraseKind, Template[]>;

/** The templates that can begin with a word: those that lead with it and those that lead with a slot, in registry order. */
export const templatesAt = (kind: PhraseKind, word: string): readonly Template[] =>
  BY_LEAD[kind].get(word) ?? OPEN[kind];

const OPEN = Object.fromEntries(
  PHRASE_KINDS.map((kind) => [kind, TEMPLATES[kind].filter((t) => t.lead === null)]),
) as Record<PhraseKind, Template[]>;
const BY_LEAD = Object.fromEntries(
  PHRASE_KINDS.map((kind) => [
    kind,
    new Map(
      [...new Set(TEMPLATES[kind].map((t) => t.lead))]
        .filter((lead) => lead !== null)
        .map((lead) => [lead, TEMPLATES[kind].filter((t) => t.lead === lead || t.lead === null)]),
    ),
  ]),
) as Record<PhraseKind, Map<string, Template[]>>;

/** What an error calls a phrase of this kind. */
export const KIND_NAMES: Readonly<Record<PhraseKind, string>> = {
  condition: 'a condition',
  target: 'a defender',
  qualifier: 'a qualifier',
  man: 'a man',
  gap: 'a gap',
  region: 'a region',
  block: 'a block',
  event: 'what happens',
  reaction: 'what he does',
  group: 'a man or "every man on the line"',
};

export interface Leaf {
  /** Words of the value in a text, by the value kept in the tree. `null`: any word, as in `accepts`. */
  readonly values: Readonly<Record<string, string>> | null;
  readonly name: string;
}

const same = (...values: string[]): Record<string, string> => Object.fromEntries(values.map((v) => [v, v]));

/** Plain words a slot can hold. Tags, looks and seats are those the scheme declares. */
export const LEAVES: Readonly<Record<LeafKind, Leaf>> = {
  dir: { values: same('inside', 'outside', 'playside', 'backside'), name: 'inside, outside, playside or backside' },
  wing: { values: same('playside', 'backside'), name: 'playside or backside' },
  shades: {
    values: same('head-up', 'inside', 'outside', 'playside', 'backside', 'wide'),
    name: 'head-up, inside, outside, playside, backside or wide',
  },
  ordinal: { values: same('first', 'second', 'third', 'outermost'), name: 'first, second, third or outermost' },
  count: { values: same('L1', 'L2', 'L3', 'L4', 'L5'), name: 'L1 to L5' },
  letter: { values: same('A', 'B', 'C', 'D'), name: 'A, B, C or D' },
  family: {
    values: {
      ...same('open', 'odd', 'even', 'bear', 'over', 'under', 'tite', 'stack', 'five-man'),
      'goal-line': 'goal line',
      'double-three': 'double three',
    },
    name: 'a family of fronts',
  },
  post: {
    values: { ...same('tackle', 'guard', 'wing', 'H', 'slot', 'receiver'), 'tight-end': 'tight end' },
    name: 'tackle, guard, tight end, wing, H, slot or receiver',
  },
  number: { values: same(...NUMBERS.slice(1)), name: 'a number from one to eleven' },
  place: { values: same('1', '2', '3', '4', '5', '6', '7'), name: '1 to 7' },
  load: { values: same('loaded', 'light'), name: 'loaded or light' },
  job: {
    values: {
      ...Object.fromEntries(Object.entries(BLOCKS).map(([id, b]) => [id, b.name.toLowerCase()])),
      pull: 'pull',
    },
    name: 'a block',
  },
  techniques: { values: same('0', '1', '2i', '2', '3', '4i', '4', '5', '6i', '6', '9'), name: 'a technique' },
  tag: { values: null, name: 'a tag of this scheme' },
  look: { values: null, name: 'a look of this scheme' },
  seat: { values: null, name: 'a seat of this scheme' },
};

/** Leaves that hold several values, parted by "or". */
export const LIST_LEAVES: ReadonlySet<string> = new Set<LeafKind>(['shades', 'techniques']);

const KINDS: ReadonlySet<string> = new Set(PHRASE_KINDS);

export const isPhraseKind = (kind: string): kind is PhraseKind => KINDS.has(kind);
