import { QueryTypes, type Sequelize } from 'sequelize';
import type { BookFilter } from '#core/grade/book/dimensions';
import { COLUMNS_BEHIND, marksBehind } from '#core/grade/book/marks-behind';
import type { Measure } from '#core/grade/book/measures';
import { openBook, type Reach } from './read';
import { wordOf } from './words';

/** A mark behind a number. */
export interface MarkBehind {
  readonly gradeId: number;
  readonly snapId: number;
  readonly number: number;
  readonly gameId: number;
  readonly blocker: string;
  readonly playerId: number | null;
  readonly scheme: string;
  readonly side: string;
  readonly front: string;
}

/** Words that are shown of a mark. */
const SHOWN = ['blocker', 'scheme', 'side', 'front'].map((word) => `${wordOf(`b.${word}`)} as ${word}`).join(', ');

/** The marks behind a number, a page at a time; see `marksBehind`. `onFilm`: only of snaps on film. */
export async function readMarksBehind(
  db: Sequelize,
  reach: Reach,
  filter: BookFilter,
  measure: Measure,
  paging: { skip: number; take: number },
  onFilm: boolean,
): Promise<{ marks: MarkBehind[]; total: number }> {
  const open = await openBook(db, reach, filter, [], COLUMNS_BEHIND);
  const { page, total } = marksBehind(open, measure, paging, onFilm ? await filmedSnaps(db, reach.program) : null);
  if (page.length === 0) return { marks: [], total };
  const rows = await db.query<MarkBehind>(
    `select b.grade_id as "gradeId", b.snap_id as "snapId", b.number, b.game_id as "gameId", b.player_id as "playerId", ${SHOWN}
     from book_marks b where b.program_id = :program and b.grade_id in (:grades)`,
    { type: QueryTypes.SELECT, replacements: { program: reach.program, grades: page.map(({ grade }) => grade) } },
  );
  const byGrade = new Map(rows.map((row) => [row.gradeId, row]));
  // One that was taken back meanwhile is left out.
  return { marks: page.flatMap(({ grade }) => byGrade.get(grade) ?? []), total };
}

async function filmedSnaps(db: Sequelize, program: number): Promise<Set<number>> {
  const rows = await db.query<{ id: number }>(
    'select distinct snap_id as id from clips where program_id = :program and snap_id is not null',
    { type: QueryTypes.SELECT, replacements: { program } },
  );
  return new Set(rows.map(({ id }) => id));
}
