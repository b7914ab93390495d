import { QueryTypes } from 'sequelize';
import type { AttendanceDay, Presence } from '#core/roster/attendance';
import { database } from '../db/database';
import { AttendanceRow, PlayerRow } from '../db/models';
import type { Member } from '../session/member';
import { none } from './owned';

/** Who was at practice on a day. */
export async function readAttendance({ programId }: Member, day: string): Promise<AttendanceDay> {
  const db = await database();
  const rows = await AttendanceRow.findAll({ where: { programId, day }, order: [['playerId', 'ASC']] });
  const days = await db.query<{ playerId: number; there: number; of: number }>(
    `select player_id as "playerId", count(*) filter (where here <> 'away')::int as there, count(*)::int as of
     from attendance where program_id = :programId group by 1 order by 1`,
    { type: QueryTypes.SELECT, replacements: { programId } },
  );
  return {
    day,
    days,
    men: rows.map(({ playerId, here, note }) => ({ playerId, here: here as Presence['here'], note })),
  };
}

/** Writes down how men were on a day; whoever is written down already is written down anew. */
export async function writeAttendance(member: Member, day: string, men: readonly Presence[]): Promise<AttendanceDay> {
  const { programId } = member;
  await database();
  const id = men.map((m) => m.playerId);
  const known = await PlayerRow.count({ where: { programId, id, erasedAt: null } });
  if (known !== new Set(id).size) throw none('player');
  await AttendanceRow.bulkCreate(
    men.map((m) => ({ programId, day, ...m })),
    { updateOnDuplicate: ['here', 'note'] },
  );
  return readAttendance(member, day);
}
