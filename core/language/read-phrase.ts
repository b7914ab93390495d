import type { Span } from '../diagnostics/diagnostic';
import { WORDS } from '../vocabulary/index';
import { PHRASE_KINDS, type LeafKind, type PhraseKind, type Saying } from '../vocabulary/word';
import {
  ARTICLES,
  isPhraseKind,
  KIND_NAMES,
  LEAVES,
  LIST_LEAVES,
  TEMPLATES,
  templatesAt,
  type Piece,
  type Template,
} from './templates';
import type { Token } from './tokens';
import type { Phrase, SlotValue } from './tree';

/** Names the scheme itself declares. */
export interface Names {
  readonly tag: ReadonlySet<string>;
  readonly look: ReadonlySet<string>;
  readonly seat: ReadonlySet<string>;
}

export interface Reading {
  readonly phrase: Phrase;
  /** A form that means the opposite was used. */
  readonly denied: boolean;
  readonly end: number;
}

/** For each kind of phrase, its words that have a subject form: "i" is me. */
const SUBJECTS = Object.fromEntries(
  PHRASE_KINDS.map((kind) => [
    kind,
    Object.fromEntries(
      Object.entries<Saying>(WORDS[kind]).flatMap(([word, saying]) =>
        saying.subject ? [[saying.subject.toLowerCase(), word]] : [],
      ),
    ),
  ]),
) as Record<PhraseKind, Record<string, string | undefined>>;

const MAX_QUALIFIERS = 3;

/** Every leaf's values with the words they are said by, taken apart once. */
const LEAF_VALUES = Object.fromEntries(
  Object.entries(LEAVES).map(([kind, { values }]) => [
    kind,
    values && Object.entries(values).map(([value, said]) => ({ value, words: said.split(' ') })),
  ]),
) as unknown as Record<LeafKind, readonly { readonly value: string; readonly words: readonly string[] }[] | null>;
/** First words of every leaf's values. */
const LEAF_WORDS = Object.fromEntries(
  Object.entries(LEAF_VALUES).map(([kind, values]) => [kind, new Set(values?.map((v) => v.words[0]!.toLowerCase()))]),
) as unknown as Record<LeafKind, ReadonlySet<string>>;

/** How far a template has come, with what its slots hold. */
interface Fitted {
  readonly end: number;
  readonly slots: Record<string, SlotValue>;
}
const NOWHERE: readonly Fitted[] = [];

/**
 * Reads phrases out of one line of tokens by the vocabulary's templates. Every reading that fits is kept, longest first;
 * the place that got furthest and what could have stood there make the error message.
 */
export class PhraseReader {
  /** Readings known already: of each kind, by place. */
  private readonly memo = new Map<PhraseKind, Reading[][]>();
  furthest = 0;
  expected = new Set<string>();

  private readonly words: readonly string[];

  /** `tracking` remembers what was expected where, for an error message; a reading that succeeds does without. */
  constructor(
    readonly tokens: readonly Token[],
    private readonly names: Names,
    private readonly tracking: boolean,
  ) {
    this.words = tokens.map((t) => (t.kind === 'quote' ? '"' : t.text.toLowerCase()));
  }

  /** Is this exact word (or mark) here? Remembers it as expected when it is not. */
  isAt(position: number, text: string): boolean {
    const here = this.words[position];
    if (here === text || here === text.toLowerCase()) return true;
    this.expect(position, text);
    return false;
  }

  expect(position: number, what: string): void {
    if (!this.tracking) return;
    if (position > this.furthest) {
      this.furthest = position;
      this.expected = new Set();
    }
    if (position === this.furthest) this.expected.add(what);
  }

  /** The longest reading of one kind of phrase from here. */
  read(kind: PhraseKind, position: number): Reading | null {
    return this.readAll(kind, position)[0] ?? null;
  }

  private readAll(kind: PhraseKind, position: number): Reading[] {
    let places = this.memo.get(kind);
    if (!places) this.memo.set(kind, (places = []));
    const known = places[position];
    if (known) return known;
    places[position] = [];
    const found: Reading[] = [];
    const lead = ARTICLES.has(this.words[position] ?? '') ? this.words[position + 1] : this.words[position];
    for (const template of this.tracking ? TEMPLATES[kind] : templatesAt(kind, lead ?? '')) {
      for (const { end, slots } of this.fit(template.pieces, 0, position, {})) {
        if (end > position)
          found.push(
            ...this.withQualifiers(kind, this.phrase(kind, template, slots, position, end), template.denies, end),
          );
      }
    }
    if (this.tokens[position] === undefined || found.length === 0) this.expect(position, KIND_NAMES[kind]);
    found.sort((a, b) => b.end - a.end);
    places[position] = found;
    return found;
  }

