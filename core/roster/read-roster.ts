import { NewPlayerSchema, type NewPlayer } from './player';
import { isPosition, readPosition } from './positions';

export interface RosterProblem {
  /** Counted from 1, as the text stands. */
  readonly line: number;
  readonly says: string;
}
export interface ReadRoster {
  readonly players: readonly (NewPlayer & { readonly line: number })[];
  readonly problems: readonly RosterProblem[];
}

type Column = 'number' | 'name' | 'first' | 'last' | 'position';
const HEADS: Readonly<Record<Column, RegExp>> = {
  number: /^(#|no\.?|nr\.?|num(ber)?|jersey)$/i,
  name: /^(name|player)$/i,
  first: /^first( ?name)?$/i,
  last: /^(last|sur|family)( ?name)?$/i,
  position: /^(pos(ition)?s?|place|seat)$/i,
};

/**
 * Reads a roster from the cells of its lines, however it was written: with a line of heads in any order, or without one as number, name and
 * position in any order. A line that cannot be read is told with its number and why; empty lines are nothing.
 */
export function readRoster(lines: readonly (readonly string[])[]): ReadRoster {
  const rows = lines.map((cells, i) => ({ line: i + 1, cells: cells.map((c) => c.trim()) }));
  const filled = rows.filter((r) => r.cells.some(Boolean));
  const heads = headsOf(filled[0]?.cells ?? []);
  const players: (NewPlayer & { line: number })[] = [];
  const problems: RosterProblem[] = [];
  for (const { line, cells } of heads ? filled.slice(1) : filled) {
    const said = heads ? byHeads(cells, heads) : byShape(cells);
    const read = readMan(said);
    if (typeof read === 'string') problems.push({ line, says: read });
    else players.push({ ...read, line });
  }
  return { players, problems: [...problems, ...twins(players)] };
}

interface Said {
  readonly number: string;
  readonly name: string;
  readonly position: string;
}

/** Which column is what; `null` when the line has no heads. */
function headsOf(cells: readonly string[]): Partial<Record<Column, number>> | null {
  const found: Partial<Record<Column, number>> = {};
  for (const [column, is] of Object.entries(HEADS) as [Column, RegExp][]) {
    const at = cells.findIndex((c) => is.test(c));
    if (at >= 0) found[column] = at;
  }
  const isNamed = found.name !== undefined || found.last !== undefined;
  return isNamed && found.number !== undefined ? found : null;
}

function byHeads(cells: readonly string[], heads: Partial<Record<Column, number>>): Said {
  const at = (column: Column): string => (heads[column] === undefined ? '' : (cells[heads[column]] ?? ''));
  return {
    number: at('number'),
    name: at('name') || [at('first'), at('last')].filter(Boolean).join(' '),
    position: at('position'),
  };
}

/** Without heads: the number is what is a number, the position is what reads as one at the end, the rest is his name. */
function byShape(cells: readonly string[]): Said {
  const words = cells.filter(Boolean).flatMap((c) => c.split(/\s+/));
  const at = words.findIndex((w) => /^#?\d{1,3}$/.test(w));
  const number = at < 0 ? '' : words[at]!;
  const rest = words.filter((_, i) => i !== at);
  const last = rest.at(-1) ?? '';
  const placed = rest.length > 1 && isPosition(last);
  return { number, name: (placed ? rest.slice(0, -1) : rest).join(' '), position: placed ? last : '' };
}

function readMan({ number, name, position }: Said): NewPlayer | string {
  if (!number) return `there is no number in "${name || position}"`;
  const { seat, seats, defence, unknown } = readPosition(position);
  if (unknown.length) return `"${unknown.join(' ')}" is no position; write one such as RG, G, OL or TE`;
  const parsed = NewPlayerSchema.safeParse({ name, number: Number(number.replace('#', '')), seat, seats, defence });
  if (parsed.success) return parsed.data;
  const [issue] = parsed.error.issues;
  return `${String(issue!.path[0] ?? 'line')}: ${issue!.message}`;
}

/** Two men with one number, and one man twice. */
function twins(players: readonly (NewPlayer & { line: number })[]): RosterProblem[] {
  return players.flatMap((p, i) => {
    const before = players.slice(0, i).find((o) => o.number === p.number && o.name === p.name);
    return before ? [{ line: p.line, says: `${p.number} ${p.name} stands in line ${before.line} already` }] : [];
  });
}
