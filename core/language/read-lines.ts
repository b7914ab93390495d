import { error, type Diagnostic, type Span } from '../diagnostics/diagnostic';
import { nearestWord } from '../diagnostics/nearest';
import {
  BUMPS,
  COVER_NAMES,
  ENTRIES,
  SCHEME_STEPS,
  SchemeHeadSchema,
  TEMPOS,
  THROWS,
  TRACKS,
  type SchemeHead,
} from '../model/scheme';
import type { Names } from './read-phrase';
import { readCondition, readList } from './read-sentence';
import { endOf, type SourceLine } from './tokens';
import type { BoxLine, ChangeLine, DealLine, HeadLine, LookLine, Remarks, SeatLine, TagLine } from './tree';

/* The lines of a scheme that stand above its sentences, each read by itself; one that cannot be read is a diagnostic and `null`. */

export const HEAD_KEYS = Object.keys(SchemeHeadSchema.shape) as (keyof SchemeHead)[];
export const isHeadKey = (word: string): word is keyof SchemeHead => (HEAD_KEYS as string[]).includes(word);
export const HEAD_VALUES: Partial<Record<keyof SchemeHead, readonly string[]>> = {
  entry: ENTRIES,
  track: TRACKS,
  tempo: TEMPOS,
  throw: THROWS,
  cover: COVER_NAMES,
  bump: BUMPS,
  step: SCHEME_STEPS,
};

export const remarks = (line: SourceLine): Remarks => ({ comments: line.comments, trailing: line.trailing });
export const spanOf = (line: SourceLine) => ({
  line: line.number,
  column: line.tokens[0]?.span.column ?? 1,
  endColumn: endOf(line).column,
});

/** A line about all of a scheme, put to those before it. */
export function readHead(line: SourceLine, key: keyof SchemeHead, head: HeadLine[], diagnostics: Diagnostic[]): void {
  const value = line.raw.trim().slice(key.length).trim().replace(/\s+/g, ' ');
  const options = HEAD_VALUES[key];
  if (head.some((h) => h.key === key)) return void diagnostics.push(error('scheme.twice', spanOf(line), { what: key }));
  if (value === '')
    return void diagnostics.push(
      error('text.expected', endOf(line), { expected: `the ${key}`, found: 'the end of the line' }),
    );
  if (!options && !SchemeHeadSchema.shape[key].safeParse(value).success) {
    diagnostics.push(
      error('text.expected', line.tokens[1]?.span ?? spanOf(line), {
        expected: 'a short name of small letters, digits and dashes',
        found: `"${value}"`,
      }),
    );
    return;
  }
  if (options && !options.includes(value)) {
    const near = nearestWord(value, options);
    const params = { what: `the ${key}`, options: options.map((o) => `"${o}"`).join(', '), found: `"${value}"` };
    const span = line.tokens[1]?.span ?? spanOf(line);
    diagnostics.push(
      near ? error('scheme.head-value-near', span, { ...params, near }) : error('scheme.head-value', span, params),
    );
    return;
  }
  head.push({ key, value, span: spanOf(line), ...remarks(line) });
}

/** Says what a line should be and is not. */
function refuse(line: SourceLine, span: Span, expected: string, diagnostics: Diagnostic[]): null {
  diagnostics.push(error('text.expected', span, { expected, found: `"${line.raw.trim()}"` }));
  return null;
}

/** `tag NAME [on] "what it does"`. */
export function readTag(line: SourceLine, diagnostics: Diagnostic[]): TagLine | null {
  const [, name, ...rest] = line.tokens;
  const on = rest[0]?.kind === 'word' && rest[0].text === 'on';
  const says = rest[on ? 1 : 0];
  if (name?.kind !== 'word' || says?.kind !== 'quote' || rest.length > (on ? 2 : 1)) {
    return refuse(line, name?.span ?? endOf(line), 'tag NAME "what it does"', diagnostics);
  }
  return { name: name.text, on, says: says.text, span: spanOf(line), ...remarks(line) };
}

/** `seat NAME = a man or another man`. */
export function readSeat(line: SourceLine, names: Names, diagnostics: Diagnostic[]): SeatLine | null {
  const [, name, equals] = line.tokens;
  if (name?.kind !== 'word' || equals?.text !== '=') {
    return refuse(line, equals?.span ?? endOf(line), 'seat NAME = a man or another man', diagnostics);
  }
  const choices = readList(line, 3, 'man', 'or', names, diagnostics);
  return choices && { name: name.text, choices, span: spanOf(line), ...remarks(line) };
}

/** `look NAME: a condition`. */
export function readLook(line: SourceLine, names: Names, diagnostics: Diagnostic[]): LookLine | null {
  const [, name, colon] = line.tokens;
  if (name?.kind !== 'word' || colon?.text !== ':') {
    return refuse(line, colon?.span ?? endOf(line), 'look NAME: a condition', diagnostics);
  }
  const when = readCondition(line, 3, names, diagnostics);
  return when && { name: name.text, when, span: spanOf(line), ...remarks(line) };
}

/** `box one more when` and a condition. */
export function readBox(line: SourceLine, names: Names, diagnostics: Diagnostic[]): BoxLine | null {
  if (['box', 'one', 'more', 'when'].some((word, i) => line.tokens[i]?.text !== word)) {
    return refuse(line, spanOf(line), 'box one more when, and a condition', diagnostics);
  }
  const when = readCondition(line, 4, names, diagnostics);
  return when && { when, span: spanOf(line), ...remarks(line) };
}

/** `change to PLAY when` and a condition. */
export function readChange(line: SourceLine, names: Names, diagnostics: Diagnostic[]): ChangeLine | null {
  const [, to, play, when] = line.tokens;
  if (to?.text !== 'to' || play?.kind !== 'word' || when?.text !== 'when') {
    return refuse(line, spanOf(line), 'change to PLAY when, and a condition', diagnostics);
  }
  const condition = readCondition(line, 4, names, diagnostics);
  return condition && { to: play.text, when: condition, span: spanOf(line), ...remarks(line) };
}

const DEAL = 'deal NAME to MEN [in order] [when CONDITION]: DEFENDERS';

/** Whom men on the line take in order, dealt out. */
export function readDeal(line: SourceLine, names: Names, diagnostics: Diagnostic[]): DealLine | null {
  const texts = line.tokens.map((t) => t.text);
  const [, name, to] = line.tokens;
  const colon = texts.indexOf(':');
  if (name?.kind !== 'word' || to?.text !== 'to' || colon < 0) {
    return refuse(line, colon < 0 ? endOf(line) : (name?.span ?? endOf(line)), DEAL, diagnostics);
  }
  const when = texts.indexOf('when');
  const conditional = when > 0 && when < colon;
  let men = conditional ? when : colon;
  const inOrder = texts[men - 2] === 'in' && texts[men - 1] === 'order';
  if (inOrder) men -= 2;
  const part = (end: number): SourceLine => ({ ...line, tokens: line.tokens.slice(0, end) });
  const heads = readList(part(men), 3, 'group', ',', names, diagnostics);
  const condition = conditional ? readCondition(part(colon), when + 1, names, diagnostics) : null;
  const targets = readList(line, colon + 1, 'target', ',', names, diagnostics);
  if (!heads || !targets || (conditional && !condition)) return null;
  return { name: name.text, to: heads, inOrder, when: condition, targets, span: spanOf(line), ...remarks(line) };
}
