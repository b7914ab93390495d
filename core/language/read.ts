import { error, hasErrors, type Diagnostic, type Result } from '../diagnostics/diagnostic';
import { nearestWord } from '../diagnostics/nearest';
import type { Names } from './read-phrase';
import {
  isHeadKey,
  readBox,
  readChange,
  readDeal,
  readHead,
  readLook,
  readSeat,
  readTag,
  remarks,
  spanOf,
} from './read-lines';
import { readList, readSentence } from './read-sentence';
import { endOf, readTokens, type SourceLine, type SourceText } from './tokens';
import type {
  BoxLine,
  ChangeLine,
  Clause,
  DealLine,
  HeadLine,
  LookLine,
  SchemeTree,
  SeatLine,
  Sheet,
  TagLine,
  Tree,
} from './tree';

export interface ReadTree<T extends Tree = Tree> {
  /** What could be read; `null` only when not even the header could. */
  readonly tree: T | null;
  readonly diagnostics: readonly Diagnostic[];
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

/** Longer than any rule sheet or sentence a person would write, signs: reading it would hold everybody else up. */
export const LONGEST = { text: 60_000, line: 1_200 } as const;

/** Where a text is longer than anybody would write; `null` for one that may be read. */
export function findTooLong(text: string): Diagnostic | null {
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
export function sayHeader({ tokens }: SourceLine): Pick<Tree, 'kind' | 'id' | 'name'> | null {
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
