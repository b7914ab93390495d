import { error, hasErrors, type Diagnostic, type Result } from '../diagnostics/diagnostic';
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
import { readCondition, readList, readSentence } from './read-sentence';
import { endOf, readTokens, type SourceLine, type SourceText } from './tokens';
import type {
  BoxLine,
  ChangeLine,
  Clause,
  DealLine,
  HeadLine,
  LookLine,
  Remarks,
  SchemeTree,
  SeatLine,
  Sheet,
  TagLine,
  Tree,
} from './tree';

export const HEAD_KEYS = Object.keys(SchemeHeadSchema.shape) as (keyof SchemeHead)[];
const isHeadKey = (word: string): word is keyof SchemeHead => (HEAD_KEYS as string[]).includes(word);
export const HEAD_VALUES: Partial<Record<keyof SchemeHead, readonly string[]>> = {
  entry: ENTRIES,
  track: TRACKS,
  tempo: TEMPOS,
  throw: THROWS,
  cover: COVER_NAMES,
  bump: BUMPS,
  step: SCHEME_STEPS,
};

export interface ReadTree<T extends Tree = Tree> {
  /** What could be read; `null` only when not even the header could. */
  readonly tree: T | null;
  readonly diagnostics: readonly Diagnostic[];
}

/** What a text is, the lines about all of it, and the tags it has. */
export interface Title extends Pick<Tree, 'kind' | 'id' | 'name'> {
  readonly head: readonly Pick<HeadLine, 'key' | 'value'>[];
  readonly tags: readonly string[];
}

/**
 * Reads a `.chalk` text. Never throws: every sentence that cannot be read becomes a diagnostic and the rest is still read.
 *
 * @example readTree('scheme dive "Dive"').tree?.kind // => 'scheme'
 */
export function readTree(text: string): ReadTree {
  const tooLong = findTooLong(text);
  if (tooLong) return { tree: null, diagnostics: [tooLong] };
  const source = readTokens(text);
  const diagnostics = [...source.diagnostics];
  const header = source.lines[0];
  if (!header)
    return { tree: null, diagnostics: [...diagnostics, error('text.empty', { line: 1, column: 1, endColumn: 1 })] };
  const found = readHeader(header, source.lines, diagnostics);
  if (!found) return { tree: null, diagnostics };
  const base = { id: found.id, name: found.name, ...remarks(header), closing: source.closing };
  const body = source.lines.slice(1);
  const tree =
    found.kind === 'scheme'
      ? { kind: 'scheme' as const, ...base, ...readBody(body, diagnostics) }
      : { kind: found.kind, ...base, clauses: readClauses(body) };
  return { tree, diagnostics };
}

/**
 * What a text says of itself, without reading its sentences: for lists of many texts. The same as `readTree` finds.
 *
 * @example readTitle('scheme dive "Dive"\nfamily gap')?.head[0]?.value // => 'gap'
 */
