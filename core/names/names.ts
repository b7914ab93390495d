import { error, type Diagnostic, type Result } from '../diagnostics/diagnostic';
import { nearestWord } from '../diagnostics/nearest';
import type { NamedCall, Naming } from '../model/naming';

/** A name for a call in the program's own way, or which part of it has no word. Exact inverse of `callOfName`. */
export function nameOfCall(naming: Naming, call: NamedCall): Result<string> {
  const missing: Diagnostic[] = [];
  const say = (part: string, words: Readonly<Record<string, string>>, key: string): string => {
    const said = words[key];
    if (said === undefined) missing.push(error('naming.no-word', AT_START, { part, what: key }));
    return said ?? '';
  };
  const parts = [
    call.formation === null ? '' : say('formation', naming.formations, call.formation),
    call.motion === null ? '' : say('motion', naming.motions, call.motion),
    ...(naming.style === 'numbers'
      ? [numberOf(naming, call, missing), say('play', naming.plays, call.scheme)]
      : [say('play', naming.plays, call.scheme), naming.sides[call.side]]),
    ...[...call.tags].sort().map((tag) => say('tag', naming.tags, tag)),
  ];
  return missing.length
    ? { ok: false, diagnostics: missing }
    : { ok: true, value: parts.filter(Boolean).join(' '), diagnostics: [] };
}

const AT_START = { line: 1, column: 1, endColumn: 1 };

function numberOf(naming: Naming, call: NamedCall, missing: Diagnostic[]): string {
  const carrier = naming.numbers.carriers[call.scheme] ?? naming.numbers.carriers.default;
  const pair = naming.numbers.holes[call.scheme] ?? naming.numbers.holes.default;
  if (!carrier || !pair) {
    missing.push(error('naming.no-word', AT_START, { part: carrier ? 'hole' : 'carrier', what: call.scheme }));
    return '';
  }
  return `${carrier}${call.side === naming.numbers.even ? pair[1] : pair[0]}`;
}

/** Reads a name back: formation, motion, number, play, side, tags, each by its longest word. Says which part it could not read. */
export function callOfName(naming: Naming, name: string): Result<NamedCall> {
  const words = [...name.matchAll(/\S+/g)].map((m) => ({ text: m[0].toLowerCase(), column: m.index + 1 }));
  let at = 0;
  const take = (table: Readonly<Record<string, string>>): string | null => {
    let best: { key: string; length: number } | null = null;
    for (const [key, said] of Object.entries(table)) {
      const phrase = said.toLowerCase().split(' ');
      if (phrase.every((w, i) => words[at + i]?.text === w) && phrase.length > (best?.length ?? 0))
        best = { key, length: phrase.length };
    }
    at += best?.length ?? 0;
    return best?.key ?? null;
  };
  const stuck = (part: string, options: readonly string[]): Result<NamedCall> => {
    const here = words[at];
    const column = here?.column ?? name.length + 1;
    const params = { part, found: here ? `"${name.slice(column - 1).split(/\s+/)[0]}"` : 'the end of the call' };
    const near = here
      ? nearestWord(
          here.text,
          options.map((o) => o.toLowerCase()),
        )
      : null;
    const span = { line: 1, column, endColumn: column + (here?.text.length ?? 0) };
    return {
      ok: false,
      diagnostics: [
        near ? error('naming.unread-near', span, { ...params, near }) : error('naming.unread', span, params),
      ],
    };
  };
  const formation = take(naming.formations);
  const motion = take(naming.motions);
  const number = naming.style === 'numbers' ? words[at] : undefined;
  if (naming.style === 'numbers') {
    if (!number || !/^\d\d$/.test(number.text)) return stuck('number', []);
    at++;
  }
  const scheme = take(naming.plays);
  if (scheme === null)
    return stuck('play', [...Object.values(naming.plays), ...(at === 0 ? Object.values(naming.formations) : [])]);
  const side = number ? sideOfNumber(naming, scheme, number.text) : (take(naming.sides) as 'left' | 'right' | null);
  if (side === null) {
    if (number) at = words.indexOf(number);
    return stuck(number ? 'number' : 'side', Object.values(naming.sides));
  }
  const tags: string[] = [];
  while (at < words.length) {
    const before = at;
    const tag = take(naming.tags);
    if (tag === null || tags.includes(tag)) {
      at = before;
      return stuck('tag', Object.values(naming.tags));
    }
    tags.push(tag);
  }
  return { ok: true, value: { scheme, side, formation, motion, tags: tags.sort() }, diagnostics: [] };
}

function sideOfNumber(naming: Naming, scheme: string, text: string): 'left' | 'right' | null {
  const odd = naming.numbers.even === 'left' ? 'right' : 'left';
  const [carrier, hole] = [text[0], Number(text[1])];
  if (carrier !== (naming.numbers.carriers[scheme] ?? naming.numbers.carriers.default)) return null;
  const pair = naming.numbers.holes[scheme] ?? naming.numbers.holes.default;
  return hole === pair?.[1] ? naming.numbers.even : hole === pair?.[0] ? odd : null;
}

/** Words that would make two calls sound alike: the same word twice in a part, or parts that may stand in one place sharing a word. */
export function checkNaming(naming: Naming): Diagnostic[] {
  const found: Diagnostic[] = [];
  const seen = new Map<string, string>();
  for (const [part, table] of Object.entries({
    formation: naming.formations,
    motion: naming.motions,
    play: naming.plays,
  })) {
    for (const said of Object.values(table)) {
      const key = said.toLowerCase();
      const first = key.split(' ')[0]!;
      const clash =
        seen.get(key) ?? [...seen].find(([other, where]) => where !== part && other.split(' ')[0] === first)?.[1];
      if (clash) found.push(error('naming.alike', AT_START, { word: said, part, other: clash }));
      seen.set(key, part);
    }
  }
  const after = new Map<string, string>();
  for (const [part, table] of Object.entries({ side: naming.sides, tag: naming.tags })) {
    for (const said of Object.values(table)) {
      const clash = after.get(said.toLowerCase());
      if (clash) found.push(error('naming.alike', AT_START, { word: said, part, other: clash }));
      after.set(said.toLowerCase(), part);
    }
  }
  for (const play of Object.values(naming.plays)) {
    const longer = [...after.keys()].find((w) =>
      Object.values(naming.plays).some((p) => p.toLowerCase() === `${play.toLowerCase()} ${w}`),
    );
    if (longer)
      found.push(error('naming.alike', AT_START, { word: `${play} ${longer}`, part: 'play', other: 'side or tag' }));
  }
  return found;
}
