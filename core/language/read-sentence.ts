import { error, type Diagnostic } from '../diagnostics/diagnostic';
import { nearestWord } from '../diagnostics/nearest';
import { PhraseReader, type Names } from './read-phrase';
import { endOf, type SourceLine } from './tokens';
import type { Action, Condition, FollowUp, Phrase, Sentence } from './tree';

const MAX_DEPTH = 20;

/** Thrown inside one line only, and turned into its diagnostic by `readLine`. */
class Stuck extends Error {}

/** Reads one sentence of a rule sheet. `null` with a diagnostic when it cannot be read; the rest of the text goes on. */
export const readSentence = (line: SourceLine, names: Names, diagnostics: Diagnostic[]): Sentence | null =>
  readLine(line, 0, names, diagnostics, (reader) => new SentenceReader(reader).sentence(line));

/** Reads a condition that starts at the given token and runs to the end of the line. */
export const readCondition = (
  line: SourceLine,
  from: number,
  names: Names,
  diagnostics: Diagnostic[],
): Condition | null =>
  readLine(line, from, names, diagnostics, (reader) => new SentenceReader(reader, from).wholeCondition());

/** Reads a list of phrases of one kind, parted by a word or a comma, to the end of the line. */
export const readList = (
  line: SourceLine,
  from: number,
  kind: 'man' | 'group' | 'target',
  separator: string,
  names: Names,
  diagnostics: Diagnostic[],
): Phrase[] | null =>
  readLine(line, from, names, diagnostics, (reader) => new SentenceReader(reader, from).list(kind, separator));

/** Words that could come next after the tokens of an unfinished line. */
export function expectedAfter(line: Pick<SourceLine, 'tokens'>, as: 'sentence' | 'group', names: Names): string[] {
  const reader = new PhraseReader([...line.tokens], names, true);
  try {
    const sentence = new SentenceReader(reader);
    if (as === 'sentence') sentence.sentence({ comments: [], trailing: null });
    else sentence.list('group', ',');
  } catch (problem) {
    if (!(problem instanceof Stuck)) throw problem;
  }
  if (reader.furthest < line.tokens.length) return [];
  return [...reader.expected].filter((word) => !/^(a|an|what) /.test(word));
}

function readLine<T>(
  line: SourceLine,
  from: number,
  names: Names,
  diagnostics: Diagnostic[],
  read: (reader: PhraseReader) => T,
): T | null {
  try {
    return read(new PhraseReader(line.tokens, names, false));
  } catch (problem) {
    if (!(problem instanceof Stuck)) throw problem;
    diagnostics.push(
      problem.message === 'deep'
        ? error('text.too-deep', endOf(line), { limit: MAX_DEPTH })
        : whyStuck(line, from, names, read),
    );
    return null;
  }
}

/** Reads the line once more, remembering what was expected where. */
function whyStuck(line: SourceLine, from: number, names: Names, read: (reader: PhraseReader) => unknown): Diagnostic {
  const reader = new PhraseReader(line.tokens, names, true);
  reader.furthest = from;
  try {
    read(reader);
  } catch (problem) {
    if (!(problem instanceof Stuck)) throw problem;
  }
  return stuckAt(line, reader);
}

/** What stood where the reading got furthest, what could have stood there, and the nearest such word. */
function stuckAt(line: SourceLine, reader: PhraseReader): Diagnostic {
  const token = line.tokens[reader.furthest];
  const expected = [...reader.expected];
  const shown = expected.length > 6 ? [...expected.slice(0, 6), '...'] : expected;
  const params = {
    expected: shown.map(quoteWord).join(' or '),
    found: token ? `"${token.text}"` : 'the end of the line',
  };
  const near = token
    ? nearestWord(
        token.text,
        expected.filter((e) => !e.includes(' ')),
      )
    : null;
  const span = token?.span ?? endOf(line);
  return near && near.toLowerCase() !== token!.text.toLowerCase()
    ? error('text.expected-near', span, { ...params, near })
    : error('text.expected', span, params);
}

const quoteWord = (word: string): string => (word === '...' || /^(a|what) /.test(word) ? word : `"${word}"`);

class SentenceReader {
  constructor(
    private readonly reader: PhraseReader,
    private at = 0,
  ) {}

  private accept(text: string): boolean {
    if (!this.reader.isAt(this.at, text)) return false;
    this.at++;
    return true;
  }

  private need(text: string): void {
    if (!this.accept(text)) throw new Stuck();
  }

  private phrase(kind: Phrase['kind']): { phrase: Phrase; denied: boolean } {
    const reading = this.reader.read(kind, this.at);
    if (!reading) throw new Stuck();
    this.at = reading.end;
    return reading;
  }

  private end(): void {
    if (this.at < this.reader.tokens.length) {
      this.reader.expect(this.at, 'the end of the sentence');
      throw new Stuck();
    }
  }

  sentence(line: Pick<SourceLine, 'comments' | 'trailing'>): Sentence {
    let when: Condition | null = null;
    if (this.accept('when')) when = this.or(0);
    else if (!this.accept('otherwise') && !this.accept('always')) throw new Stuck();
    this.need(':');
    const actions = [this.action()];
    const followUps: FollowUp[] = [];
    while (this.at < this.reader.tokens.length) {
      if (this.accept(',')) {
        this.need('else');
        actions.push(this.action());
      } else if (this.accept(';')) followUps.push(this.followUp());
      else throw new Stuck();
    }
    return {
      when,
      actions,
      followUps,
      comments: line.comments,
      trailing: line.trailing,
      span: this.reader.span(0, this.reader.tokens.length),
    };
  }

  wholeCondition(): Condition {
    const condition = this.or(0);
    this.end();
    return condition;
  }

  list(kind: 'man' | 'group' | 'target', separator: string): Phrase[] {
    const phrases = [this.phrase(kind).phrase];
    while (this.at < this.reader.tokens.length) {
      this.need(separator);
      phrases.push(this.phrase(kind).phrase);
    }
    return phrases;
  }

  private action(): Action {
    const block = this.phrase('block').phrase;
    const ahead = this.reader.tokens[this.at + 1];
    if (this.reader.tokens[this.at]?.text !== ',' || ahead?.text.toLowerCase() !== 'then') {
      this.reader.expect(this.at, ',');
      return { block, then: null };
    }
    this.at += 2;
    return { block, then: this.phrase('block').phrase };
  }

  private followUp(): FollowUp {
    this.need('if');
    const event = this.phrase('event').phrase;
    this.need(':');
    return { event, reaction: this.phrase('reaction').phrase };
  }

  private or(depth: number): Condition {
    return this.chain('or', depth, () => this.chain('and', depth, () => this.unary(depth)));
  }

  private chain(op: 'and' | 'or', _depth: number, part: () => Condition): Condition {
    const parts = [part()];
    while (this.accept(op)) parts.push(part());
    if (parts.length === 1) return parts[0]!;
    return { op, parts: parts.flatMap((p) => (p.op === op ? p.parts : [p])) };
  }

  private unary(depth: number): Condition {
    if (depth > MAX_DEPTH) throw new Stuck('deep');
    if (this.accept('not')) return negate(this.unary(depth + 1));
    if (this.accept('(')) {
      const inner = this.or(depth + 1);
      this.need(')');
      return inner;
    }
    const { phrase, denied } = this.phrase('condition');
    const is: Condition = { op: 'is', phrase };
    return denied ? { op: 'not', part: is } : is;
  }
}

const negate = (part: Condition): Condition => (part.op === 'not' ? part.part : { op: 'not', part });
