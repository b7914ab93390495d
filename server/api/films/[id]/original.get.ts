import { filmPlaces } from '../../../film/places';
import { sendFile } from '../../../film/send-file';
import { requireMember, STAFF } from '../../../session/member';
import { readId } from '../../../session/read-input';
import { originalOf } from '../../../usecases/films';

/** The file as it came, to be kept elsewhere. */
export default defineEventHandler(async (event) => {
  const { key, name } = await originalOf(await requireMember(event, STAFF), readId(event));
  setResponseHeader(event, 'Content-Disposition', `attachment; filename*=UTF-8''${encodeURIComponent(name)}`);
  await sendFile(
    event,
    await filmPlaces().storage.localFile(key),
    'The file as it came is not on this machine any more.',
  );
});
