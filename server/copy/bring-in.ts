import { randomUUID } from 'node:crypto';
import { DatabaseError, QueryTypes, type Sequelize, type Transaction } from 'sequelize';
import { LineupSchema } from '#core/film/log/lineup';
import { PracticeWeekSchema, withMen } from '#core/model/practice';
import { ProgramBodySchema } from '#core/model/program';
import { ProgramRow, UserRow } from '../db/models';
import { hashPassword } from '../session/passwords';
import type { FilmStorage } from '../storage/storage';
import { looseKey, movedKeys, withMoved } from './film-files';
import { COPIED, type CopiedTable, type Row } from './tables';
import { refuseCopy, type Unpacked } from './unpack';
import { NEWEST_MIGRATION } from './write';

/** What has been given new numbers so far, by table and old number. */
type Numbers = Map<string, Map<number, number>>;

/** The columns of every table, by name, with whether they hold JSON. */
type Columns = ReadonlyMap<string, ReadonlyMap<string, string>>;

/**
 * Writes a copy into an empty program, all or nothing: everything gets new numbers, people are named and invited anew, film comes with it where
 * it is in the copy. `userId` is who brings it in. Returns how many rows came in, by table.
 */
export async function bringIn(
  db: Sequelize,
  { programId, userId }: { programId: number; userId: number },
  copy: Unpacked,
  storage: FilmStorage,
): Promise<Record<string, number>> {
  if (copy.head.migration > NEWEST_MIGRATION)
    refuseCopy('This copy is from a newer version of Violet Chalk: bring this one up to date first');
  const body = ProgramBodySchema.safeParse(copy.head.body ?? {});
  if (!body.success) refuseCopy(`program.json, body: ${body.error.issues[0]!.message}`);
  const adopted: string[] = [];
  try {
    return await db.transaction(async (transaction) => {
      await ProgramRow.findByPk(programId, { lock: transaction.LOCK.UPDATE, transaction });
      await refuseFilled(db, programId, transaction);
      const numbers: Numbers = new Map([['users', await peopleOf(copy, userId, transaction)]]);
      const columns = await columnsOf(db, transaction);
      const counts: Record<string, number> = {};
      const files = new Map<string, string>();
      for (const table of COPIED) {
        const rows = copy.tables.get(table.name) ?? [];
        const numbered: Row[] = [];
        for (const [i, row] of rows.entries())
          numbered.push(
            await writeRow(
              db,
              { table, row, line: i + 1, programId, numbers, columns, files, film: copy.film },
              transaction,
            ),
          );
        counts[table.name] = numbered.length;
        if (table.name === 'films')
          rows.forEach((row, i) => movedKeys(row, numbered[i]!).forEach((to, from) => files.set(from, to)));
      }
      await ProgramRow.update({ body: { ...body.data } }, { where: { id: programId }, transaction });
      await settleFilms(copy, numbers, files, transaction, db);
      for (const [key, file] of copy.film) {
        const to = files.get(key);
        if (!to) continue;
        await storage.adopt(file, to);
        adopted.push(to);
      }
      return counts;
    });
  } catch (problem) {
    for (const key of adopted) await storage.remove(key);
    if (problem instanceof DatabaseError) refuseCopy(`A row of it does not fit: ${problem.message}`);
    throw problem;
  }
}

async function refuseFilled(db: Sequelize, programId: number, transaction: Transaction): Promise<void> {
  for (const table of ['players', 'games', 'documents', 'films']) {
    const [found] = await db.query(`select 1 from ${table} where program_id = :programId limit 1`, {
      type: QueryTypes.SELECT,
      replacements: { programId },
      transaction,
    });
    if (found)
      refuseCopy('A copy goes into an empty program only, and this one has something in it already: make another one');
  }
  await db.query('delete from seasons where program_id = :programId', { replacements: { programId }, transaction });
}

/** People of a copy as users here: whoever brings it in is himself, everybody else is a name with what he did, who cannot log in. */
async function peopleOf({ people }: Unpacked, userId: number, transaction: Transaction): Promise<Map<number, number>> {
  const own = (await UserRow.findByPk(userId, { transaction }))!;
  const passwordHash = await hashPassword(randomUUID());
  const found = new Map<number, number>([[0, 0]]);
  for (const { id, name, email } of people) {
    if (email === own.email) found.set(id, own.id);
    else {
      const former = { name, email: `${randomUUID()}@from-a-copy.invalid`, passwordHash };
      found.set(id, (await UserRow.create(former, { transaction })).id);
    }
  }
  return found;
}

async function columnsOf(db: Sequelize, transaction: Transaction): Promise<Columns> {
  const rows = await db.query<{ table: string; column: string; type: string }>(
    `select table_name as "table", column_name as "column", data_type as type from information_schema.columns where table_schema = 'public'`,
    { type: QueryTypes.SELECT, transaction },
  );
  const found = new Map<string, Map<string, string>>();
  for (const { table, column, type } of rows) found.set(table, (found.get(table) ?? new Map()).set(column, type));
  return found;
}

