import { createHash, randomBytes } from 'node:crypto';
import { createError } from 'h3';
import type { CreationAttributes, Transaction } from 'sequelize';
import { database } from '../db/database';
import { TicketRow } from '../db/models';

const HOUR = 3_600_000;
/** How long a link opens something. */
const LASTS = { invitation: 14 * 24 * HOUR, reset: 2 * HOUR, first: 0 } as const;

/** What is kept of a secret: whoever reads the database cannot use it. */
export const hashOf = (secret: string): string => createHash('sha256').update(secret).digest('hex');

type Kind = 'invitation' | 'reset';
type NewTicket = Omit<CreationAttributes<TicketRow>, 'hash' | 'expiresAt' | 'kind'>;

/** Makes a link's secret, which is told once and kept nowhere. */
export async function makeTicket(
  kind: Kind,
  of: NewTicket,
  transaction: Transaction | null = null,
): Promise<{ token: string; row: TicketRow }> {
  const token = randomBytes(24).toString('base64url');
  const expiresAt = new Date(Date.now() + LASTS[kind]);
  const row = await TicketRow.create({ ...of, kind, hash: hashOf(token), expiresAt }, { transaction });
  return { token, row };
}

/** The ticket behind a link as long as it opens anything; otherwise what became of it, in a sentence. With a transaction nobody else can use it meanwhile. */
export async function ticketBehind(token: string, transaction: Transaction | null = null): Promise<TicketRow> {
  await database();
  const lock = transaction ? transaction.LOCK.UPDATE : false;
  const row = await TicketRow.findOne({ where: { hash: hashOf(token) }, lock, transaction });
  if (!row || row.kind === 'first') throw gone('This link is not known here. Ask for a new one.');
  if (row.usedAt) throw gone('This link has been used. Log in, or ask for a new one.');
  if (row.expiresAt.getTime() < Date.now()) throw gone('This link is too old. Ask for a new one.');
  return row;
}
const gone = (message: string) => createError({ statusCode: 404, message });
