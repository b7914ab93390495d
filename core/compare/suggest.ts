import { readTree } from '../language/read';
import { lineOf, type Formation } from '../model/formation';
import type { Front } from '../model/front';
import { sayHead } from '../language/print';

/** Where a new sentence would go, and what it could say. */
export interface Suggestion {
  /** The line it is to become, from 1. */
  readonly line: number;
  readonly sentence: string;
  readonly man: string;
}

const POSTS: Record<string, string> = { T: 'tackle', G: 'guard' };

/** A blocker's seat as the rules call him: "playside guard". */
export function postOf(seat: string, side: 'left' | 'right'): string {
  if (seat === 'C') return 'centre';
  const post = POSTS[seat[1] ?? ''];
  return post ? `${(seat[0] === 'R') === (side === 'right') ? 'playside' : 'backside'} ${post}` : seat;
}

/** The blocker a fault is about: one of the five among those involved, else the lineman nearest to the defender it names. */
export function blockerOf(who: readonly string[], formation: Formation, front: Front): string | null {
  const five = lineOf(formation).filter((m) => m.kind === 'line');
  const involved = five.find((m) => who.includes(m.id));
  if (involved) return involved.id;
  const defender = front.defenders.find((d) => who.includes(d.id));
  if (!defender) return null;
  return five.reduce((best, m) => (Math.abs(m.x - defender.x) < Math.abs(best.x - defender.x) ? m : best)).id;
}

/**
 * A sentence that would give the man nearest to a hole the defender nobody has: before the sentence of his that always fits, or at the
 * end of his rules. `null` when the scheme has no rules for him.
 */
export function suggestSentence(text: string, man: string): Suggestion | null {
  const { tree } = readTree(text);
  if (tree?.kind !== 'scheme') return null;
  const named = tree.sheets.filter((s) => s.heads.map(sayHead).includes(man));
  const sheet = named.at(-1) ?? tree.sheets.find((s) => s.heads.some((h) => h.word === 'every-lineman'));
  if (!sheet || sheet.sentences.length === 0) return null;
  const always = sheet.sentences.find((s) => s.when === null);
  return {
    line: always ? always.span.line : sheet.sentences.at(-1)!.span.line + 1,
    sentence: '  when there is a man beside me whom nobody else has: base him',
    man,
  };
}
