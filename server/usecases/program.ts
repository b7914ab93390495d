import { ProgramRow } from '../db/models';
import { programBody } from '../db/mappers';
import type { Member } from '../session/member';
import { createError } from 'h3';
import { wordDiagnostic } from '#core/diagnostics/wording';
import { checkNaming } from '#core/names/names';
import type { ProgramBody } from '#core/model/program';
import { SHIPPED_SETTINGS } from '#core/model/settings';
import { isSameStandard, type Standard } from '#core/model/standard';
import { recountBook } from '../book/keep';
import { database } from '../db/database';
import { sayKeepTime } from '#core/roster/keep-time';
import { audit } from '../audit';

/** What this program does its own way. */
export async function readProgram(member: Member): Promise<ProgramBody> {
  const row = await ProgramRow.findOne({ where: { id: member.programId } });
  return programBody(row!);
}

/**
 * Changes the parts given; the others stay, whoever changes them at the same time. Words that could not be told apart are refused. Where the
 * standard of a good play changes, what the Book says of plays is counted anew.
 */
export async function changeProgram(member: Member, change: ProgramBody): Promise<ProgramBody> {
  const alike = change.naming ? checkNaming(change.naming) : [];
  if (alike.length)
    throw createError({ statusCode: 400, message: `${alike.map(wordDiagnostic).join('; ')}. Nothing was changed.` });
  const { programId } = member;
  const sequelize = await database();
  return sequelize.transaction(async (transaction) => {
    const lock = transaction.LOCK.UPDATE;
    const row = (await ProgramRow.findOne({ where: { id: programId }, lock, transaction }))!;
    const before = programBody(row);
    const after = { ...before, ...change };
    await row.update({ body: after }, { transaction });
    if ((after.keepLeft ?? null) !== (before.keepLeft ?? null))
      await audit(member, 'keep time changed', sayKeepTime(after.keepLeft ?? null), transaction);
    if (!isSameStandard(standardOf(before), standardOf(after))) await recountBook(programId, transaction);
    return after;
  });
}

const standardOf = ({ settings }: ProgramBody): Standard => settings ?? SHIPPED_SETTINGS;
