import { ProgramRow } from '../db/models';
import { programBody } from '../db/mappers';
import type { Member } from '../session/member';
import { createError } from 'h3';
import { wordDiagnostic } from '#core/diagnostics/wording';
import { checkNaming } from '#core/names/names';
import type { ProgramBody } from '#core/model/program';

/** What this program does its own way. */
export async function readProgram(member: Member): Promise<ProgramBody> {
  const row = await ProgramRow.findOne({ where: { id: member.programId } });
  return programBody(row!);
}

/** Changes the parts given; the others stay. Words that could not be told apart are refused. */
export async function changeProgram(member: Member, change: ProgramBody): Promise<ProgramBody> {
  const alike = change.naming ? checkNaming(change.naming) : [];
  if (alike.length)
    throw createError({ statusCode: 400, message: `${alike.map(wordDiagnostic).join('; ')}. Nothing was changed.` });
  const row = await ProgramRow.findOne({ where: { id: member.programId } });
  const body = { ...programBody(row!), ...change };
  row!.body = body;
  await row!.save();
  return body;
}
