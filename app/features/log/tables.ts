import Papa from 'papaparse';
import type { LogEntry } from '#core/model/game';
import { writeSheet } from '#core/film/log/sheet';
import { readText } from './read-text';
import { FORMULAE } from '~/features/playbook/csv';

/** A file as a table of texts. */
export interface Table {
  readonly headings: readonly string[];
  readonly rows: readonly (readonly string[])[];
}
/** Larger than any log of a game. */
const LARGEST = 1_000_000;
const MOST_SNAPS = { rows: 400, of: 'snaps' };

/** Reads a file with values between commas, semicolons or tabs; a sentence when it is none. */
export async function readTable(
  file: File,
  { rows: mostRows, of }: { readonly rows: number; readonly of: string } = MOST_SNAPS,
): Promise<{ table: Table | null; problem: string }> {
  const refuse = (why: string) => ({ table: null, problem: `${file.name} ${why}. Nothing was changed.` });
  if (file.size > LARGEST) return refuse(`is larger than ${LARGEST / 1_000_000} MB: no log of a game is`);
  const text = await readText(file);
  if (text === null) return refuse('is no text; save it as CSV, in UTF-8');
  const { data, errors } = Papa.parse<string[]>(text, { skipEmptyLines: 'greedy' });
  const broken = errors.find((e) => e.type === 'Quotes');
  if (broken) return refuse(`has a quotation mark that does not end, in row ${(broken.row ?? 0) + 1}`);
  const [headings, ...rows] = data;
  if (!headings || rows.length === 0) return refuse('has no row under its headings');
  if (rows.length > mostRows) return refuse(`has ${rows.length} rows; a game has at most ${mostRows} ${of}`);
  return { table: { headings, rows }, problem: '' };
}

/** A log as CSV, cells that a spreadsheet would run as formulas made harmless. */
export const csvOf = (log: readonly LogEntry[]): string => Papa.unparse(writeSheet(log), { escapeFormulae: FORMULAE });
