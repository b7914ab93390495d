import { filmPlaces } from '../../film/places';
import { requireMember, STAFF } from '../../session/member';
import { dropFolder, listFilms } from '../../usecases/films';

/** What came in, how much more fits on the disk, and where a camera may drop files. */
export default defineEventHandler(async (event) => {
  const member = await requireMember(event, STAFF);
  const places = filmPlaces();
  const [films, free, folder] = await Promise.all([
    listFilms(member),
    places.storage.free(),
    dropFolder(member, places),
  ]);
  return { films, free, folder };
});
