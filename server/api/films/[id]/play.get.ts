import { filmPlaces } from '../../../film/places';
import { sendFile } from '../../../film/send-file';
import { requireMember, STAFF } from '../../../session/member';
import { readId } from '../../../session/read-input';
import { playableOf } from '../../../usecases/recordings';

export default defineEventHandler(async (event) => {
  const key = await playableOf(await requireMember(event, STAFF), readId(event));
  await sendFile(event, await filmPlaces().storage.localFile(key), 'This film is not on this machine any more.');
});
