import { Op } from 'sequelize';
import type { BookFilter, Dimension } from '#core/grade/book/dimensions';
import type { BookPage, BookSnaps } from '#core/grade/book/lines';
import type { Measure } from '#core/grade/book/measures';
import { upToDate } from '../book/keep';
import { readLines, readValues, type Reach } from '../book/read';
import { readMarksBehind } from '../book/read-behind';
import { gradeAsked, gradeBody } from '../db/mappers';
import { GameRow, GradeRow, PlayerRow, SeasonRow } from '../db/models';
import type { Member } from '../session/member';

/** A player reaches his own marks of published games; nobody's when he is nobody on the roster. */
const reachOf = ({ programId, role, playerId }: Member): Reach => ({
  program: programId,
  player: role === 'player' ? (playerId ?? 0) : null,
});

/** Grades counted one way. */
export async function readBook(member: Member, by: Dimension, filter: BookFilter): Promise<BookPage> {
  const db = await upToDate(member.programId);
  const { lines, total } = await readLines(db, reachOf(member), filter, by);
  const shown = lines.slice(0, MOST_LINES);
  return {
    ...{ by, filter, total, more: lines.length - shown.length },
    lines: await labelled(member, by, shown),
    names: await namesIn(member, filter),
  };
}
const MOST_LINES = 300;

/** Lines of what is only an id say its name as well. */
export async function labelled<T extends { key: string; label: string }>(
  member: Member,
  by: Dimension,
  lines: T[],
): Promise<T[]> {
  const names = await namesOf(
    member,
    by,
    lines.map((l) => l.key),
  );
  return lines.map((line) => ({ ...line, label: names.get(line.key) ?? line.label }));
}

/** What the values of a filter are called that are only ids: "man 7" is "61 Anselm Rook". */
async function namesIn(member: Member, filter: BookFilter): Promise<Record<string, string>> {
  const found: Record<string, string> = {};
  for (const by of NAMED)
    for (const [key, name] of await namesOf(member, by, filter[by] ?? [])) found[`${by} ${key}`] = name;
  return found;
}
const NAMED = ['man', 'game', 'season'] as const;

/** Names by id; a player is told nobody's but his own. */
async function namesOf(
  { programId, role, playerId }: Member,
  by: Dimension,
  keys: readonly string[],
): Promise<Map<string, string>> {
  const where = { programId, id: keys.filter((k) => /^\d{1,9}$/.test(k)).map(Number) };
  if (where.id.length === 0) return new Map();
  if (by === 'man') {
    const players = (await PlayerRow.findAll({ where, raw: true })).filter(
      (p) => role !== 'player' || p.id === playerId,
    );
    return new Map(players.map((p) => [String(p.id), p.erasedAt ? 'a man erased' : `${p.number} ${p.name}`]));
  }
  if (by === 'game') {
    const games = await GameRow.findAll({ where, raw: true });
    return new Map(games.map((g) => [String(g.id), `Week ${g.week}, ${g.opponent}`]));
  }
  if (by === 'season') return new Map((await SeasonRow.findAll({ where })).map((s) => [String(s.id), s.name]));
  return new Map();
}

/** The snaps behind a number, a page at a time: the misses first, then what could not be told, as that is what one opens a number for. */
export async function readSnapsBehind(
  member: Member,
  filter: BookFilter,
  measure: Measure,
  { skip, take }: { skip: number; take: number },
  onFilm = false,
): Promise<BookSnaps> {
  const db = await upToDate(member.programId);
  const { marks: found, total } = await readMarksBehind(db, reachOf(member), filter, measure, { skip, take }, onFilm);
  const { programId } = member;
  const [grades, games, players] = await Promise.all([
    GradeRow.findAll({ where: { programId, id: found.map((f) => f.gradeId) } }),
    GameRow.findAll({ where: { programId, id: [...new Set(found.map((f) => f.gameId))] } }),
    PlayerRow.findAll({ where: { programId, id: { [Op.in]: found.flatMap((f) => f.playerId ?? []) } } }),
  ]);
  return {
    total,
    snaps: found.flatMap(({ gradeId, playerId, ...f }) => {
      const grade = grades.find((g) => g.id === gradeId);
      const game = games.find((g) => g.id === f.gameId);
      // Taken back since it was counted.
      if (!grade || !game) return [];
      const man = players.find((p) => p.id === playerId);
      const shown = {
        ...{ snapId: f.snapId, number: f.number, gameId: f.gameId, blocker: f.blocker },
        ...{ scheme: f.scheme, side: f.side, front: f.front, opponent: game.opponent, week: game.week },
        man: man ? `${man.number} ${man.name}` : f.blocker,
        asked: gradeAsked(grade),
        grade: gradeBody(grade),
      };
      return [shown];
    }),
  };
}
/** A value of each dimension that filters can be set to, as the Book has it now. */
export type BookChoices = Partial<Record<Dimension, { key: string; label: string; marks: number }[]>>;

/** What a filter can be set to: the values that really come, with how often, of the dimensions asked for. */
export async function readChoices(
  member: Member,
  dimensions: readonly Dimension[],
  filter: BookFilter,
): Promise<BookChoices> {
  const db = await upToDate(member.programId);
  const choices: BookChoices = {};
  for (const by of dimensions) {
    const others: BookFilter = { ...filter };
    delete others[by];
    const rows = await readValues(db, reachOf(member), others, by);
    choices[by] = await labelled(
      member,
      by,
      rows.map((row) => ({ ...row, label: row.key })),
    );
  }
  return choices;
}
