import type { LogEntry } from '../../model/game';
import type { Call } from '../../model/snap';
import { COLUMN_KEYS, columnOf, type ColumnKey, type Known, type RowSays } from './columns';
import { nextEntry } from './habits';
import { situationAfter } from './series';

/** A log as a table of texts, headings first. */
export const writeSheet = (log: readonly LogEntry[]): string[][] => [
  COLUMN_KEYS.map((key) => columnOf(key).heading),
  ...log.map((entry) => COLUMN_KEYS.map((key) => columnOf(key).write(entry))),
];

const plain = (heading: string): string =>
  heading
    .trim()
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, ' ')
    .trim();

/** Which column each heading of a strange table most likely is; `null` for what the log has no place for. No column is named twice. */
export function matchColumns(headings: readonly string[]): (ColumnKey | null)[] {
  const taken = new Set<ColumnKey>();
  return headings.map((heading) => {
    const said = plain(heading);
    const key = COLUMN_KEYS.find(
      (k) => !taken.has(k) && [columnOf(k).heading, ...columnOf(k).also].some((name) => plain(name) === said),
    );
    if (key) taken.add(key);
    return key ?? null;
  });
}

/** What is wrong with one cell; rows as a spreadsheet counts them, the headings being row 1. */
export interface CellProblem {
  readonly row: number;
  readonly heading: string;
  readonly says: string;
}
export interface ReadSheet {
  readonly entries: readonly LogEntry[];
  readonly problems: readonly CellProblem[];
}

/**
 * Reads the rows under the headings of a table into a log. What a row does not say is what the snap said before, else what follows from the
 * row above: the situation goes on, the call is the last one. Every cell that cannot be read is named; rows with one are left out.
 */
export function readSheet(
  headings: readonly string[],
  rows: readonly (readonly string[])[],
  columns: readonly (ColumnKey | null)[],
  { known, log, first }: { known: Known; log: readonly LogEntry[]; first: Call },
): ReadSheet {
  const problems: CellProblem[] = [];
  const entries = new Map<number, LogEntry>();
  for (const [i, cells] of rows.entries()) {
    if (cells.every((c) => c.trim() === '')) continue;
    const row: RowSays = { call: {}, situation: {}, logged: {} };
    const wrong: CellProblem[] = [];
    for (const [at, key] of columns.entries()) {
      const cell = (cells[at] ?? '').trim();
      if (key === null) continue;
      if (cell === '') {
        columnOf(key).blank?.(row);
        continue;
      }
      const says = columnOf(key).read(cell, row, known);
      if (says) wrong.push({ row: i + 2, heading: headings[at] ?? '', says });
    }
    const above = [...entries.values()].at(-1);
    const number = row.number ?? (above?.number ?? 0) + 1;
    if (entries.has(number))
      wrong.push({ row: i + 2, heading: columnOf('snap').heading, says: `snap ${number} is in the table twice` });
    if (wrong.length) problems.push(...wrong);
    else entries.set(number, entryOf(row, number, above ?? null, log, first));
  }
  return { entries: [...entries.values()].sort((a, b) => a.number - b.number), problems };
}

function entryOf(
  row: RowSays,
  number: number,
  above: LogEntry | null,
  log: readonly LogEntry[],
  first: Call,
): LogEntry {
  const there = log.find((e) => e.number === number);
  const base = there ?? { ...nextEntry(above ? [above] : [], first), number };
  const sayPlay = row.call.scheme !== undefined && row.call.scheme !== base.call.scheme;
  const call = { ...base.call, ...(sayPlay ? { tags: [], overrides: {} } : {}), ...row.call };
  const follows = there ? there.situation : above ? situationAfter(above.situation) : base.situation;
  return {
    number,
    call,
    situation: { ...follows, ...row.situation },
    logged: { ...base.logged, ...row.logged },
  };
}
