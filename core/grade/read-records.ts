import { FACT_IDS } from '../model/facts';
import { FAULT_IDS, type OwnFault } from '../model/faults';
import { GradeSchema, type Grade, type RubricRef } from '../model/grade';
import type { SnapItem } from '../model/game';
import { doneGrade, rubricOf } from './rubrics/index';
import { recordColumns, type GradeRecord } from './record';

/** What is wrong with one cell; rows as a spreadsheet counts them, the headings being row 1. */
export interface CellProblem {
  readonly row: number;
  readonly heading: string;
  readonly says: string;
}
export interface ReadGrade {
  readonly row: number;
  readonly snapId: number;
  readonly number: number;
  readonly blocker: string;
  readonly grade: Grade;
}
export interface ReadGrades {
  readonly grades: readonly ReadGrade[];
  readonly problems: readonly CellProblem[];
}

const faultsOf = (own: readonly OwnFault[]): string[] => [...FAULT_IDS, ...own.map((f) => f.id)];

/** Grades as a table of texts, headings first. */
export function writeRecords(records: readonly GradeRecord[], own: readonly OwnFault[]): (string | number)[][] {
  const columns = recordColumns(faultsOf(own), FACT_IDS);
  return [columns.map((c) => c.heading), ...records.map((r) => columns.map((c) => c.write(r)))];
}

/**
 * Reads a table of grades of one game: `snap` and `place` say whose, `assignment` and `technique` have to be there, everything else may be: without
 * its rubric a row is of `rubric`. What it does not say is as with a man who did his job. Every cell that cannot be read is named, and rows with one are left out.
 */
export function readRecords(
  headings: readonly string[],
  rows: readonly (readonly string[])[],
  { snaps, rubric, own }: { snaps: readonly SnapItem[]; rubric: RubricRef; own: readonly OwnFault[] },
): ReadGrades {
  const columns = recordColumns(faultsOf(own), FACT_IDS);
  const at = new Map(headings.map((h, i) => [h.trim().toLowerCase(), i]));
  const missing = ['snap', 'place', 'assignment'].find((h) => !at.has(h));
  if (missing) return { grades: [], problems: [{ row: 1, heading: missing, says: `there is no column "${missing}"` }] };
  const grades = new Map<string, ReadGrade>();
  const problems: CellProblem[] = [];
  for (const [i, cells] of rows.entries()) {
    if (cells.every((c) => c.trim() === '')) continue;
    const row = i + 2;
    const cell = (heading: string): string => (cells[at.get(heading) ?? -1] ?? '').trim();
    const wrong: CellProblem[] = [];
    const refuse = (heading: string, says: string): void => void wrong.push({ row, heading, says });
    const snap = snaps.find((s) => String(s.number) === cell('snap'));
    if (!snap) refuse('snap', `the game has no snap "${cell('snap')}"`);
    const blocker = cell('place').toUpperCase();
    if (snap && !snap.asked.some((a) => a.blocker === blocker))
      refuse('place', `nobody was asked anything at "${cell('place')}" on snap ${snap.number}`);
    const part: Partial<Grade> = {};
    for (const { heading, read } of columns) {
      if (!read || cell(heading) === '') continue;
      const says = read(cell(heading), part);
      if (says) refuse(heading, says);
    }
    if (part.assignment === undefined && cell('assignment') === '') refuse('assignment', 'it is empty');
    const given = part.rubric ?? rubric;
    if (rubricOf(given).parts.includes('technique') && part.technique === undefined && cell('technique') === '')
      refuse('technique', 'it is empty');
    if (snap && grades.has(`${snap.id} ${blocker}`))
      refuse('place', `${blocker} on snap ${snap.number} is in the table twice`);
    if (wrong.length) problems.push(...wrong);
    else
      grades.set(`${snap!.id} ${blocker}`, {
        ...{ row, snapId: snap!.id, number: snap!.number, blocker },
        grade: GradeSchema.parse({ ...doneGrade(given), ...part }),
      });
  }
  return { grades: [...grades.values()], problems };
}
