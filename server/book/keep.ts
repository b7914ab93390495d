import { QueryTypes, type Sequelize, type Transaction } from 'sequelize';
import { markedOf } from '#core/grade/book/marked';
import type { Said } from '#core/grade/book/said';
import { playResultOf, snapColumns } from '#core/grade/book/play-result';
import type { GradedSnap } from '#core/model/snap-body';
import { PROGRAM_SHEET } from '#core/model/grade';
import { ProgramBodySchema } from '#core/model/program';
import { SHIPPED_SETTINGS } from '#core/model/settings';
import type { Standard } from '#core/model/standard';
import { database } from '../db/database';
import { isNowOpen } from '../opening';
import { gradeAsked, gradeBody, gradedSnap } from '../db/mappers';
import { BookKindRow, BookMarkRow, BookSnapRow, GradeRow, SnapRow } from '../db/models';
import { BOOK_KIND } from '../db/book-models';
import { bringToMind, keepSeasons } from './packed';
import { inNumbers } from './words';

/** What of the games and the program of snaps the Book needs. */
interface Around {
  readonly season: ReadonlyMap<number, number>;
  /** Games of an opponent's: the Book is of our own. */
  readonly theirs: ReadonlySet<number>;
  readonly standard: Standard;
}

async function around(sequelize: Sequelize, snaps: readonly SnapRow[], transaction: Transaction): Promise<Around> {
  const games = [...new Set(snaps.map((s) => s.gameId))];
  const rows = await sequelize.query<{ id: number; seasonId: number; theirs: string | null; settings: unknown }>(
    `select g.id, g.season_id as "seasonId", g.theirs, p.body->'settings' as settings from games g join programs p on p.id = g.program_id where g.id in (:games)`,
    { type: QueryTypes.SELECT, replacements: { games }, transaction },
  );
  const { settings = SHIPPED_SETTINGS } = ProgramBodySchema.parse({ settings: rows[0]?.settings ?? undefined });
  return {
    season: new Map(rows.map((r) => [r.id, r.seasonId])),
    theirs: new Set(rows.filter((r) => r.theirs !== null).map((r) => r.id)),
    standard: settings,
  };
}

/** A snap and its grades as the Book counts them. */
function counted(snap: SnapRow, body: GradedSnap, grades: readonly GradeRow[], { season, standard }: Around) {
  const { id, programId, gameId, number } = snap;
  const place = { snapId: id, programId, gameId, number, seasonId: season.get(gameId)! };
  const own = grades
    .filter((g) => g.asked !== null)
    .map((row) => ({ row, blocker: row.blocker, grade: gradeBody(row) }));
  const marks = own.flatMap(({ row, blocker, grade }) => {
    const marked = markedOf(body, blocker, gradeAsked(row), grade);
    return marked ? [{ ...marked, ...place, gradeId: row.id, playerId: row.playerId }] : [];
  });
  const { gain, result } = body.situation;
  const results = body.logged.notCounted
    ? []
    : [{ ...snapColumns(body), ...place, gain, result, ...playResultOf(body, own, standard) }];
  return { marks, results };
}

const SAID = Object.keys(BOOK_KIND).filter((column): column is keyof Said => column !== 'id' && column !== 'programId');
const spell = (said: Said): string => JSON.stringify(SAID.map((part) => said[part]));

/** The numbers of the kinds these marks are of, by how each is spelt; kinds nobody has met before are added. */
async function kindsOf(
  programId: number,
  said: readonly Said[],
  transaction: Transaction,
): Promise<Map<string, number>> {
  const met = new Map(said.map((one) => [spell(one), one]));
  const known = async (): Promise<Map<string, number>> => {
    const rows = await BookKindRow.findAll({ where: { programId }, transaction });
    return new Map(rows.map((row) => [spell(row.get() as Said), row.id]));
  };
  const numbers = await known();
  const added = [...met].flatMap(([spelt, { ...one }]) => (numbers.has(spelt) ? [] : [one]));
  if (added.length === 0) return numbers;
  const rows = added.map((one) => ({ programId, ...Object.fromEntries(SAID.map((part) => [part, one[part]])) }));
  await BookKindRow.bulkCreate(rows, { ignoreDuplicates: true, transaction });
  return known();
}

