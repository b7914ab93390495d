import { nearestWord } from '../../diagnostics/nearest';
import type { LogEntry } from '../../model/game';
import { RESULTS, type Call, type Logged, type Situation, type SnapResult } from '../../model/snap';
import { readFieldPlace, sayFieldPlace } from './field-place';

/** What a program can call, with its texts: names are looked up in it. */
export interface Known {
  readonly plays: readonly { readonly id: string; readonly name: string }[];
  readonly formations: readonly { readonly name: string; readonly text: string }[];
  readonly fronts: readonly { readonly name: string; readonly text: string }[];
}
/** What a row of a table says of a snap; what it does not say is taken from elsewhere. */
export interface RowSays {
  number?: number;
  call: Partial<Call>;
  situation: Partial<Situation>;
  logged: Partial<Logged>;
}
/** One column of a log on paper: how it is headed, what else it may be headed with, how it is written and read. */
export interface LogColumn {
  readonly heading: string;
  readonly also: readonly string[];
  readonly write: (entry: LogEntry) => string;
  /** Puts what the cell says into the row; a sentence when it cannot be read. Never asked about an empty cell. */
  readonly read: (cell: string, row: RowSays, known: Known) => string | null;
  /** What an empty cell says; without it, it says nothing. */
  readonly blank?: (row: RowSays) => void;
}

/** Reads a whole number within its range. */
function whole(cell: string, from: number, to: number, take: (n: number) => void): string | null {
  const n = Number(cell.replace('−', '-').replace(/^\+/, ''));
  if (cell.trim() === '' || !Number.isInteger(n) || n < from || n > to)
    return `"${cell}" is no whole number from ${from} to ${to}`;
  take(n);
  return null;
}
/** Reads one of some words. */
function oneOf<T extends string>(cell: string, words: readonly T[], take: (word: T) => void): string | null {
  const found = words.find((w) => w === cell.toLowerCase());
  if (found === undefined) return `"${cell}" is none of ${words.join(', ')}`;
  take(found);
  return null;
}
/** Looks a name up, or the text itself; says the nearest name when there is none. */
function named<T extends { readonly name: string }>(
  cell: string,
  what: string,
  all: readonly T[],
  isIt: (one: T) => boolean,
  take: (one: T) => void,
): string | null {
  const found = all.find((one) => one.name.toLowerCase() === cell.toLowerCase() || isIt(one));
  if (!found) {
    const near = nearestWord(
      cell,
      all.map((one) => one.name),
    );
    return `there is no ${what} "${cell}"${near ? `; did you mean "${near}"` : ''}`;
  }
  take(found);
  return null;
}
const text = (cell: string, most: number, take: (text: string) => void): string | null => {
  if (cell.length > most) return `this is longer than ${most} letters`;
  take(cell);
  return null;
};
const ORDINAL = /^(\d)(?:st|nd|rd|th)?$/;
const HASHES = ['left', 'middle', 'right'] as const;
const NO_FLAG = { what: '', on: 'us', yards: 0, again: true } as const;
const flagOf = ({ situation }: RowSays): NonNullable<Situation['penalty']> => situation.penalty ?? NO_FLAG;

