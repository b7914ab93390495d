import { QueryTypes, type Sequelize } from 'sequelize';
import type { BookFilter } from '#core/grade/book/dimensions';
import type { Measure } from '#core/grade/book/measures';
import { countedBy, countMarks, KIND } from './counted';
import { conditionOf, TOLD, type Reach } from './read';
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
/** A grade by its rubric is a miss unless everything possible was earned. */
const ALL_EARNED = '(k.possible > 0 and k.earned = k.possible)';
/** In which order marks are looked at: the misses first, then what could not be told, as that is what one opens a number for. */
const PARTS = ['is false', 'is null', 'is true'] as const;

/**
 * The marks behind a number, a page at a time: the misses first, of each the newest game first. They are counted first, so that no more of
 * them are put in order than are shown. `onFilm`: only of snaps on film.
 */
export async function readMarksBehind(
  db: Sequelize,
  reach: Reach,
  filter: BookFilter,
  measure: Measure,
  { skip, take }: { skip: number; take: number },
  onFilm: boolean,
): Promise<{ marks: MarkBehind[]; total: number }> {
  const { sql, values } = await conditionOf(db, reach, filter);
  const filmed = 'exists (select 1 from clips c where c.program_id = b.program_id and c.snap_id = b.snap_id)';
  const where = onFilm ? `${sql} and ${filmed}` : sql;
  const counted = onFilm
    ? { sql: countMarks(KIND, where), values }
    : countedBy(KIND, { sql, values }, filter, reach.player);
  const column = TOLD[measure] ?? ALL_EARNED;
  const counts = await db.query<{ part: number; marks: number }>(
    `with counted as (${counted.sql})
     select case ${PARTS.map((part, i) => `when ${column} ${part} then ${i}`).join(' ')} end as part, sum(c.n)::int as marks
     from counted c join book_kinds k on k.id = c.kind group by 1`,
    { type: QueryTypes.SELECT, replacements: counted.values },
  );
  const marks: MarkBehind[] = [];
  let before = 0;
  for (const [i, part] of PARTS.entries()) {
    const here = counts.find((c) => c.part === i)?.marks ?? 0;
    const from = Math.max(0, skip - before);
    const many = Math.min(here - from, take - marks.length);
    before += here;
    if (many <= 0) continue;
    const found = await db.query<MarkBehind>(
      `select b.grade_id as "gradeId", b.snap_id as "snapId", b.number, b.game_id as "gameId", b.player_id as "playerId",
         ${SHOWN} from book_marks b where ${where}
         and b.kind = any(array(select k.id from book_kinds k where k.program_id = :program and ${column} ${part}))
       order by b.game_id desc, b.number, b.blocker limit :many offset :from`,
      { type: QueryTypes.SELECT, replacements: { ...values, many, from } },
    );
    marks.push(...found);
  }
  return { marks, total: before };
}
