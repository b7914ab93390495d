import type * as z from 'zod';
import { error, type Result } from '../diagnostics/diagnostic';
import { withSplit } from '../language/lineups/own-split';
import { placeClauses } from '../language/lineups/read-formation';
import { placeFrontClauses } from '../language/lineups/read-front';
import { readDocument } from '../language/read';
import type { LineupTree, SchemeTree } from '../language/tree';
import { DrillSchema, type Drill } from '../model/drill';
import type { Formation } from '../model/formation';
import type { Front } from '../model/front';
import { SHIPPED_SETTINGS, type Settings } from '../model/settings';
import { SpaceSchema, type Space } from '../model/space';
import { compileScheme, type CompiledScheme } from '../resolve/prepare/compile';
import { LIBRARY } from './embedded';

export type Shelf = keyof typeof LIBRARY;

/** Ids of everything that ships on a shelf, in the library's order. */
export const libraryIds = (shelf: Shelf): string[] => Object.keys(LIBRARY[shelf]);

/** The shipped text behind an id, or `null`. */
export const libraryText = (shelf: Shelf, id: string): string | null =>
  (LIBRARY[shelf] as Record<string, string>)[id] ?? null;

const TOP = { line: 1, column: 1, endColumn: 1 };

/** Something kept as JSON, read by its schema; `what` names it where the text as a whole is wrong. */
function jsonFrom<T>(text: string, schema: z.ZodType<T>, what: string): Result<T> {
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch (problem) {
    return { ok: false, diagnostics: [error('json.syntax', TOP, { problem: (problem as Error).message })] };
  }
  const parsed = schema.safeParse(value);
  if (parsed.success) return { ok: true, value: parsed.data, diagnostics: [] };
  return {
    ok: false,
    diagnostics: parsed.error.issues.map((i) =>
      error('json.shape', TOP, { where: i.path.join('.') || what, problem: i.message }),
    ),
  };
}

/** A space of fronts from its JSON text. */
export const spaceFrom = (text: string): Result<Space> => jsonFrom(text, SpaceSchema, 'space');
/** A drill from its JSON text. */
export const drillFrom = (text: string): Result<Drill> => jsonFrom(text, DrillSchema, 'drill');

/** A scheme from its text. */
export function schemeFrom(text: string): Result<CompiledScheme> {
  const read = readDocument(text, 'scheme');
  return read.ok ? { ok: true, value: compileScheme(read.value as SchemeTree), diagnostics: read.diagnostics } : read;
}

/** A formation from its text, with the program's split where it says none; one that is `kept` in a book may give orders that cannot be obeyed. */
export function formationFrom(
  text: string,
  {
    splitInches = SHIPPED_SETTINGS.splitInches,
    ...how
  }: { kept?: boolean } & Partial<Pick<Settings, 'splitInches'>> = {},
): Result<Formation> {
  const read = readDocument(withSplit(text, { splitInches }), 'formation');
  if (!read.ok) return read;
  const tree = read.value as LineupTree;
  return placeClauses(tree.clauses, tree.id, tree.name, how);
}

/** A front from its text, placed against a formation. */
export function frontFrom(text: string, formation: Formation, settings?: Settings): Result<Front> {
  const read = readDocument(text, 'front');
  if (!read.ok) return read;
  const tree = read.value as LineupTree;
  return placeFrontClauses(tree.clauses, formation, tree.id, tree.name, settings);
}
