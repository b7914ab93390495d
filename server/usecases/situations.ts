import { correctSituation } from '#core/film/log/series';
import type { Situation } from '#core/model/snap';
import { database } from '../db/database';
import { snapBody } from '../db/mappers';
import type { Member } from '../session/member';
import { ownSnap } from './owned';
import { lockedLog } from './log';

/**
 * Corrects the parts given of what a snap's situation was; snaps after it that followed from it follow again. Returns the numbers of the
 * snaps that changed.
 */
export async function changeSituation(
  member: Member,
  snapId: number,
  change: Partial<Situation>,
): Promise<{ situation: Situation; changed: number[] }> {
  const { gameId } = await ownSnap(member, snapId);
  const sequelize = await database();
  return sequelize.transaction(async (transaction) => {
    const rows = await lockedLog(member, gameId, transaction);
    const bodies = rows.map(snapBody);
    const at = rows.findIndex((r) => r.id === snapId);
    const before = bodies.map((b) => b.situation);
    const after = correctSituation(before, at, { ...before[at]!, ...change });
    const changed: number[] = [];
    for (const [i, row] of rows.entries()) {
      if (JSON.stringify(before[i]) === JSON.stringify(after[i])) continue;
      await row.update({ body: { ...bodies[i]!, situation: after[i]! } }, { transaction });
      changed.push(row.number);
    }
    return { situation: after[at]!, changed };
  });
}