interface Writing {
  readonly table: CopiedTable;
  readonly row: Row;
  readonly line: number;
  readonly programId: number;
  readonly numbers: Numbers;
  readonly columns: Columns;
  readonly files: Map<string, string>;
  readonly film: ReadonlyMap<string, string>;
}

/** Writes one row under a new number, and returns it as it is now. */
async function writeRow(db: Sequelize, writing: Writing, transaction: Transaction): Promise<Row> {
  const { table, row, line, programId, numbers, columns, files, film } = writing;
  const where = `tables/${table.name}.jsonl, line ${line}`;
  const known = columns.get(table.name)!;
  const now: Record<string, unknown> = {};
  for (const [column, value] of Object.entries(row)) {
    if (!known.has(column)) refuseCopy(`${where}: there is no column "${column}"`);
    if (column === 'id') continue;
    const of = table.refs[column];
    now[column] = of && value !== null ? numberOf(numbers, of, value, `${where}: ${column}`) : value;
  }
  now.program_id = programId;
  if (table.name === 'games') now.lineup = renumbered(row.lineup, numbers);
  if (table.name === 'week_parts' && row.part === 'practice') now.body = menRenumbered(row.body, numbers);
  if (table.name === 'clips') now.file = fileOf(String(row.file ?? ''), { files, programId, film });
  if (table.name === 'films') {
    now.upload = `p${programId}-copy-${randomUUID()}`;
    // What was on its way when the copy was made has not come with it.
    if (row.state === 'waiting' || row.state === 'working') now.state = 'cancelled';
  }
  const names = Object.keys(now);
  const values = names.map((n) => (known.get(n) === 'jsonb' && now[n] !== null ? JSON.stringify(now[n]) : now[n]));
  const [written] = await db.query<{ id?: number }>(
    `insert into ${table.name} (${names.join(', ')}) values (${names.map((_, i) => `$${i + 1}`).join(', ')}) returning *`,
    { type: QueryTypes.SELECT, bind: values, transaction },
  );
  if (row.id !== undefined) {
    const own = numbers.get(table.name) ?? new Map<number, number>();
    numbers.set(table.name, own.set(row.id, written!.id!));
  }
  return { ...now, ...(written!.id === undefined ? {} : { id: written!.id }) };
}

function numberOf(numbers: Numbers, of: string, value: unknown, where: string): number | null {
  const found = numbers.get(of)?.get(Number(value));
  if (found !== undefined) return found;
  // A clip whose film stayed behind is a clip without a picture.
  if (of === 'films' && !numbers.has('films')) return null;
  return refuseCopy(`${where} names ${of} ${String(value)}, which is not in this copy`);
}

/** Men of a line-up under their new numbers; changes of men who are not there are left out. */
function renumbered(lineup: unknown, numbers: Numbers): unknown {
  if (lineup === null || Object.keys(lineup ?? {}).length === 0) return {};
  const { seats, jerseys } = LineupSchema.parse(lineup);
  const players = numbers.get('players') ?? new Map<number, number>();
  const is = (id: number): number | undefined => players.get(id);
  return {
    seats: seats.map((c) => ({ ...c, playerId: c.playerId === null ? null : (is(c.playerId) ?? null) })),
    jerseys: jerseys.flatMap((c) => (is(c.playerId) === undefined ? [] : [{ ...c, playerId: is(c.playerId)! }])),
  };
}

/** Men of a week's practice under their new numbers; whoever is not there is left out. */
function menRenumbered(body: unknown, numbers: Numbers): unknown {
  const players = numbers.get('players') ?? new Map<number, number>();
  return withMen(PracticeWeekSchema.parse(body), (id) => players.get(id) ?? null);
}

/** Where a clip's file lies from now on; empty when it did not come. */
function fileOf(key: string, { files, programId, film }: Pick<Writing, 'files' | 'programId' | 'film'>): string {
  if (!film.has(key)) return '';
  const to = files.get(key) ?? looseKey(programId, key);
  files.set(key, to);
  return to;
}

/** Films name their files where they lie now, and recordings they were cut out of by their new numbers. */
async function settleFilms(
  copy: Unpacked,
  numbers: Numbers,
  files: ReadonlyMap<string, string>,
  transaction: Transaction,
  db: Sequelize,
): Promise<void> {
  for (const film of copy.tables.get('films') ?? []) {
    const body = withMoved(film.body, new Map([...files].filter(([from]) => copy.film.has(from)))) as {
      cutOut: { film: number } | null;
    };
    const recording = body.cutOut && numbers.get('films')?.get(body.cutOut.film);
    const settled = { ...body, cutOut: recording ? { ...body.cutOut, film: recording } : null };
    await db.query('update films set body = $1 where id = $2', {
      bind: [JSON.stringify(settled), numbers.get('films')!.get(film.id!)],
      transaction,
    });
  }
}
