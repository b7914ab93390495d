import type { Audited, AuditEntry } from '#core/model/audit';
import { database } from '../db/database';
import { AuditRow, UserRow } from '../db/models';
import type { Member } from '../session/member';

/** What was done with people and their records in a program, the latest first. */
export async function listAudit(
  { programId }: Member,
  { skip, take }: { skip: number; take: number },
): Promise<{ entries: AuditEntry[]; total: number }> {
  await database();
  const { rows, count } = await AuditRow.findAndCountAll({
    where: { programId },
    order: [['id', 'DESC']],
    offset: skip,
    limit: take,
  });
  const users = await UserRow.findAll({ where: { id: rows.flatMap((r) => r.userId ?? []) } });
  return {
    total: count,
    entries: rows.map(({ id, userId, what, about, at }) => ({
      ...{ id, about, what: what as Audited, at: at.toISOString() },
      who: users.find((u) => u.id === userId)?.name ?? '',
    })),
  };
}
