import { filmBody } from '../../../db/mappers';
import { filmPlaces } from '../../../film/places';
import { sendFile } from '../../../film/send-file';
import { requireMember, STAFF } from '../../../session/member';
import { readId } from '../../../session/read-input';
import { ownFilm } from '../../../usecases/films';

export default defineEventHandler(async (event) => {
  const { still } = filmBody(await ownFilm(await requireMember(event, STAFF), readId(event)));
  if (!still) throw createError({ statusCode: 404, message: 'There is no still of this film yet.' });
  await sendFile(event, filmPlaces().storage.localFile(still), 'The still of this film is not on this machine.');
});