export function readTitle(text: string): Title | null {
  if (findTooLong(text)) return null;
  const isSentence = (line: string): boolean => /^\s/.test(line);
  const lines = text.split('\n');
  const first = lines.find((line) => !/^\s*(#|$)/.test(line)) ?? '';
  const [header, ...body] = readTokens(lines.filter((line) => !isSentence(line)).join('\n')).lines;
  const found = header && !isSentence(first) && sayHeader(header);
  if (!found) return titleOf(readTree(text).tree);
  const head: HeadLine[] = [];
  const tags: TagLine[] = [];
  for (const line of found.kind === 'scheme' ? body : []) {
    const word = line.tokens[0]?.text ?? '';
    if (isHeadKey(word)) readHead(line, word, head, []);
    else if (word === 'tag') pushIf(tags, readTag(line, []));
  }
  return { ...found, head, tags: tags.map((t) => t.name) };
}

function titleOf(tree: Tree | null): Title | null {
  if (!tree) return null;
  const { kind, id, name } = tree;
  return tree.kind === 'scheme'
    ? { kind, id, name, head: tree.head, tags: tree.tags.map((t) => t.name) }
    : { kind, id, name, head: [], tags: [] };
}

/** Longer than any rule sheet or sentence a person would write, signs: reading it would hold everybody else up. */
export const LONGEST = { text: 60_000, line: 1_200 } as const;

function findTooLong(text: string): Diagnostic | null {
  if (text.length > LONGEST.text)
    return error('text.too-large', { line: 1, column: 1, endColumn: 1 }, { most: LONGEST.text });
  const lines = text.split('\n');
  const at = lines.findIndex((line) => line.length > LONGEST.line);
  if (at < 0) return null;
  const span = { line: at + 1, column: LONGEST.line + 1, endColumn: lines[at]!.length + 1 };
  return error('text.line-too-long', span, { most: LONGEST.line });
}

const KINDS = ['formation', 'front', 'scheme'] as const satisfies readonly Tree['kind'][];

/**
 * What a text is, its id and its name. A header that is not right is told, and what follows is read all the same as what it was probably
 * meant to be: by the nearest word, or as a scheme when sentences stand under somebody. `null` when nothing can be made of it.
 */
function readHeader(
  header: SourceLine,
  lines: SourceText['lines'],
  diagnostics: Diagnostic[],
): Pick<Tree, 'kind' | 'id' | 'name'> | null {
  const right = sayHeader(header);
  if (right) return right;
  const [kind, id, name] = header.tokens;
  const said = KINDS.find((k) => k === kind?.text);
  const found = `"${header.raw.trim()}"`;
  const near = said ? null : (nearestWord(kind?.text ?? '', KINDS) as Tree['kind'] | null);
  diagnostics.push(
    near
      ? error('text.header-near', kind!.span, { found, near })
      : error('text.header', kind?.span ?? endOf(header), { found }),
  );
  const meant = said ?? near ?? (lines.some((line) => line.indented) ? 'scheme' : null);
  if (!meant) return null;
  const title = name?.kind === 'quote' ? name.text : id?.kind === 'quote' ? id.text : 'without a name';
  return { kind: meant, id: id?.kind === 'word' ? id.text : 'unnamed', name: title };
}

/** A header that is right. */
function sayHeader({ tokens }: SourceLine): Pick<Tree, 'kind' | 'id' | 'name'> | null {
  const [kind, id, name] = tokens;
  const said = KINDS.find((k) => k === kind?.text);
  return said && id?.kind === 'word' && name?.kind === 'quote' && tokens.length === 3
    ? { kind: said, id: id.text, name: name.text }
    : null;
}

/** Is this about the first line of a text, which says what it is? */
export const isAboutHeader = ({ code }: Pick<Diagnostic, 'code'>): boolean => code.startsWith('text.header');

/** As `readTree`, but only a text without errors of the kind asked for is a value. */
export function readDocument<K extends Tree['kind']>(text: string, kind: K): Result<Extract<Tree, { kind: K }>> {
  const { tree, diagnostics } = readTree(text);
  const all = [...diagnostics];
  if (tree && tree.kind !== kind && !all.some(isAboutHeader))
    all.push(error('text.header', { line: 1, column: 1, endColumn: 1 }, { found: `"${tree.kind}"` }));
  if (!tree || hasErrors(all)) return { ok: false, diagnostics: all };
  return { ok: true, value: tree as Extract<Tree, { kind: K }>, diagnostics: all };
}

const remarks = (line: SourceLine): Remarks => ({ comments: line.comments, trailing: line.trailing });
const spanOf = (line: SourceLine) => ({
  line: line.number,
  column: line.tokens[0]?.span.column ?? 1,
  endColumn: endOf(line).column,
});

const readClauses = (lines: SourceText['lines']): Clause[] =>
  lines.map((line) => ({ text: line.raw.trim(), span: spanOf(line), ...remarks(line) }));

/** A text with more errors than this is no rule sheet; the rest of it is not read. */
const MAX_ERRORS = 100;

type Body = Pick<SchemeTree, 'head' | 'tags' | 'seats' | 'looks' | 'boxes' | 'changes' | 'deals' | 'sheets'>;

function readBody(lines: SourceText['lines'], diagnostics: Diagnostic[]): Body {
  const names = declaredNames(lines);
  const head: HeadLine[] = [];
  const tags: TagLine[] = [];
  const seats: SeatLine[] = [];
  const looks: LookLine[] = [];
  const boxes: BoxLine[] = [];
  const changes: ChangeLine[] = [];
  const deals: DealLine[] = [];
  const sheets: (Sheet & { sentences: Sheet['sentences'][number][] })[] = [];
  let sheet: (typeof sheets)[number] | null = null;
  let lost = false;
  for (const line of lines) {
    const word = line.tokens[0]?.text;
    if (word === undefined) continue;
    if (diagnostics.length >= MAX_ERRORS) {
      diagnostics.push(error('text.too-many', spanOf(line), { limit: MAX_ERRORS }));
      break;
    }
    if (line.indented) {
      if (!sheet && !lost) diagnostics.push(error('text.indent', spanOf(line)));
      const sentence = readSentence(line, names, diagnostics);
      if (sentence && sheet) sheet.sentences.push(sentence);
      continue;
    }
    sheet = null;
    lost = false;
    if (isHeadKey(word)) readHead(line, word, head, diagnostics);
    else if (word === 'tag') pushIf(tags, readTag(line, diagnostics));
    else if (word === 'seat') pushIf(seats, readSeat(line, names, diagnostics));
    else if (word === 'look') pushIf(looks, readLook(line, names, diagnostics));
    else if (word === 'box') pushIf(boxes, readBox(line, names, diagnostics));
    else if (word === 'change') pushIf(changes, readChange(line, names, diagnostics));
    else if (word === 'deal') pushIf(deals, readDeal(line, names, diagnostics));
    else {
      const heads = readList(line, 0, 'group', ',', names, diagnostics);
      lost = heads === null;
      if (heads) sheets.push((sheet = { heads, sentences: [], span: spanOf(line), ...remarks(line) }));
    }
  }
  return { head, tags, seats, looks, boxes, changes, deals, sheets };
}

function pushIf<T>(list: T[], item: T | null): void {
  if (item) list.push(item);
}

/** Names are collected first, so that a sentence may use what a later line declares. */
export function declaredNames(lines: SourceText['lines']): Names {
  const of = (keyword: string): Set<string> =>
    new Set(
      lines
        .filter((l) => !l.indented && l.tokens[0]?.text === keyword && l.tokens[1]?.kind === 'word')
        .map((l) => l.tokens[1]!.text),
    );
  return { tag: of('tag'), look: of('look'), seat: of('seat') };
}

function readHead(line: SourceLine, key: keyof SchemeHead, head: HeadLine[], diagnostics: Diagnostic[]): void {
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

function readTag(line: SourceLine, diagnostics: Diagnostic[]): TagLine | null {
  const [, name, ...rest] = line.tokens;
  const on = rest[0]?.kind === 'word' && rest[0].text === 'on';
  const says = rest[on ? 1 : 0];
  if (name?.kind !== 'word' || says?.kind !== 'quote' || rest.length > (on ? 2 : 1)) {
    diagnostics.push(
      error('text.expected', name?.span ?? endOf(line), {
        expected: 'tag NAME "what it does"',
        found: `"${line.raw.trim()}"`,
      }),
    );
    return null;
  }
  return { name: name.text, on, says: says.text, span: spanOf(line), ...remarks(line) };
}

function readSeat(line: SourceLine, names: Names, diagnostics: Diagnostic[]): SeatLine | null {
  const [, name, equals] = line.tokens;
  if (name?.kind !== 'word' || equals?.text !== '=') {
    diagnostics.push(
      error('text.expected', equals?.span ?? endOf(line), {
        expected: 'seat NAME = a man or another man',
        found: `"${line.raw.trim()}"`,
      }),
    );
    return null;
  }
  const choices = readList(line, 3, 'man', 'or', names, diagnostics);
  return choices && { name: name.text, choices, span: spanOf(line), ...remarks(line) };
}

function readLook(line: SourceLine, names: Names, diagnostics: Diagnostic[]): LookLine | null {
  const [, name, colon] = line.tokens;
  if (name?.kind !== 'word' || colon?.text !== ':') {
    diagnostics.push(
      error('text.expected', colon?.span ?? endOf(line), {
        expected: 'look NAME: a condition',
        found: `"${line.raw.trim()}"`,
      }),
    );
    return null;
  }
  const when = readCondition(line, 3, names, diagnostics);
  return when && { name: name.text, when, span: spanOf(line), ...remarks(line) };
}

function readBox(line: SourceLine, names: Names, diagnostics: Diagnostic[]): BoxLine | null {
  if (['box', 'one', 'more', 'when'].some((word, i) => line.tokens[i]?.text !== word)) {
    diagnostics.push(
      error('text.expected', spanOf(line), {
        expected: 'box one more when, and a condition',
        found: `"${line.raw.trim()}"`,
      }),
    );
    return null;
  }
  const when = readCondition(line, 4, names, diagnostics);
  return when && { when, span: spanOf(line), ...remarks(line) };
}

function readChange(line: SourceLine, names: Names, diagnostics: Diagnostic[]): ChangeLine | null {
  const [, to, play, when] = line.tokens;
  if (to?.text !== 'to' || play?.kind !== 'word' || when?.text !== 'when') {
    diagnostics.push(
      error('text.expected', spanOf(line), {
        expected: 'change to PLAY when, and a condition',
        found: `"${line.raw.trim()}"`,
      }),
    );
    return null;
  }
  const condition = readCondition(line, 4, names, diagnostics);
  return condition && { to: play.text, when: condition, span: spanOf(line), ...remarks(line) };
}

const DEAL = 'deal NAME to MEN [in order] [when CONDITION]: DEFENDERS';

function readDeal(line: SourceLine, names: Names, diagnostics: Diagnostic[]): DealLine | null {
  const texts = line.tokens.map((t) => t.text);
  const [, name, to] = line.tokens;
  const colon = texts.indexOf(':');
  if (name?.kind !== 'word' || to?.text !== 'to' || colon < 0) {
    diagnostics.push(
      error('text.expected', colon < 0 ? endOf(line) : (name?.span ?? endOf(line)), {
        expected: DEAL,
        found: `"${line.raw.trim()}"`,
      }),
    );
    return null;
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
