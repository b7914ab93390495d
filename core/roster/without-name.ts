/** What stands where a name stood. */
export const ERASED = 'erased';

/** A man's name as it may stand in a text: whole, and each part of it that is no mere letter. */
export const partsOfName = (name: string): string[] => [name, ...name.split(/\s+/).filter((part) => part.length > 2)];

const escaped = (text: string): string => text.replace(/[\\^$.*+?()[\]{}|/]/g, '\\$&');

/** A text without a man's name, in capitals or not. A part of his name that is a word as well goes too: better too much than his name. */
export function withoutName(text: string, name: string): string {
  const parts = partsOfName(name).map(escaped).join('|');
  return text.replace(new RegExp(`(?<![\\p{L}\\p{N}])(?:${parts})(?![\\p{L}\\p{N}])`, 'giu'), ERASED);
}

/** The fields of a body that somebody wrote in. Nothing else is touched: a man may be called Wrong or Plus, as marks are. */
const WRITTEN = new Set(['note', 'text', 'says', 'about']);

/** A body, as it is kept, without a man's name in what people wrote. */
export function withoutNameIn(body: unknown, name: string): unknown {
  if (Array.isArray(body)) return body.map((part) => withoutNameIn(part, name));
  if (body === null || typeof body !== 'object') return body;
  return Object.fromEntries(
    Object.entries(body).map(([key, value]) => [
      key,
      typeof value === 'string' && WRITTEN.has(key) ? withoutName(value, name) : withoutNameIn(value, name),
    ]),
  );
}
