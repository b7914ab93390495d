import { GradeRow, SnapRow } from '../db/models';
import { database } from '../db/database';
import { snapBody } from '../db/mappers';
import type { Member } from '../session/member';
import type { Call } from '#core/model/snap';
import { differs } from '#core/calls/changed-answer';
import { ownSnap } from './owned';
import { waysOf, workOut } from './work-out';

/**
 * Changes what was called on a snap. Grades were given against the old call, so when there are any the change is refused with the
 * men whose assignment would differ, until the grader says `confirmed`.
 */
export async function changeCall(
  member: Member,
  snapId: number,
  call: Call,
  confirmed: boolean,
): Promise<{ affected: string[]; changed: boolean }> {
  const { programId } = await ownSnap(member, snapId);
  const resolution = workOut(call, await waysOf(member));
  const sequelize = await database();
  return sequelize.transaction(async (transaction) => {
    // Nobody grades it or corrects its situation in between.
    const row = await SnapRow.findOne({ where: { id: snapId, programId }, lock: transaction.LOCK.UPDATE, transaction });
    const before = snapBody(row!);
    const graded = await GradeRow.findAll({ where: { programId, snapId }, transaction });
    const men = [...new Set(graded.map((g) => g.blocker))];
    const affected = men.filter((blocker) => differs(before.resolution, resolution, blocker));
    if (affected.length > 0 && !confirmed) return { affected, changed: false };
    const body = { ...before, call, resolution };
    await row!.update({ body, revision: row!.revision + 1 }, { transaction });
    return { affected, changed: true };
  });
}
