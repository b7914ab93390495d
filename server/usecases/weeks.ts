import { createError } from 'h3';
import { QueryTypes } from 'sequelize';
import type { BlockRecord } from '#core/model/block-record';
import type { RepMark } from '#core/model/script';
import { WEEK_PARTS, type SeenFront, type Week, type WeekBody, type WeekPart } from '#core/model/week';
import { upToDate } from '../book/keep';
import { database } from '../db/database';
import { GameRow, RepMarkRow, UserRow, WeekPartRow } from '../db/models';
import type { Member } from '../session/member';
import { none, ownGame } from './owned';
import { newestSeason } from './seasons';

/** The week before a game: what was decided about it, and what is known that bears on it. */
export async function readWeek(member: Member, gameId: number): Promise<Week> {
  await database();
  const { id, opponent, week, playedOn } = await ownGame(member, gameId);
  const parts = await WeekPartRow.findAll({ where: { programId: member.programId, gameId } });
  const people = await UserRow.findAll({ where: { id: parts.flatMap((p) => p.userId ?? []) } });
  const part = <P extends WeekPart>(which: P) => {
    const row = parts.find((p) => p.part === which);
    if (!row) return null;
    const by = people.find((u) => u.id === row.userId)?.name ?? '';
    return { revision: row.revision, by, body: WEEK_PARTS[which].parse(row.body) as WeekBody<P> };
  };
  return {
    game: { id, opponent, week, playedOn: playedOn ?? null },
    plan: part('plan'),
    practice: part('practice'),
    scripts: part('scripts'),
    marks: await readMarks(member, gameId),
    records: await readRecords(member),
    seen: await readSeen(member, gameId, opponent),
  };
}

const readMarks = async ({ programId }: Member, gameId: number): Promise<RepMark[]> =>
  (await RepMarkRow.findAll({ where: { programId, gameId }, order: [['id', 'ASC']] })).map(
    ({ script, rep, good, missed }) => ({ script, rep, good, missed }),
  );

/** Writes down what came of a rep; a later mark of the same rep takes its place, and `null` takes it back. */
export async function markRep(
  member: Member,
  gameId: number,
  { script, rep, mark }: { script: string; rep: number; mark: Pick<RepMark, 'good' | 'missed'> | null },
): Promise<RepMark[]> {
  const { programId, userId } = member;
  await database();
  await ownGame(member, gameId);
  if (mark === null) await RepMarkRow.destroy({ where: { programId, gameId, script, rep } });
  else
    await RepMarkRow.bulkCreate([{ programId, gameId, script, rep, ...mark, userId, markedAt: new Date() }], {
      conflictAttributes: ['gameId', 'script', 'rep'],
      updateOnDuplicate: ['good', 'missed', 'userId', 'markedAt'],
    });
  return readMarks(member, gameId);
}

/** Keeps a part of a week; 409 with who changed it when it is not the revision given that is there. */
export async function writeWeek<P extends WeekPart>(
  { programId, userId }: Member,
  gameId: number,
  part: P,
  { revision, body }: { revision: number; body: WeekBody<P> },
): Promise<{ revision: number }> {
  const sequelize = await database();
  return sequelize.transaction(async (transaction) => {
    const game = await GameRow.findOne({
      where: { id: gameId, programId, theirs: null },
      lock: transaction.LOCK.UPDATE,
      transaction,
    });
    if (!game) throw none('game');
    const row = await WeekPartRow.findOne({ where: { programId, gameId, part }, transaction });
    if ((row?.revision ?? 0) !== revision) {
      const who = row?.userId ? await UserRow.findByPk(row.userId, { transaction }) : null;
      throw createError({
        statusCode: 409,
        message: `${who?.name ?? 'Somebody else'} has changed this week meanwhile. Yours was not written.`,
        data: { revision: row?.revision ?? 0, by: who?.name ?? '' },
      });
    }
    const now = { userId, revision: revision + 1, body, changedAt: new Date() };
    if (row) await row.update(now, { transaction });
    else await WeekPartRow.create({ programId, gameId, part, ...now }, { transaction });
    return { revision: revision + 1 };
  });
}

/** What every man did at every block in the season that is played, with his faults at it. */
async function readRecords(member: Member): Promise<BlockRecord[]> {
  const db = await upToDate(member.programId);
  const season = await newestSeason(member);
  const replacements = { programId: member.programId, seasonId: season.id };
  const counted = await db.query<Omit<BlockRecord, 'faults'>>(
    `select player_id as "playerId", block, count(*) filter (where both_kept)::int as good, count(both_kept)::int as of
     from book_grades where program_id = :programId and season_id = :seasonId and player_id is not null group by 1, 2 order by 1, 2`,
    { type: QueryTypes.SELECT, replacements },
  );
  const faults = await db.query<{ playerId: number; block: string; fault: string; count: number }>(
    `select player_id as "playerId", block, f.fault, count(*)::int as count from book_grades cross join lateral unnest(faults) as f(fault)
     where program_id = :programId and season_id = :seasonId and player_id is not null and faults <> '{}'
     group by 1, 2, 3 order by count desc, fault`,
    { type: QueryTypes.SELECT, replacements },
  );
  const at = new Map<string, { fault: string; count: number }[]>();
  for (const { playerId, block, fault, count } of faults) {
    const key = `${playerId} ${block}`;
    at.set(key, [...(at.get(key) ?? []), { fault, count }]);
  }
  return counted.map((c) => ({ ...c, faults: at.get(`${c.playerId} ${c.block}`) ?? [] }));
}

/** What the opponent has shown in other games of the program, the most frequent first. */
async function readSeen({ programId }: Member, gameId: number, opponent: string): Promise<SeenFront[]> {
  const db = await database();
  return db.query<SeenFront>(
    `select s.body->'call'->>'front' as front, min(s.body->'call'->>'frontName') as "frontName", count(*)::int as snaps,
       array_agg(distinct g.week order by g.week) as weeks
     from snaps s join games g on g.id = s.game_id
     where s.program_id = :programId and g.program_id = :programId and g.opponent = :opponent and g.id <> :gameId
       and coalesce(s.body->'logged'->>'notCounted', '') = ''
     group by 1 order by snaps desc, front limit 24`,
    { type: QueryTypes.SELECT, replacements: { programId, gameId, opponent } },
  );
}
