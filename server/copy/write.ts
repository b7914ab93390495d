import archiver from 'archiver';
import { Readable } from 'node:stream';
import { QueryTypes, type Sequelize, type Transaction } from 'sequelize';
import { Transaction as Isolation } from 'sequelize';
import { readTree } from '#core/language/read';
import type { FilmStorage } from '../storage/storage';
import { MIGRATIONS } from '../db/migrations';
import { filesOf } from './film-files';
import { COPIED, FORMAT, type CopiedPerson, type CopyHead, type Row } from './tables';

export const NEWEST_MIGRATION = MIGRATIONS.at(-1)!.name;

const README = `This is a copy of a program of Violet Chalk: open files that other programs can read.

program.json      what it is, when it was made, and what the program does its own way
people.json       who is named in it; nobody's password
tables/*.jsonl    one row a line, columns as in the database; numbers hold inside this copy only
playbook/         the texts in force, as they are written
film/             film as it lay in the storage, where it was wanted

It holds records about people. Keep it where only you can read it, and delete it when it is not needed any more.
`;

/** Everything of a program as it is at one moment. */
async function readProgram(db: Sequelize, programId: number, film: boolean, transaction: Transaction) {
  const select = <T extends object>(sql: string): Promise<T[]> =>
    db.query<T>(sql, { type: QueryTypes.SELECT, replacements: { programId }, transaction });
  const [program] = await select<{ name: string; body: unknown }>(
    'select name, body from programs where id = :programId',
  );
  const tables = new Map<string, Row[]>();
  for (const { name, unnumbered, withFilm } of COPIED) {
    const order = unnumbered ? 'player_id, day' : 'id';
    const rows =
      withFilm && !film
        ? []
        : await select<Row>(`select * from ${name} where program_id = :programId order by ${order}`);
    tables.set(name, rows);
  }
  const people = await select<CopiedPerson>(
    `select id, name, email from users u where exists (select 1 from memberships m where m.user_id = u.id and m.program_id = :programId)
       or u.id in (${COPIED.flatMap(({ name, refs }) =>
         Object.entries(refs)
           .filter(([, of]) => of === 'users')
           .map(([column]) => `select ${column} from ${name} where program_id = :programId and ${column} is not null`),
       ).join(' union ')}) order by id`,
  );
  return { name: program!.name, body: program!.body, tables, people };
}

/**
 * A program as one file of open files, as it is at this moment: what is changed while it is written is not in it. `film`: with its film.
 * Nothing of another program is read.
 */
export async function writeCopy(
  db: Sequelize,
  programId: number,
  { film, storage }: { film: boolean; storage: FilmStorage },
): Promise<Readable> {
  const { name, body, tables, people } = await db.transaction(
    { isolationLevel: Isolation.ISOLATION_LEVELS.REPEATABLE_READ },
    (transaction) => readProgram(db, programId, film, transaction),
  );
  const head: CopyHead = {
    ...{ format: FORMAT, version: 1, migration: NEWEST_MIGRATION, name, film, body },
    made: new Date().toISOString(),
  };
  const zip = archiver('zip', { zlib: { level: 6 } });
  zip.append(README, { name: 'README.txt' });
  zip.append(JSON.stringify(head, null, 2), { name: 'program.json' });
  zip.append(JSON.stringify(people, null, 2), { name: 'people.json' });
  for (const [table, rows] of tables) zip.append(Readable.from(linesOf(rows)), { name: `tables/${table}.jsonl` });
  for (const { shelf, slug, text } of textsInForce(tables)) zip.append(text, { name: `playbook/${shelf}/${slug}` });
  if (film)
    for (const key of filesOf(tables.get('clips')!, tables.get('films')!))
      if (await storage.has(key)) zip.file(await storage.localFile(key), { name: `film/${key}`, store: true } as never);
  // Whoever reads it is told of a failure by the stream itself.
  zip.finalize().catch((problem: Error) => zip.destroy(problem));
  return zip;
}

/** Rows as lines of JSON, one after the other: all of them together may be longer than a text can be. */
function* linesOf(rows: readonly Row[]): Generator<string> {
  for (const row of rows) yield `${JSON.stringify(row)}\n`;
}

/** The newest released text of every document, with the ending of its kind. */
function textsInForce(tables: ReadonlyMap<string, readonly Row[]>): { shelf: string; slug: string; text: string }[] {
  const versions = tables.get('document_versions')!.filter((v) => v.draft === false);
  return tables.get('documents')!.flatMap((d) => {
    const newest = versions
      .filter((v) => v.document_id === d.id)
      .sort((a, b) => Number(b.number) - Number(a.number))[0];
    if (!newest || d.retired === true) return [];
    const text = String(newest.text);
    const ending = readTree(text).tree ? 'chalk' : 'json';
    return [{ shelf: String(d.shelf), slug: `${String(d.slug)}.${ending}`, text }];
  });
}
