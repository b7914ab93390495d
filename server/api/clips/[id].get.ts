import { filmPlaces } from '../../film/places';
import { sendFile } from '../../film/send-file';
import { GRADED, requireMember } from '../../session/member';
import { readId } from '../../session/read-input';
import { clipFile } from '../../usecases/film';

const GONE =
  'The film of this snap is not on this machine. Its grades are kept; put the file back into the film folder.';

export default defineEventHandler(async (event) => {
  const file = await clipFile(await requireMember(event, GRADED), readId(event));
  if (!file) throw createError({ statusCode: 404, message: 'The film of this snap was deleted. Its grades are kept.' });
  await sendFile(event, await filmPlaces().storage.localFile(file), GONE);
});
