import type { Transaction } from 'sequelize';
import type { Audited } from '#core/model/audit';
import { AuditRow } from './db/models';

/** Writes down what somebody did with people or their records, in the transaction that does it. */
export async function audit(
  { programId, userId }: { programId: number; userId: number | null },
  what: Audited,
  about = '',
  transaction: Transaction | null = null,
): Promise<void> {
  await AuditRow.create({ programId, userId, what, about }, { transaction });
}
