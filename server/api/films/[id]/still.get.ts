import { filmPlaces } from '../../../film/places';
import { sendFile } from '../../../film/send-file';
import { requireMember, STAFF } from '../../../session/member';
import { readId } from '../../../session/read-input';
import { stillOf } from '../../../usecases/films';

export default defineEventHandler(async (event) => {
  const still = await stillOf(await requireMember(event, STAFF), readId(event));
  await sendFile(event, await filmPlaces().storage.localFile(still), 'The still of this film is not on this machine.');
});
