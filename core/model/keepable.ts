/** Where in a value something stands that cannot be kept, and what it is. */
export interface Unkeepable {
  readonly path: readonly (string | number)[];
  readonly what: string;
}

/** How deep lists and records may stand in each other. */
const DEEPEST = 32;

const LONE_SURROGATE = /[\uD800-\uDBFF](?![\uDC00-\uDFFF])|(?<![\uD800-\uDBFF])[\uDC00-\uDFFF]/;

function wrongWith(text: string): string | null {
  if (text.includes('\0')) return 'has a character with the number 0, which no text may hold';
  return LONE_SURROGATE.test(text) ? 'has half of a two-part character' : null;
}

/**
 * The first text of a JSON value, keys included, that a database cannot keep as it is (the character 0, half a surrogate pair), or a value
 * that is nested too deep; `null` when everything can be kept.
 */
export function findUnkeepable(value: unknown): Unkeepable | null {
  const open: { value: unknown; path: readonly (string | number)[] }[] = [{ value, path: [] }];
  for (let next = open.pop(); next; next = open.pop()) {
    const { value: at, path } = next;
    if (typeof at === 'string') {
      const what = wrongWith(at);
      if (what) return { path, what };
    }
    if (typeof at !== 'object' || at === null) continue;
    if (path.length >= DEEPEST) return { path: path.slice(0, 3), what: `is nested more than ${DEEPEST} deep` };
    for (const [key, inner] of Object.entries(at)) {
      const what = wrongWith(key);
      if (what) return { path, what: `has a name that ${what}` };
      open.push({ value: inner, path: [...path, key] });
    }
  }
  return null;
}
