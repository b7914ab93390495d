import { Op, QueryTypes } from 'sequelize';
import type { BookFilter, Dimension } from '#core/grade/book/dimensions';
import type { BookPage, BookSnaps } from '#core/grade/book/lines';
import type { Measure } from '#core/grade/book/measures';
import { upToDate } from '../book/keep';
import { conditionOf, readLines, readValues, TOLD, type Reach } from '../book/read';
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
    const players = (await PlayerRow.findAll({ where })).filter((p) => role !== 'player' || p.id === playerId);
    return new Map(players.map((p) => [String(p.id), p.erasedAt ? 'a man erased' : `${p.number} ${p.name}`]));
  }
  if (by === 'game') {
    const games = await GameRow.findAll({ where });
    return new Map(games.map((g) => [String(g.id), `Week ${g.week}, ${g.opponent}`]));
  }
  if (by === 'season') return new Map((await SeasonRow.findAll({ where })).map((s) => [String(s.id), s.name]));
  return new Map();
}

/** A grade by its rubric is a miss unless everything possible was earned. */
const ALL_EARNED = '(k.possible > 0 and k.earned = k.possible)';

/** The snaps behind a number, a page at a time: the misses first, then what could not be told, as that is what one opens a number for. */
export async function readSnapsBehind(
  member: Member,
  filter: BookFilter,
  measure: Measure,
  { skip, take }: { skip: number; take: number },
  onFilm = false,
): Promise<BookSnaps> {
  const db = await upToDate(member.programId);
  const { sql, values } = conditionOf(reachOf(member), filter);
  const column = TOLD[measure] ?? ALL_EARNED;
  const filmed = 'exists (select 1 from clips c where c.program_id = b.program_id and c.snap_id = b.snap_id)';
  const where = onFilm ? `${sql} and ${filmed}` : sql;
  const counting = db.query<{ total: number }>(`select count(*)::int as total from book_marks b where ${where}`, {
    type: QueryTypes.SELECT,
    replacements: values,
  });
  const finding = db.query<Found>(
    `select b.grade_id as "gradeId", b.snap_id as "snapId", b.number, b.game_id as "gameId", b.blocker, b.player_id as "playerId",
       b.scheme, b.side, b.front from book_marks b join book_kinds k on k.id = b.kind where ${where}
     order by case when ${column} is false then 0 when ${column} is null then 1 else 2 end, b.game_id desc, b.number, b.blocker
     limit :take offset :skip`,
    { type: QueryTypes.SELECT, replacements: { ...values, skip, take } },
  );
  const [[counted], found] = await Promise.all([counting, finding]);
  const { programId } = member;
  const [grades, games, players] = await Promise.all([
    GradeRow.findAll({ where: { programId, id: found.map((f) => f.gradeId) } }),
    GameRow.findAll({ where: { programId, id: [...new Set(found.map((f) => f.gameId))] } }),
    PlayerRow.findAll({ where: { programId, id: { [Op.in]: found.flatMap((f) => f.playerId ?? []) } } }),
  ]);
  return {
    total: counted!.total,
    snaps: found.map(({ gradeId, playerId, ...f }) => {
      const grade = grades.find((g) => g.id === gradeId)!;
      const game = games.find((g) => g.id === f.gameId)!;
      const man = players.find((p) => p.id === playerId);
      return {
        ...{ snapId: f.snapId, number: f.number, gameId: f.gameId, blocker: f.blocker },
        ...{ scheme: f.scheme, side: f.side, front: f.front, opponent: game.opponent, week: game.week },
        man: man ? `${man.number} ${man.name}` : f.blocker,
        asked: gradeAsked(grade),
        grade: gradeBody(grade),
      };
    }),
  };
}
interface Found {
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
