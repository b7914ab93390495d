import { filmPlaces } from '../../../film/places';
import { requireMember, STAFF } from '../../../session/member';
import { readId } from '../../../session/read-input';
import { deleteFilm } from '../../../usecases/films';

export default defineEventHandler(async (event) => {
  const member = await requireMember(event, STAFF);
  return deleteFilm(member, readId(event), getQuery(event).confirmed === 'true', filmPlaces());
});
