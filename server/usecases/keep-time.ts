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

/** Who has left and is still known, and when that ends. */
export async function leftMen({ programId }: Pick<Member, 'programId'>): Promise<LeftMan[]> {
  await database();
  const { keepLeft } = programBody((await ProgramRow.findByPk(programId))!);
  return (await leftOf(programId)).map(({ id, name, leftAt }) => ({
    id,
    name,
    left: leftAt!.toISOString(),
    due: keepLeft ? dueOn(leftAt!, keepLeft).toISOString() : null,
  }));
}

/** Erases everything said of whoever left longer ago than his program keeps it, in every program; how many men that were. */
export async function eraseDue(now = new Date()): Promise<number> {
  await database();
  let erased = 0;
  for (const program of await ProgramRow.findAll({ attributes: ['id'] })) {
    for (const { id, due } of await leftMen({ programId: program.id })) {
      if (due === null || new Date(due) > now) continue;
      await eraseMan(program.id, id, { userId: null, what: 'erased in time' });
      erased++;
    }
  }
  return erased;
}
