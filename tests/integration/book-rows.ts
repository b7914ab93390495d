import { QueryTypes, type Sequelize } from 'sequelize';
import { WORDS } from '../../server/book/words';
import { BookKindRow, BookMarkRow, BookSnapRow } from '../../server/db/models';

/** A mark of the Book with what its kind says, in words. */
export interface BookRow {
  gradeId: number;
  gameId: number;
  seasonId: number;
  playerId: number | null;
  blocker: string;
  scheme: string;
  side: string;
  earned: number;
  possible: number;
  phasesDone: string[];
  phasesNot: string[];
  [column: string]: unknown;
}

export async function bookRows(programId: number): Promise<BookRow[]> {
  const kinds = new Map((await BookKindRow.findAll({ where: { programId } })).map((k) => [k.id, k.get() as object]));
  const marks = await BookMarkRow.findAll({ where: { programId }, order: [['gradeId', 'ASC']] });
  const wordAt = await wordsOf(programId);
  return marks.map((mark) => {
    const { kind, play, ...whose } = mark.get() as BookRow & { kind: number; play: number };
    const { id: _id, ...says } = kinds.get(kind) as { id: number };
    const said = WORDS.map((word) => [word, whose[word] === null ? null : wordAt.get(Number(whose[word]))!]);
    return { ...whose, ...Object.fromEntries(said), play: wordAt.get(play), ...says };
  });
}

async function wordsOf(programId: number): Promise<Map<number, string>> {
  const rows = await BookMarkRow.sequelize!.query<{ id: number; word: string }>(
    'select id, word from book_words where program_id = :programId',
    { type: QueryTypes.SELECT, replacements: { programId } },
  );
  return new Map(rows.map(({ id, word }) => [id, word]));
}

/** Everything the Book keeps of a program, to be compared. */
export async function wholeBook(programId: number): Promise<string[]> {
  const snaps = await BookSnapRow.findAll({ where: { programId }, order: [['snapId', 'ASC']] });
  return [...(await bookRows(programId)), ...snaps.map((s) => s.get() as object)].map((row) => JSON.stringify(row));
}

/** Takes a program's Book away, all of it due. */
export async function forgetBook(db: Sequelize, programId: number): Promise<void> {
  await BookMarkRow.destroy({ where: { programId } });
  await BookSnapRow.destroy({ where: { programId } });
  await BookKindRow.destroy({ where: { programId } });
  await db.query(
    'delete from book_words where program_id = :programId; insert into book_due select id, program_id from snaps where program_id = :programId on conflict do nothing',
    {
      replacements: { programId },
    },
  );
}

/** Snaps of a program the Book has due. */
export async function dueOf(db: Sequelize, programId: number): Promise<number[]> {
  const rows = await db.query<{ id: number }>(
    'select snap_id as id from book_due where program_id = :programId order by snap_id',
    { type: QueryTypes.SELECT, replacements: { programId } },
  );
  return rows.map((row) => row.id);
}
