import { LRUCache } from 'lru-cache';
import { QueryTypes, type Sequelize } from 'sequelize';
import { columnsFor, countBy, type Asked, type MarksAsked } from '#core/grade/book/count-marks';
import type { BookFilter, Dimension } from '#core/grade/book/dimensions';
import type { BookLine } from '#core/grade/book/lines';
import type { MarkColumn, Names, SeasonMarks } from '#core/grade/book/mark-columns';
import type { Said } from '#core/grade/book/said';
import { linesOf, valuesOf, type Kinds } from '#core/grade/book/sum-lines';
import { BookKindRow } from '../db/models';
import { readMarks } from './packed';
import { wordsOf } from './words';

/** Who may see what: everything of a program, or one player's marks of published games. */
export interface Reach {
  readonly program: number;
  readonly player: number | null;
}

/** Opens the Book to count what is asked of it by these dimensions; nothing of another program is in it. */
export async function openBook(
  db: Sequelize,
  { program, player }: Reach,
  filter: BookFilter,
  by: readonly Dimension[],
  more: readonly MarkColumn[] = [],
): Promise<MarksAsked> {
  const only = player === null ? null : { player, games: await publishedGames(db, program) };
  const asked: Asked = { filter, only };
  const columns = [...new Set([...columnsFor(asked, by), ...more])];
  const seasons = await readMarks(db, program, filter.season?.map(idOf) ?? null, columns);
  return { seasons, asked, names: await namesOf(db, program, columns), kinds: await kindsOf(db, seasons) };
}

/** An id that is nobody's. */
const NOBODY = 0;
const idOf = (word: string): number => (/^\d{1,9}$/.test(word) ? Number(word) : NOBODY);

async function publishedGames(db: Sequelize, program: number): Promise<Set<number>> {
  const rows = await db.query<{ id: number }>('select id from games where program_id = :program and published', {
    type: QueryTypes.SELECT,
    replacements: { program },
  });
  return new Set(rows.map(({ id }) => id));
}

/** What the numbers in these columns are called. */
async function namesOf(db: Sequelize, program: number, columns: readonly MarkColumn[]): Promise<Names> {
  const words = await wordsOf(db, program);
  const games = columns.includes('game')
    ? await db.query<{ id: number; opponent: string }>('select id, opponent from games where program_id = :program', {
        type: QueryTypes.SELECT,
        replacements: { program },
      })
    : [];
  const opponents = new Map(games.map(({ id, opponent }) => [id, opponent]));
  return { word: (number) => words.get(number) ?? null, opponent: (game) => opponents.get(game) ?? null };
}

/** Kinds that have been met stay in mind, so many of them: what marks of a kind say never changes. */
const KINDS_IN_MIND = 50_000;
const minds = new WeakMap<Sequelize, LRUCache<number, Said>>();

/** What the marks of every kind say that comes. */
async function kindsOf(db: Sequelize, seasons: readonly SeasonMarks[]): Promise<Kinds> {
  const mind = minds.get(db) ?? new LRUCache<number, Said>({ max: KINDS_IN_MIND });
  minds.set(db, mind);
  const kinds = new Map<number, Said>();
  const unknown: number[] = [];
  for (const id of new Set(seasons.flatMap((marks) => [...marks.column('kind').values]))) {
    const said = mind.get(id);
    if (said) kinds.set(id, said);
    else unknown.push(id);
  }
  for (const row of unknown.length ? await BookKindRow.findAll({ where: { id: unknown } }) : []) {
    const said = row.get() as Said;
    kinds.set(row.id, said);
    mind.set(row.id, said);
  }
  return kinds;
}

/** Grades by one dimension, the most marks first, and everything together. */
export async function readLines(
  db: Sequelize,
  reach: Reach,
  filter: BookFilter,
  by: Dimension,
): Promise<{ lines: BookLine[]; total: BookLine }> {
  const open = await openBook(db, reach, filter, [by]);
  return linesOf(countBy(open, by), open.kinds, by);
}

/** The values of a dimension that come, with how many marks stand under each, the most first. */
export async function readValues(
  db: Sequelize,
  reach: Reach,
  filter: BookFilter,
  by: Dimension,
): Promise<{ key: string; marks: number }[]> {
  const open = await openBook(db, reach, filter, [by]);
  return valuesOf(countBy(open, by), open.kinds, by).slice(0, MOST_VALUES);
}
const MOST_VALUES = 200;
