import * as z from 'zod';
import { AskedSchema } from '../model/asked';
import { GradeSchema, type Grade } from '../model/grade';
import { findRubric } from './rubrics/index';
import { sayPair } from './say-grade';

/** One grade with everything needed to read it elsewhere: an open format, see docs/schemas. */
export const GradeRecordSchema = z.object({
  season: z.string(),
  week: z.int(),
  opponent: z.string(),
  snap: z.int(),
  place: z.string(),
  player: z.string(),
  number: z.int().nullable(),
  play: z.string(),
  side: z.string(),
  front: z.string(),
  asked: AskedSchema,
  grade: GradeSchema,
  /** Whose reading it is: the program's grade, or one of a named grader beside it. */
  reading: z.string(),
  /** When it was given, ISO 8601. */
  at: z.string(),
});
export type GradeRecord = z.infer<typeof GradeRecordSchema>;

/** One column of grades as a table: its heading, how a record is written, and how a cell is read into a grade (none: only written). */
export interface RecordColumn {
  readonly heading: string;
  readonly write: (record: GradeRecord) => string | number;
  /** Puts the cell into the grade; a sentence when it cannot be read. Never asked about an empty cell. */
  readonly read?: (cell: string, grade: Partial<Grade>) => string | null;
}

function oneOf<T extends string>(
  words: readonly T[],
  take: (word: T, grade: Partial<Grade>) => void,
): RecordColumn['read'] {
  return (cell, grade) => {
    const found = words.find((w) => w === cell.toLowerCase());
    if (!found) return `"${cell}" is none of ${words.join(', ')}`;
    take(found, grade);
    return null;
  };
}
function listOf(
  known: readonly string[],
  take: (words: string[], grade: Partial<Grade>) => void,
): RecordColumn['read'] {
  return (cell, grade) => {
    const words = cell
      .split(/[;|]/)
      .map((w) => w.trim().toLowerCase().replaceAll(' ', '-'))
      .filter(Boolean);
    const strange = words.find((w) => !known.includes(w));
    if (strange) return `"${strange}" is not known here`;
    take(words, grade);
    return null;
  };
}

const G = GradeSchema.shape;
/** The columns of grades as a table, in their order; `faults` are the ids that may be tagged. */
export const recordColumns = (faults: readonly string[], facts: readonly string[]): readonly RecordColumn[] => [
  { heading: 'season', write: (r) => r.season },
  { heading: 'week', write: (r) => r.week },
  { heading: 'opponent', write: (r) => r.opponent },
  { heading: 'snap', write: (r) => r.snap },
  { heading: 'place', write: (r) => r.place },
  { heading: 'player', write: (r) => r.player },
  { heading: 'number', write: (r) => r.number ?? '' },
  { heading: 'play', write: (r) => r.play },
  { heading: 'side', write: (r) => r.side },
  { heading: 'front', write: (r) => r.front },
  { heading: 'block', write: (r) => r.asked.block },
  { heading: 'on', write: (r) => r.asked.target ?? '' },
  { heading: 'with', write: (r) => r.asked.partners.join('; ') },
  {
    heading: 'rubric',
    write: (r) => r.grade.rubric,
    read: (cell, g) => {
      if (!findRubric(cell)) return `there is no rubric "${cell}"`;
      g.rubric = cell;
      return null;
    },
  },
  {
    heading: 'counts',
    write: (r) => (r.grade.counts ? 'yes' : 'no'),
    read: oneOf(['yes', 'no'], (word, g) => void (g.counts = word === 'yes')),
  },
  {
    heading: 'assignment',
    write: (r) => r.grade.assignment,
    read: oneOf(G.assignment.options, (word, g) => void (g.assignment = word)),
  },
  {
    heading: 'technique',
    write: (r) => r.grade.technique,
    read: oneOf(G.technique.options, (word, g) => void (g.technique = word)),
  },
  {
    heading: 'finish',
    write: (r) => r.grade.finish ?? '',
    read: oneOf(G.technique.options, (word, g) => void (g.finish = word)),
  },
  {
    heading: 'points',
    write: (r) => r.grade.points ?? '',
    read: (cell, g) => {
      if (!/^[0-4]$/.test(cell)) return `"${cell}" is no whole number from 0 to 4`;
      g.points = Number(cell);
      return null;
    },
  },
  {
    heading: 'outcome',
    write: (r) => r.grade.outcome ?? '',
    read: oneOf(['success', 'not', 'cannot tell'], (word, g) => void (g.outcome = word)),
  },
  {
    heading: 'faults',
    write: (r) => r.grade.faults.join('; '),
    read: listOf(faults, (words, g) => void (g.faults = words)),
  },
  {
    heading: 'facts',
    write: (r) => r.grade.facts.join('; '),
    read: listOf(facts, (words, g) => void (g.facts = words as Grade['facts'])),
  },
  {
    heading: 'hit',
    write: (r) => r.grade.hit ?? '',
    read: (cell, g) => {
      if (cell.length > 3) return `"${cell}" is no defender`;
      g.hit = cell;
      return null;
    },
  },
  {
    heading: 'consequence',
    write: (r) => r.grade.consequence ?? '',
    read: oneOf(['harmless', 'costly', 'fatal'], (word, g) => void (g.consequence = word)),
  },
  { heading: 'together', write: (r) => (r.grade.pair ? sayPair(r.grade.pair) : '') },
  {
    heading: 'note',
    write: (r) => r.grade.note,
    read: (cell, g) => {
      if (cell.length > 500) return 'the note is longer than 500 letters';
      g.note = cell;
      return null;
    },
  },
  { heading: 'reading', write: (r) => r.reading },
  { heading: 'at', write: (r) => r.at },
];
