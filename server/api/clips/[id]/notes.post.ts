import { FilmNoteSchema } from '#core/model/film-note';
import { requireMember, STAFF } from '../../../session/member';
import { readId, readInput } from '../../../session/read-input';
import { addNote } from '../../../usecases/notes';

export default defineEventHandler(async (event) => {
  const member = await requireMember(event, STAFF);
  return addNote(member, readId(event), await readInput(event, FilmNoteSchema));
});
