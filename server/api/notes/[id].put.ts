import * as z from 'zod';
import { FilmNoteSchema } from '#core/model/film-note';
import { requireMember, STAFF } from '../../session/member';
import { readId, readInput } from '../../session/read-input';
import { changeNote } from '../../usecases/notes';

const Input = z.object({ revision: z.int().min(1), note: FilmNoteSchema });

export default defineEventHandler(async (event) => {
  const member = await requireMember(event, STAFF);
  const { revision, note } = await readInput(event, Input);
  return changeNote(member, readId(event), revision, note);
});