  private phrase(
    kind: PhraseKind,
    template: Template,
    slots: Record<string, SlotValue>,
    start: number,
    end: number,
  ): Phrase {
    return { kind, word: template.word, form: template.form, slots, qualifiers: [], span: this.span(start, end) };
  }

  /** The phrase alone, and with every further qualifier that follows it. */
  private withQualifiers(kind: PhraseKind, phrase: Phrase, denied: boolean, end: number): Reading[] {
    const plain = { phrase, denied, end };
    if (kind !== 'target' || phrase.qualifiers.length >= MAX_QUALIFIERS) return [plain];
    const more = this.readAll('qualifier', end)[0];
    if (!more) return [plain];
    const span = { ...phrase.span, endColumn: more.phrase.span.endColumn };
    return [
      ...this.withQualifiers(
        kind,
        { ...phrase, qualifiers: [...phrase.qualifiers, more.phrase], span },
        denied,
        more.end,
      ),
      plain,
    ];
  }

  /** Every way the pieces from `i` on fit the tokens from `position` on. */
  private fit(
    pieces: readonly Piece[],
    i: number,
    position: number,
    slots: Record<string, SlotValue>,
  ): readonly Fitted[] {
    const piece = pieces[i];
    if (!piece) return [{ end: position, slots }];
    if (piece.is === 'word') {
      const here = this.isAt(position, piece.text) ? this.fit(pieces, i + 1, position + 1, slots) : NOWHERE;
      return piece.article && here.length === 0 ? this.fit(pieces, i + 1, position, slots) : here;
    }
    if (piece.is === 'be') {
      const isVerb = this.isAt(position, 'is') || this.isAt(position, 'am');
      return isVerb ? this.fit(pieces, i + 1, position + 1, slots) : NOWHERE;
    }
    const found: Fitted[] = [];
    for (const { value, end } of this.fillSlot(piece.kind, position)) {
      if (piece.plain && typeof value === 'object' && 'qualifiers' in value && value.qualifiers.length > 0) continue;
      found.push(...this.fit(pieces, i + 1, end, { ...slots, [piece.name]: value }));
    }
    if (piece.optional) found.push(...this.fit(pieces, i + 1, position, slots));
    return found;
  }

  private fillSlot(kind: PhraseKind | LeafKind, position: number): { value: SlotValue; end: number }[] {
    if (isPhraseKind(kind)) {
      return [
        ...this.readAll(kind, position).map((r) => ({ value: r.phrase, end: r.end })),
        ...this.subjectForm(kind, position),
      ];
    }
    if (LIST_LEAVES.has(kind)) return this.fillList(kind, position);
    const leaf = this.leafAt(kind, position);
    return leaf ? [{ value: leaf.value, end: leaf.end }] : [];
  }

  /** "I" for me, "he" for him: the same phrase, said as a subject. */
  private subjectForm(kind: PhraseKind, position: number): { value: SlotValue; end: number }[] {
    const word = SUBJECTS[kind][this.words[position] ?? ''];
    if (word === undefined) return [];
    return [
      {
        value: { kind, word, form: 0, slots: {}, qualifiers: [], span: this.span(position, position + 1) },
        end: position + 1,
      },
    ];
  }

  private fillList(kind: LeafKind, position: number): { value: SlotValue; end: number }[] {
    const values: string[] = [];
    let end = position;
    for (let at = position; ;) {
      const leaf = this.leafAt(kind, at);
      if (!leaf) break;
      values.push(leaf.value);
      end = leaf.end;
      if (this.tokens[end]?.text.toLowerCase() !== 'or') break;
      at = end + 1;
    }
    return values.length ? [{ value: values, end }] : [];
  }

  private leafAt(kind: LeafKind, position: number): { value: string; end: number } | null {
    const token = this.tokens[position];
    const values = LEAF_VALUES[kind];
    if (values) {
      if (!this.tracking && !LEAF_WORDS[kind].has(this.words[position] ?? '')) return null;
      for (const { value, words } of values) {
        if (words.every((w, k) => this.isAt(position + k, w))) return { value, end: position + words.length };
      }
      return null;
    }
    const declared = this.names[kind as keyof Names];
    if (token?.kind === 'word' && declared.has(token.text)) return { value: token.text, end: position + 1 };
    for (const name of declared) this.expect(position, name);
    return null;
  }

  span(start: number, end: number): Span {
    const first = this.tokens[start]!.span;
    return { ...first, endColumn: this.tokens[Math.max(start, end - 1)]!.span.endColumn };
  }
}