/** Every column of a log, once, in the order in which it is written. */
export const LOG_COLUMNS = {
  snap: {
    heading: 'Snap',
    also: ['snap number', 'number', 'no', 'play number', 'play no'],
    write: (e) => String(e.number),
    read: (cell, row) => whole(cell, 1, 400, (n) => (row.number = n)),
  },
  series: {
    heading: 'Series',
    also: ['drive', 'possession'],
    write: (e) => String(e.situation.series),
    read: (cell, row) => whole(cell, 1, 60, (n) => (row.situation.series = n)),
  },
  quarter: {
    heading: 'Quarter',
    also: ['qtr', 'period'],
    write: (e) => String(e.situation.quarter),
    read: (cell, row) => whole(cell, 1, 5, (n) => (row.situation.quarter = n)),
  },
  down: {
    heading: 'Down',
    also: [],
    write: (e) => String(e.situation.down),
    read: (cell, row) => whole(ORDINAL.exec(cell.toLowerCase())?.[1] ?? cell, 1, 4, (n) => (row.situation.down = n)),
  },
  distance: {
    heading: 'Distance',
    also: ['to go', 'togo', 'dist', 'yards to go'],
    write: (e) => String(e.situation.distance),
    read: (cell, row) => whole(cell, 1, 99, (n) => (row.situation.distance = n)),
  },
  hash: {
    heading: 'Hash',
    also: [],
    write: (e) => e.situation.hash,
    read: (cell, row) => oneOf(cell, HASHES, (word) => (row.situation.hash = word)),
  },
  place: {
    heading: 'Ball on',
    also: ['yard line', 'field position', 'spot'],
    write: (e) => sayFieldPlace(e.situation.toGoal),
    read: (cell, row) => {
      const place = readFieldPlace(cell);
      if (!place.ok) return place.problem;
      row.situation.toGoal = place.toGoal;
      return null;
    },
    blank: (row) => (row.situation.toGoal = null),
  },
  personnel: {
    heading: 'Personnel',
    also: ['on the field'],
    write: (e) => e.logged.personnel,
    read: (cell, row) => text(cell, 60, (said) => (row.logged.personnel = said)),
    blank: (row) => (row.logged.personnel = ''),
  },
  formation: {
    heading: 'Formation',
    also: ['form'],
    write: (e) => e.call.formationName,
    read: (cell, row, { formations }) =>
      named(
        cell,
        'formation',
        formations,
        (f) => f.text === cell,
        (f) => Object.assign(row.call, { formation: f.text, formationName: f.name }),
      ),
  },
  play: {
    heading: 'Play',
    also: ['call', 'scheme', 'run', 'protection'],
    write: (e) => e.call.scheme,
    read: (cell, row, { plays }) =>
      named(
        cell,
        'play',
        plays,
        (p) => p.id === cell,
        (p) => (row.call.scheme = p.id),
      ),
  },
  side: {
    heading: 'Side',
    also: ['direction', 'to'],
    write: (e) => e.call.side,
    read: (cell, row) => oneOf(cell, ['left', 'right'], (word) => (row.call.side = word)),
  },
  tags: {
    heading: 'Tags',
    also: ['tag'],
    write: (e) => e.call.tags.join(' '),
    read: (cell, row) => text(cell, 200, (said) => (row.call.tags = said.split(/[\s,]+/).filter(Boolean))),
    blank: (row) => (row.call.tags = []),
  },
  front: {
    heading: 'Front',
    also: ['defence', 'defense', 'look'],
    write: (e) => e.call.frontName,
    read: (cell, row, { fronts }) =>
      named(
        cell,
        'front',
        fronts,
        (f) => f.text === cell,
        (f) => Object.assign(row.call, { front: f.text, frontName: f.name }),
      ),
  },
  said: {
    heading: 'Words said',
    also: ['calls', 'line calls'],
    write: (e) => e.logged.said,
    read: (cell, row) => text(cell, 200, (said) => (row.logged.said = said)),
    blank: (row) => (row.logged.said = ''),
  },
  gain: {
    heading: 'Gained',
    also: ['yards', 'gain', 'yards gained'],
    write: (e) => String(e.situation.gain),
    read: (cell, row) => whole(cell, -99, 99, (n) => (row.situation.gain = n)),
  },
  beforeContact: {
    heading: 'Before contact',
    also: ['yards before contact', 'untouched', 'untouched yards', 'touched after'],
    write: (e) => String(e.situation.beforeContact ?? ''),
    read: (cell, row) => whole(cell, -99, 99, (n) => (row.situation.beforeContact = n)),
    blank: (row) => (row.situation.beforeContact = null),
  },
  result: {
    heading: 'Result',
    also: ['outcome'],
    write: (e) => e.situation.result,
    read: (cell, row) => oneOf(cell, RESULTS, (word: SnapResult) => (row.situation.result = word)),
  },
  flag: {
    heading: 'Flag',
    also: ['penalty', 'foul'],
    write: (e) => e.situation.penalty?.what ?? '',
    read: (cell, row) => text(cell, 60, (what) => (row.situation.penalty = { ...flagOf(row), what })),
    blank: (row) => (row.situation.penalty ??= null),
  },
  flagOn: {
    heading: 'Flag on',
    also: ['penalty on'],
    write: (e) => e.situation.penalty?.on ?? '',
    read: (cell, row) => oneOf(cell, ['us', 'them'] as const, (on) => (row.situation.penalty = { ...flagOf(row), on })),
  },
  flagYards: {
    heading: 'Flag yards',
    also: ['penalty yards'],
    write: (e) => (e.situation.penalty ? String(e.situation.penalty.yards) : ''),
    read: (cell, row) => whole(cell, 0, 99, (yards) => (row.situation.penalty = { ...flagOf(row), yards })),
  },
  flagAgain: {
    heading: 'Down again',
    also: ['replay the down'],
    write: (e) => (e.situation.penalty ? (e.situation.penalty.again ? 'yes' : 'no') : ''),
    read: (cell, row) =>
      oneOf(cell, ['yes', 'no'], (word) => (row.situation.penalty = { ...flagOf(row), again: word === 'yes' })),
  },
  notCounted: {
    heading: 'Not counted because',
    also: ['not counted'],
    write: (e) => e.logged.notCounted,
    read: (cell, row) => text(cell, 80, (why) => (row.logged.notCounted = why)),
    blank: (row) => (row.logged.notCounted = ''),
  },
} as const satisfies Record<string, LogColumn>;

export type ColumnKey = keyof typeof LOG_COLUMNS;
export const COLUMN_KEYS = Object.keys(LOG_COLUMNS) as ColumnKey[];
export const columnOf = (key: ColumnKey): LogColumn => LOG_COLUMNS[key];
