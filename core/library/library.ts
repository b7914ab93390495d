import type { Result } from '../diagnostics/diagnostic.ts';
import { placeClauses } from '../language/lineups/read-formation.ts';
import { placeFrontClauses } from '../language/lineups/read-front.ts';
import { readDocument } from '../language/read.ts';
import type { LineupTree, SchemeTree } from '../language/tree.ts';
import type { Formation } from '../model/formation.ts';
import type { Front } from '../model/front.ts';
import type { Settings } from '../model/settings.ts';
import { compileScheme, type CompiledScheme } from '../resolve/compile.ts';
import { LIBRARY } from './embedded.ts';

export type Shelf = keyof typeof LIBRARY;

/** Ids of everything that ships on a shelf, in the library's order. */
export const libraryIds = (shelf: Shelf): string[] => Object.keys(LIBRARY[shelf]);

/** The shipped text behind an id, or `null`. */
export const libraryText = (shelf: Shelf, id: string): string | null => (LIBRARY[shelf] as Record<string, string>)[id] ?? null;

/** A scheme from its text. */
export function schemeFrom(text: string): Result<CompiledScheme> {
  const read = readDocument(text, 'scheme');
  return read.ok ? { ok: true, value: compileScheme(read.value as SchemeTree), diagnostics: read.diagnostics } : read;
}

/** A formation from its text. */
export function formationFrom(text: string): Result<Formation> {
  const read = readDocument(text, 'formation');
  if (!read.ok) return read;
  const tree = read.value as LineupTree;
  return placeClauses(tree.clauses, tree.id, tree.name);
}

/** A front from its text, placed against a formation. */
export function frontFrom(text: string, formation: Formation, settings?: Settings): Result<Front> {
  const read = readDocument(text, 'front');
  if (!read.ok) return read;
  const tree = read.value as LineupTree;
  return placeFrontClauses(tree.clauses, formation, tree.id, tree.name, settings);
}
