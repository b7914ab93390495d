import { filmPlaces } from '../../film/places';
import { requireMember, STAFF } from '../../session/member';
import { listFilms } from '../../usecases/films';

/** What came in, and how much more fits on the disk. */
export default defineEventHandler(async (event) => {
  const films = await listFilms(await requireMember(event, STAFF));
  return { films, free: await filmPlaces().storage.free() };
});
