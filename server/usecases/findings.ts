import { createError } from 'h3';
import { QueryTypes } from 'sequelize';
import { habitsOf, HitSchema, type Habit } from '#core/grade/free/habits';
import { NOTHING_FOUND, type Finding, type RuleQuestion } from '#core/model/finding';
import { PROGRAM_SHEET } from '#core/model/grade';
import { upToDate } from '../book/keep';
import { wordOf } from '../book/words';
import { database } from '../db/database';
import { findingBody, snapBody } from '../db/mappers';
import { FindingRow, GameRow, SnapRow } from '../db/models';
import type { Member } from '../session/member';
import { ownSnap } from './owned';

export interface FindingView {
  readonly revision: number;
  readonly finding: Finding;
}

/** What was found out about a snap beside its marks. */
export async function readFinding(member: Member, snapId: number): Promise<FindingView> {
  await ownSnap(member, snapId);
  const row = await FindingRow.findOne({ where: { programId: member.programId, snapId } });
  return row ? { revision: row.revision, finding: findingBody(row) } : { revision: 0, finding: NOTHING_FOUND };
}

/** Keeps what was found out; 409 when somebody else has changed it since the revision given. */
export async function writeFinding(
  { programId, userId, ...member }: Member,
  snapId: number,
  { revision, finding }: FindingView,
): Promise<{ revision: number }> {
  await ownSnap({ programId, userId, ...member }, snapId);
  const sequelize = await database();
  return sequelize.transaction(async (transaction) => {
    await SnapRow.findOne({ where: { id: snapId, programId }, lock: transaction.LOCK.UPDATE, transaction });
    const row = await FindingRow.findOne({ where: { programId, snapId }, transaction });
    if ((row?.revision ?? 0) !== revision)
      throw createError({
        statusCode: 409,
        message:
          'Somebody else has written down what happened on this snap meanwhile. Open it again; yours was not written.',
      });
    const now = { userId, revision: revision + 1, body: finding, changedAt: new Date() };
    if (row) await row.update(now, { transaction });
    else await FindingRow.create({ programId, snapId, ...now }, { transaction });
    return { revision: revision + 1 };
  });
}

export interface AskedRule extends RuleQuestion {
  readonly snapId: number;
  readonly number: number;
  readonly week: number;
  readonly opponent: string;
  readonly scheme: string;
  readonly side: string;
  readonly formation: string;
  /** The front it came up against, in notation. */
  readonly front: string;
  readonly frontName: string;
}

/** Every question about a rule, the newest first, with the front it came up against. */
export async function listRuleQuestions({ programId }: Member): Promise<AskedRule[]> {
  const sequelize = await database();
  const found = await sequelize.query<{ snapId: number }>(
    `select snap_id as "snapId" from snap_findings where program_id = :programId and jsonb_array_length(body->'questions') > 0 order by changed_at desc limit 200`,
    { type: QueryTypes.SELECT, replacements: { programId } },
  );
  const ids = found.map((f) => f.snapId);
  const [rows, snaps] = await Promise.all([
    FindingRow.findAll({ where: { programId, snapId: ids } }),
    SnapRow.findAll({ where: { programId, id: ids } }),
  ]);
  const games = await GameRow.findAll({ where: { programId, id: [...new Set(snaps.map((s) => s.gameId))] } });
  return ids.flatMap((snapId) => {
    const snap = snaps.find((s) => s.id === snapId)!;
    const game = games.find((g) => g.id === snap.gameId)!;
    const { call } = snapBody(snap);
    return findingBody(rows.find((r) => r.snapId === snapId)!).questions.map((question) => ({
      ...question,
      ...{ snapId, number: snap.number, week: game.week, opponent: game.opponent },
      ...{
        scheme: call.scheme,
        side: call.side,
        formation: call.formation,
        front: call.front,
        frontName: call.frontName,
      },
    }));
  });
}

/** Men who do something else than their sheet says, again and again; read off whom they really hit. */
export async function listHabits({ programId }: Member): Promise<Habit[]> {
  const sequelize = await upToDate(programId);
  const rows = await sequelize.query(
    `select g.snap_id as "snapId", ${wordOf('b.scheme')} as scheme, ${wordOf('b.side')} as side, ${wordOf('b.front')} as front,
       g.blocker, ${wordOf('b.block')} as block, g.asked->>'target' as asked, g.asked->>'next' as next,
       coalesce(g.body->>'hit', g.asked->>'target') as hit
     from grades g join book_marks b on b.grade_id = g.id
     where g.program_id = :programId and g.sheet = ${PROGRAM_SHEET}
       and exists (select 1 from grades h join book_marks c on c.grade_id = h.id where h.program_id = :programId and h.body->>'hit' is not null
         and c.scheme = b.scheme and c.side = b.side and c.front = b.front and h.blocker = g.blocker)
       and coalesce(g.body->>'hit', g.asked->>'target') is not null`,
    { type: QueryTypes.SELECT, replacements: { programId } },
  );
  return habitsOf(rows.map((row) => HitSchema.parse(row)));
}