/** Makes anew what the Book counts of these snaps of one program. */
async function keepInBook(sequelize: Sequelize, snaps: readonly SnapRow[], transaction: Transaction): Promise<void> {
  const [first] = snaps;
  if (!first) return;
  const snapId = snaps.map((s) => s.id);
  const beside = await around(sequelize, snaps, transaction);
  const grades = await GradeRow.findAll({ where: { snapId, sheet: PROGRAM_SHEET }, transaction });
  const ours = snaps.filter((snap) => !beside.theirs.has(snap.gameId));
  const all = ours.map((snap) =>
    counted(
      snap,
      gradedSnap(snap),
      grades.filter((g) => g.snapId === snap.id),
      beside,
    ),
  );
  const marks = all.flatMap((a) => a.marks);
  const kinds = await kindsOf(first.programId, marks, transaction);
  await BookMarkRow.destroy({ where: { snapId }, transaction });
  await BookSnapRow.destroy({ where: { snapId }, transaction });
  const ofKinds = marks.map((mark) => ({ ...mark, kind: kinds.get(spell(mark))! }));
  await BookMarkRow.bulkCreate(await inNumbers(sequelize, first.programId, ofKinds, transaction), { transaction });
  await BookSnapRow.bulkCreate(
    all.flatMap((a) => a.results),
    { transaction },
  );
}

/** Snaps that are worked through at once. */
const AT_ONCE = 200;

/**
 * Brings a program's Book up to date: snaps that were changed, or graded, since it was last made are counted anew. Everything that reads the
 * Book calls it first, outside any transaction.
 */
export async function bringUpBook(sequelize: Sequelize, programId: number): Promise<void> {
  for (;;) {
    const [due] = await sequelize.query('select 1 from book_due where program_id = :programId limit 1', {
      type: QueryTypes.SELECT,
      replacements: { programId },
    });
    if (!due) return;
    await sequelize.transaction((transaction) => bringUpSome(sequelize, programId, transaction));
  }
}

async function bringUpSome(sequelize: Sequelize, programId: number, transaction: Transaction): Promise<void> {
  // A grader holds his snap first and notes it as due then: the same order. What he is about to note must not be taken for done.
  const rows = await sequelize.query(
    `select s.* from snaps s where s.id in (select snap_id from book_due where program_id = :programId order by snap_id limit ${AT_ONCE})
     order by s.id for no key update of s`,
    { model: SnapRow, mapToModel: true, replacements: { programId }, transaction },
  );
  if (rows.length === 0) return;
  // Somebody else may have done them while this one waited.
  const left = await sequelize.query<{ id: number }>(
    'delete from book_due where snap_id = any(array[:ids]::int[]) returning snap_id as id',
    { type: QueryTypes.SELECT, replacements: { ids: rows.map((row) => row.id) }, transaction },
  );
  const isLeft = new Set(left.map((row) => row.id));
  await keepInBook(
    sequelize,
    rows.filter((row) => isLeft.has(row.id) && 'call' in (row.body as object)),
    transaction,
  );
}

/** Brings up to date what is due of every program. */
export async function bringUpBooks(): Promise<void> {
  const sequelize = await database();
  const due = await sequelize.query<{ programId: number }>('select distinct program_id as "programId" from book_due', {
    type: QueryTypes.SELECT,
  });
  for (const { programId } of due) await bringUpBook(sequelize, programId);
}

/** Brings the Book of every program up to date, and keeps the marks of seasons that are over where they are counted quickly. */
export async function tidyBooks(): Promise<void> {
  await bringUpBooks();
  await keepSeasons(await database());
}

/** The database, with a program's Book up to date. */
export async function upToDate(programId: number): Promise<Sequelize> {
  const sequelize = await database();
  await bringUpBook(sequelize, programId);
  return sequelize;
}

/** Notes that everything the Book says of a program's plays is to be counted anew, by another standard. */
export async function recountBook(programId: number, transaction: Transaction): Promise<void> {
  const sequelize = await database();
  await sequelize.query(
    'insert into book_due select id, program_id from snaps where program_id = :programId on conflict do nothing',
    { replacements: { programId }, transaction },
  );
}

/** Brings up to date what is due again and again, and to mind, so that hardly anybody who reads the Book waits for it; returns what ends it. */
export function keepBooksUp(every: number): () => void {
  let isAtIt = false;
  const looking = setInterval(() => {
    if (isAtIt || !isNowOpen()) return;
    isAtIt = true;
    // What is in the way now is told to whoever reads the Book.
    void tidyBooks()
      .then(async () => bringToMind(await database()))
      .catch(() => undefined)
      .finally(() => (isAtIt = false));
  }, every);
  looking.unref();
  return () => clearInterval(looking);
}
