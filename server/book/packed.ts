import { deflateRawSync, inflateRawSync } from 'node:zlib';
import { LRUCache } from 'lru-cache';
import { QueryTypes, type Sequelize, type Transaction } from 'sequelize';
import {
  BYTES_A_MARK,
  columnFor,
  columnOfRow,
  MARK_COLUMNS,
  NONE,
  rowOf,
  type Column,
  type MarkColumn,
  type SeasonMarks,
} from '#core/grade/book/mark-columns';
import { clamped } from './columns';

/** How each column is read off a mark (`b`). */
const READ: Readonly<Record<MarkColumn, string>> = {
  kind: 'b.kind',
  grade: 'b.grade_id',
  snap: 'b.snap_id',
  game: 'b.game_id',
  number: 'b.number',
  player: 'b.player_id',
  blocker: 'b.blocker',
  unit: 'b.unit',
  pair: 'b.pair',
  play: 'b.play',
  block: 'b.block',
  target: 'b.target',
  help: 'b.help',
  front: 'b.front',
  formation: 'b.formation',
  side: 'b.side',
  down: 'b.down',
  distance: 'b.distance',
  quarter: 'b.quarter',
  zone: 'b.zone',
  gained: 'b.gained',
  yard: `(select ${clamped('s.gain')} from book_snaps s where s.snap_id = b.snap_id)`,
};
const packed = (name: MarkColumn): string =>
  `string_agg(int4send(coalesce(${READ[name]}, '${NONE}'::int)), ''::bytea) as "${name}"`;
/** By what marks of a season are put in order; where it is not read, nobody asks for their order. */
const IN_ORDER: readonly MarkColumn[] = ['game', 'number', 'blocker'];
/** Marks of seasons packed, a row a season: numbers of four bytes, the first byte the highest. */
function packedMarks(names: readonly MarkColumn[], where: string): string {
  const order = IN_ORDER.every((name) => names.includes(name))
    ? 'order by season_id, game_id desc, number, blocker'
    : '';
  return `select season_id as season, ${names.map(packed).join(', ')}
    from (select * from book_marks where ${where} ${order}) b group by season_id`;
}

function unpacked(name: MarkColumn, bytes: Buffer): Column {
  const { buffer, byteOffset, length } = Buffer.from(bytes).swap32();
  return columnFor(name, new Int32Array(buffer.slice(byteOffset, byteOffset + length)));
}

/**
 * Columns are kept as they are counted from, in the order of this machine's bytes, and deflated: what comes again and again in them would take
 * the database most of the time of a page to send.
 */
function deflated(column: Column): Buffer {
  const { buffer, byteOffset, byteLength } = rowOf(column);
  return deflateRawSync(new Uint8Array(buffer, byteOffset, byteLength));
}
function inflated(bytes: Buffer): Column {
  const row = new Uint8Array(inflateRawSync(bytes, { chunkSize: A_COLUMN }));
  return columnOfRow(new Int32Array(row.buffer));
}
/** Room for a column of one season, bytes: most fit in one piece. */
const A_COLUMN = 65_536;

/** Columns of seasons that are over stay in mind, this many bytes of them: by the season's stamp and their names. */
const KEPT_IN_MIND = 128_000_000;
type Mind = LRUCache<string, Column>;
const minds = new WeakMap<Sequelize, Mind>();
function mindOf(db: Sequelize): Mind {
  const known = minds.get(db);
  if (known) return known;
  const sizeCalculation = ({ codes }: Column): number => codes.length * BYTES_A_MARK + 1;
  const mind: Mind = new LRUCache({ maxSize: KEPT_IN_MIND, sizeCalculation });
  minds.set(db, mind);
  return mind;
}
const inMind = (stamp: number, name: MarkColumn): string => `${stamp} ${name}`;

/** The columns of one season, by their names. */
type Columns = (name: MarkColumn) => Column;

/** Every mark of a program's seasons, of these only where some are asked for, with these columns at least. */
export async function readMarks(
  db: Sequelize,
  program: number,
  wanted: readonly number[] | null,
  names: readonly MarkColumn[],
): Promise<SeasonMarks[]> {
  const seasons = await db.query<{ season: number; stamp: number | null }>(
    `select s.id as season, c.stamp from seasons s left join book_counted c on c.season_id = s.id
     where s.program_id = :program ${wanted ? 'and s.id = any(array[:wanted]::int[])' : ''}`,
    { type: QueryTypes.SELECT, replacements: { program, wanted } },
  );
  const stamps = seasons.flatMap(({ stamp }) => stamp ?? []);
  const kept = await keptColumns(db, stamps, names);
  // Those that are played, and one that was changed meanwhile: it has no stamp any more.
  const others = seasons.filter(({ stamp }) => stamp === null || !kept.has(stamp)).map(({ season }) => season);
  const own = others.length ? await ownColumns(db, program, others, names) : new Map<number, Columns>();
  return seasons.flatMap(({ season, stamp }) => {
    const column = (stamp === null ? undefined : kept.get(stamp)) ?? own.get(season);
    return column ? [{ season, size: column('kind').codes.length, column }] : [];
  });
}

