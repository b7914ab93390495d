import { existsSync, readFileSync } from 'node:fs';
import type { Result } from '../core/diagnostics/diagnostic';
import { nearestWord } from '../core/diagnostics/nearest';
import { formatDiagnostic } from '../core/diagnostics/wording';
import { readFormation } from '../core/language/lineups/read-formation';
import { readFront } from '../core/language/lineups/read-front';
import { readMoves } from '../core/language/lineups/read-moves';
import { formationFrom, frontFrom, libraryIds, libraryText, schemeFrom, type Shelf } from '../core/library/library';
import { FormationSchema, type Formation } from '../core/model/formation';
import { FrontSchema, type Front } from '../core/model/front';
import { SettingsSchema, SHIPPED_SETTINGS, type Settings } from '../core/model/settings';
import { readNeed, type Need } from '../core/model/standard';
import { SideSchema, type Side } from '../core/model/side';
import type { CompiledScheme } from '../core/resolve/prepare/compile';
import { spaceAround } from '../core/stress/space';

/** The material is wrong: its lines go to standard error and the program ends with 1. */
export class WrongMaterial extends Error {}
/** The command was misused: 2. */
export class Usage extends Error {}

export function need<T>(result: Result<T>, source: string): T {
  if (result.ok) return result.value;
  throw new WrongMaterial(result.diagnostics.map((d) => formatDiagnostic(source, d)).join('\n'));
}

export function readFile(path: string): string {
  try {
    return readFileSync(path === '-' ? 0 : path, 'utf8');
  } catch (problem) {
    throw new WrongMaterial(
      `${path}: ${(problem as NodeJS.ErrnoException).code === 'ENOENT' ? 'there is no such file, and nothing ships under this name' : (problem as Error).message}`,
    );
  }
}

const SHELF_WORD: Record<Shelf, string> = {
  schemes: 'play',
  fronts: 'front',
  formations: 'formation',
  spaces: 'space',
  drills: 'drill',
};
/** A name as things ship under it: small letters, digits and dashes; notation always has capitals. */
const isName = (word: string): boolean => /^[a-z][a-z0-9-]*$/.test(word);
function unknownName(word: string, what: string, known: readonly string[]): WrongMaterial {
  const near = nearestWord(word, known);
  const hint = near ? `; did you mean "${near}"?` : '';
  return new WrongMaterial(`there is no ${what} "${word}", and no file of that name${hint}`);
}
const isPath = (word: string): boolean => word === '-' || /\.(chalk|json)$/.test(word);
const isDocument = (text: string): boolean => /^\s*(#.*\n\s*)*(formation|front|scheme)\s/.test(text);

/** A shipped id, a file, standard input, or the notation itself. */
function findText(shelf: Shelf, word: string): { text: string; source: string; inline: boolean } {
  const shipped = libraryText(shelf, word);
  if (shipped !== null) return { text: shipped, source: `${word}.chalk`, inline: false };
  if (isName(word) && !existsSync(word)) throw unknownName(word, SHELF_WORD[shelf], libraryIds(shelf));
  if (isPath(word) || shelf === 'schemes') {
    const text = readFile(word);
    return { text, source: word, inline: !isDocument(text) };
  }
  return { text: word, source: shelf.slice(0, -1), inline: true };
}

const fromJson = <T>(
  schema: {
    safeParse(
      v: unknown,
    ): { success: true; data: T } | { success: false; error: { issues: { path: PropertyKey[]; message: string }[] } };
  },
  text: string,
  source: string,
): T => {
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch (problem) {
    throw new WrongMaterial(`${source}: this is not JSON: ${(problem as Error).message}`);
  }
  const parsed = schema.safeParse(value);
  if (parsed.success) return parsed.data;
  throw new WrongMaterial(parsed.error.issues.map((i) => `${source}: ${i.path.join('.')}: ${i.message}`).join('\n'));
};

export function loadScheme(word: string): CompiledScheme {
  const { text, source } = findText('schemes', word);
  return need(schemeFrom(text), source);
}

/** The text behind a formation, for whoever reads it elsewhere. */
export function formationText(word: string): { text: string; inline: boolean } {
  const { text, inline } = findText('formations', word);
  return { text, inline };
}

export const schemeText = (word: string): string => findText('schemes', word).text;

/** A shipped space, a front to look around, or a JSON file. */
export function loadSpaceText(word: string, formation: Formation, settings: Settings): string {
  const shipped = libraryText('spaces', word);
  if (shipped !== null) return shipped;
  if (word.endsWith('.json') || word === '-') return readFile(word);
  const fronts = libraryIds('fronts');
  if (isName(word) && !fronts.includes(word) && !existsSync(word))
    throw unknownName(word, 'space or front', [...libraryIds('spaces'), ...fronts]);
  return JSON.stringify(spaceAround(loadFront(word, formation, settings)));
}

export function loadFormation(
  word: string,
  { splitInches }: Pick<Settings, 'splitInches'> = SHIPPED_SETTINGS,
): Formation {
  const { text, source, inline } = findText('formations', word);
  if (source.endsWith('.json')) return fromJson(FormationSchema, text, source);
  return need(inline ? readFormation(text) : formationFrom(text, { splitInches }), source);
}

export function loadFront(
  word: string,
  formation: Formation,
  settings: Settings,
  moves: readonly string[] = [],
): Front {
  const { text, source, inline } = findText('fronts', word);
  if (source.endsWith('.json')) return fromJson(FrontSchema, text, source);
  const front = need(
    inline ? readFront(text, formation, 'inline', 'Front', settings) : frontFrom(text, formation, settings),
    source,
  );
  if (moves.length === 0) return front;
  return { ...front, movements: [...front.movements, ...need(readMoves(moves, front), 'move')] };
}

/** `--set NAME=VALUE` options over the shipped settings. */
export function loadSettings(pairs: readonly string[]): Settings {
  const values = pairs.map((pair) => {
    const at = pair.indexOf('=');
    if (at < 1) throw new Usage(`--set takes NAME=VALUE; found "${pair}"`);
    const name = pair.slice(0, at);
    if (!(name in SettingsSchema.shape))
      throw new Usage(`there is no setting "${name}"; there are ${Object.keys(SettingsSchema.shape).join(', ')}`);
    return [name, pair.slice(at + 1)];
  });
  const parsed = SettingsSchema.safeParse(Object.fromEntries(values));
  if (parsed.success) return parsed.data;
  throw new Usage(parsed.error.issues.map((i) => `--set ${i.path.join('.')}: ${i.message}`).join('\n'));
}

export function loadNeed(text: string): Need {
  const need = readNeed(text);
  if (!need) throw new Usage(`--on takes a down and what is needed, as "3rd and 2"; found "${text}"`);
  return need;
}

export function loadSide(word: string): Side {
  const parsed = SideSchema.safeParse(word);
  if (!parsed.success) throw new Usage(`a side is left or right; found "${word}"`);
  return parsed.data;
}
