import { Op } from 'sequelize';
import { dueOn } from '#core/roster/keep-time';
import type { LeftMan } from '#core/model/left';
import { database } from '../db/database';
import { programBody } from '../db/mappers';
import { PlayerRow, ProgramRow } from '../db/models';
import type { Member } from '../session/member';
import { eraseMan } from './erase';

const leftOf = (programId: number): Promise<PlayerRow[]> =>
  PlayerRow.findAll({ where: { programId, leftAt: { [Op.ne]: null }, erasedAt: null }, order: [['leftAt', 'ASC']] });

/** Who has left and is still known. */
export async function leftMen({ programId }: Pick<Member, 'programId'>): Promise<LeftMan[]> {
  await database();
  return (await leftOf(programId)).map(({ id, name, leftAt }) => ({ id, name, left: leftAt!.toISOString() }));
}

/** Erases everything said of whoever left longer ago than his program keeps it, in every program; how many men that were. */
export async function eraseDue(now = new Date()): Promise<number> {
  await database();
  let erased = 0;
  for (const program of await ProgramRow.findAll()) {
    const { keepLeft } = programBody(program);
    if (!keepLeft) continue;
    for (const { id, leftAt } of await leftOf(program.id)) {
      if (dueOn(leftAt!, keepLeft) > now) continue;
      await eraseMan(program.id, id, { userId: null, what: 'erased in time' });
      erased++;
    }
  }
  return erased;
}
