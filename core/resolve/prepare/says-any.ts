import type { Phrase } from '../../language/tree';
import { WORDS } from '../../vocabulary/index';
import type { Saying } from '../../vocabulary/word';

const NO_LOOKS: ReadonlySet<string> = new Set();

/** Does any word in a part of a rule have this property, or name one of these looks, which have it? */
export function saysAny(
  part: unknown,
  property: keyof Saying & ('asksOthers' | 'aboutMe'),
  looks: ReadonlySet<string> = NO_LOOKS,
): boolean {
  if (typeof part !== 'object' || part === null) return false;
  if (Array.isArray(part)) return part.some((p) => saysAny(p, property, looks));
  const { kind, word, slots } = part as Partial<Phrase>;
  if (kind && word) {
    if ((WORDS[kind] as Record<string, Saying>)[word]?.[property]) return true;
    if (looks.has(slots?.look as string)) return true;
  }
  return Object.values(part).some((p) => saysAny(p, property, looks));
}