/** The columns of seasons that are over, by their stamps, of those that have all of them. */
async function keptColumns(
  db: Sequelize,
  stamps: readonly number[],
  names: readonly MarkColumn[],
): Promise<Map<number, Columns>> {
  const mind = mindOf(db);
  const columns = new Map<string, Column>();
  const isMissing = (stamp: number, name: MarkColumn): boolean => !columns.has(inMind(stamp, name));
  for (const stamp of stamps)
    for (const name of names) {
      const known = mind.get(inMind(stamp, name));
      if (known) columns.set(inMind(stamp, name), known);
    }
  const unknown = names.filter((name) => stamps.some((stamp) => isMissing(stamp, name)));
  const rows = unknown.length ? await readKept(db, stamps, unknown) : [];
  for (const { stamp, name, bytes } of rows.filter((row) => isMissing(row.stamp, row.name))) {
    const column = inflated(bytes);
    columns.set(inMind(stamp, name), column);
    mind.set(inMind(stamp, name), column);
  }
  const whole = stamps.filter((stamp) => !names.some((name) => isMissing(stamp, name)));
  return new Map(whole.map((stamp) => [stamp, (name: MarkColumn) => columns.get(inMind(stamp, name))!]));
}

/** As much of it is filled before anybody has asked. */
const AHEAD_IN_MIND = KEPT_IN_MIND / 2;

/** Brings what is kept of seasons to mind while there is room, the newest first: the first page after a start finds it there. */
export async function bringToMind(db: Sequelize): Promise<void> {
  const mind = mindOf(db);
  const seasons = await db.query<{ stamp: number }>('select stamp from book_counted order by season_id desc', {
    type: QueryTypes.SELECT,
  });
  for (const { stamp } of seasons) {
    if (mind.calculatedSize >= AHEAD_IN_MIND) return;
    const isThere = MARK_COLUMNS.every((name) => mind.has(inMind(stamp, name)));
    if (!isThere) await keptColumns(db, [stamp], MARK_COLUMNS);
  }
}

interface KeptRow {
  readonly stamp: number;
  readonly name: MarkColumn;
  readonly bytes: Buffer;
}
const readKept = (db: Sequelize, stamps: readonly number[], names: readonly MarkColumn[]): Promise<KeptRow[]> =>
  db.query<KeptRow>(
    `select c.stamp, k.name, k.packed as bytes from book_counted c join book_columns k using (season_id)
     where c.stamp in (:stamps) and k.name in (:names)`,
    { type: QueryTypes.SELECT, replacements: { stamps, names } },
  );

/** The columns of other seasons, read off their marks; nothing of a season without any. */
async function ownColumns(
  db: Sequelize,
  program: number,
  seasons: readonly number[],
  names: readonly MarkColumn[],
): Promise<Map<number, Columns>> {
  const rows = await db.query<{ season: number } & Record<MarkColumn, Buffer>>(
    packedMarks(names, 'program_id = :program and season_id in (:seasons)'),
    { type: QueryTypes.SELECT, replacements: { program, seasons } },
  );
  return new Map(
    rows.map(({ season, ...bytes }) => {
      const columns = new Map(names.map((name) => [name, unpacked(name, bytes[name])]));
      return [season, (name: MarkColumn) => columns.get(name)!];
    }),
  );
}

/** Keeps one season, a row a column; a season without any mark has columns without any number. */
async function keepSeason(db: Sequelize, program: number, season: number, transaction: Transaction): Promise<void> {
  const replacements = { program, season };
  const [marks] = await db.query<Record<MarkColumn, Buffer>>(
    packedMarks(MARK_COLUMNS, 'program_id = :program and season_id = :season'),
    { type: QueryTypes.SELECT, replacements, transaction },
  );
  const rows = MARK_COLUMNS.map((name) => ({
    ...{ season_id: season, program_id: program, name },
    packed: deflated(unpacked(name, marks?.[name] ?? Buffer.alloc(0))),
  }));
  await db.query('insert into book_counted (season_id, program_id) values (:season, :program)', {
    replacements,
    transaction,
  });
  await db.getQueryInterface().bulkInsert('book_columns', rows, { transaction });
}

/** Keeps the marks of seasons that are over: of every program all but its newest. */
export async function keepSeasons(db: Sequelize): Promise<void> {
  const over = await db.query<{ season: number; program: number }>(
    `select s.id as season, s.program_id as program from seasons s where s.id < (select max(id) from seasons n where n.program_id = s.program_id)
     and not exists (select 1 from book_counted c where c.season_id = s.id)`,
    { type: QueryTypes.SELECT },
  );
  for (const { season, program } of over)
    await db.transaction(async (transaction) => {
      // Nothing is marked in between, and whoever takes the program or the season away waits at its door.
      await db.query(
        `select 1 from programs where id = :program for key share; select 1 from seasons where id = :season for key share;
         lock table book_marks in share row exclusive mode`,
        { replacements: { program, season }, transaction },
      );
      const [isThere] = await db.query('select 1 from book_counted where season_id = :season', {
        type: QueryTypes.SELECT,
        replacements: { season },
        transaction,
      });
      if (!isThere) await keepSeason(db, program, season, transaction);
    });
}
