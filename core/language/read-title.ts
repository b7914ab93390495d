import { findTooLong, readTree, sayHeader } from './read';
import { isHeadKey, readHead, readTag } from './read-lines';
import { readTokens } from './tokens';
import type { HeadLine, TagLine, Tree } from './tree';

/** What a text is, the lines about all of it, and the tags it has. */
export interface Title extends Pick<Tree, 'kind' | 'id' | 'name'> {
  readonly head: readonly Pick<HeadLine, 'key' | 'value'>[];
  readonly tags: readonly string[];
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
    else if (word === 'tag') {
      const tag = readTag(line, []);
      if (tag) tags.push(tag);
    }
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
