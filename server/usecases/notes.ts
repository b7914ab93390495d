import { createError } from 'h3';
import type { FilmNote, KeptNote } from '#core/model/film-note';
import { database } from '../db/database';
import { clipBody, noteBody } from '../db/mappers';
import { FilmNoteRow, UserRow } from '../db/models';
import type { Member } from '../session/member';
import { ownClip } from './owned';

/** What was written and drawn on clips; a player sees what was meant for players. */
export async function notesOf(member: Member, clipIds: readonly number[]): Promise<KeptNote[]> {
  const rows = await FilmNoteRow.findAll({
    where: { programId: member.programId, clipId: [...clipIds] },
    order: [['id', 'ASC']],
  });
  const users = await UserRow.findAll({ where: { id: rows.map((r) => r.userId) }, attributes: ['id', 'name'] });
  return rows
    .map((row) => keptNote(row, users.find((u) => u.id === row.userId)?.name ?? 'a former user'))
    .filter((note) => member.role !== 'player' || note.players);
}

const keptNote = (row: FilmNoteRow, by: string): KeptNote => ({
  ...noteBody(row),
  id: row.id,
  clipId: row.clipId,
  by,
  revision: row.revision,
});

function refuseBeyond(note: FilmNote, frames: number): void {
  if (note.until >= frames)
    throw createError({
      statusCode: 400,
      message: `until: this clip has no frame ${note.until}. Nothing was changed.`,
    });
}

/** Adds a note to a clip. */
export async function addNote(member: Member, clipId: number, note: FilmNote): Promise<KeptNote> {
  const clip = await ownClip(member, clipId);
  refuseBeyond(note, clipBody(clip).frames);
  const { programId, userId } = member;
  const row = await FilmNoteRow.create({ programId, clipId, userId, body: note });
  return keptNote(row, member.userName);
}

const gone = () => createError({ statusCode: 404, message: 'There is no such note in your program.' });

/** Changes a note; 409 when somebody else has changed it since the revision given. */
export async function changeNote(member: Member, id: number, revision: number, note: FilmNote): Promise<KeptNote> {
  const { programId, userId } = member;
  await database();
  const row = await FilmNoteRow.findOne({ where: { id, programId } });
  if (!row) throw gone();
  refuseBeyond(note, clipBody(await ownClip(member, row.clipId)).frames);
  const change = { body: note, userId, revision: revision + 1 };
  const [count] = await FilmNoteRow.update(change, { where: { id, programId, revision } });
  if (count === 0)
    throw createError({
      statusCode: 409,
      message: 'Somebody else has changed this note meanwhile. Open the snap again; yours was not written.',
    });
  return { ...note, id, clipId: row.clipId, by: member.userName, revision: revision + 1 };
}

export async function removeNote(member: Member, id: number): Promise<void> {
  await database();
  if ((await FilmNoteRow.destroy({ where: { id, programId: member.programId } })) === 0) throw gone();
}
