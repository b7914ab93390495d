import type { Span } from '../diagnostics/diagnostic';
import type { PhraseKind } from '../vocabulary/word';
import type { SchemeHead } from '../model/scheme';

/** One use of a word: which form of it, and what stands in its slots. */
export interface Phrase {
  readonly kind: PhraseKind;
  readonly word: string;
  readonly form: number;
  readonly slots: Readonly<Record<string, SlotValue>>;
  readonly qualifiers: readonly Phrase[];
  readonly span: Span;
}

export type SlotValue = string | readonly string[] | Phrase;

export type Condition =
  | { readonly op: 'and' | 'or'; readonly parts: readonly Condition[] }
  | { readonly op: 'not'; readonly part: Condition }
  | { readonly op: 'is'; readonly phrase: Phrase };

/** A block, and where the man goes next when he comes off it. */
export interface Action {
  readonly block: Phrase;
  readonly then: Phrase | null;
}

export interface FollowUp {
  readonly event: Phrase;
  readonly reaction: Phrase;
}

/** Comments that belong to a line. */
export interface Remarks {
  readonly comments: readonly string[];
  readonly trailing: string | null;
}

export interface Sentence extends Remarks {
  /** `null`: always fits. */
  readonly when: Condition | null;
  /** The block, and what to do instead when its linebacker is not to be had. */
  readonly actions: readonly Action[];
  readonly followUps: readonly FollowUp[];
  readonly span: Span;
}

/** The rules of one man, or of several who share them. */
export interface Sheet extends Remarks {
  readonly heads: readonly Phrase[];
  readonly sentences: readonly Sentence[];
  readonly span: Span;
}

export interface TagLine extends Remarks {
  readonly name: string;
  readonly on: boolean;
  readonly says: string;
  readonly span: Span;
}

export interface SeatLine extends Remarks {
  readonly name: string;
  readonly choices: readonly Phrase[];
  readonly span: Span;
}

export interface LookLine extends Remarks {
  readonly name: string;
  readonly when: Condition;
  readonly span: Span;
}

/** Defenders shared out among several men before anybody chooses: "the line has four down and the Mike". */
export interface DealLine extends Remarks {
  readonly name: string;
  readonly to: readonly Phrase[];
  /** Strictly from left to right; otherwise a man keeps whoever stands on him. */
  readonly inOrder: boolean;
  /** `null`: always. Of several deals with one name the first that fits is dealt. */
  readonly when: Condition | null;
  readonly targets: readonly Phrase[];
  readonly span: Span;
}

/** When the next defender outside on the play side is counted into the box. */
export interface BoxLine extends Remarks {
  readonly when: Condition;
  readonly span: Span;
}

/** Another play to change to when the picture is the other one: "change with me". */
export interface ChangeLine extends Remarks {
  readonly to: string;
  readonly when: Condition;
  readonly span: Span;
}

export interface HeadLine extends Remarks {
  readonly key: keyof SchemeHead;
  readonly value: string;
  readonly span: Span;
}

export interface SchemeTree extends Remarks {
  readonly kind: 'scheme';
  readonly id: string;
  readonly name: string;
  readonly head: readonly HeadLine[];
  readonly tags: readonly TagLine[];
  readonly seats: readonly SeatLine[];
  readonly looks: readonly LookLine[];
  readonly boxes: readonly BoxLine[];
  readonly deals: readonly DealLine[];
  readonly changes: readonly ChangeLine[];
  readonly sheets: readonly Sheet[];
  readonly closing: readonly string[];
}

/** One clause of a formation or a front, kept as said. */
export interface Clause extends Remarks {
  readonly text: string;
  readonly span: Span;
}

export interface LineupTree extends Remarks {
  readonly kind: 'formation' | 'front';
  readonly id: string;
  readonly name: string;
  readonly clauses: readonly Clause[];
  readonly closing: readonly string[];
}

export type Tree = SchemeTree | LineupTree;
