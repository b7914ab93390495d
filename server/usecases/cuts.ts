import { createError } from 'h3';
import { UniqueConstraintError } from 'sequelize';
import type { Cut, KeptCut } from '#core/film/log/cut';
import { database } from '../db/database';
import { cutBody } from '../db/mappers';
import { CutRow } from '../db/models';
import type { Member } from '../session/member';

/** The program's kept cuts by name. */
export async function listCuts(member: Member): Promise<KeptCut[]> {
  await database();
  const rows = await CutRow.findAll({ where: { programId: member.programId }, order: [['name', 'ASC']] });
  return rows.map((row) => ({ id: row.id, name: row.name, cut: cutBody(row) }));
}

/** Keeps a cut under a name; 409 when there is one of that name. */
export async function keepCut({ programId, userId }: Member, name: string, cut: Cut): Promise<KeptCut> {
  await database();
  try {
    const row = await CutRow.create({ programId, userId, name, body: cut });
    return { id: row.id, name, cut };
  } catch (problem) {
    if (!(problem instanceof UniqueConstraintError)) throw problem;
    throw createError({ statusCode: 409, message: `There is a cut "${name}" already. Nothing was changed.` });
  }
}

export async function removeCut(member: Member, id: number): Promise<void> {
  await database();
  const count = await CutRow.destroy({ where: { id, programId: member.programId } });
  if (count === 0) throw createError({ statusCode: 404, message: 'There is no such cut in your program.' });
}
