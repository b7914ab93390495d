import { filmPlaces } from '../../../film/places';
import { askToLook } from '../../../jobs/queue';
import { requireMember, STAFF } from '../../../session/member';
import { readId } from '../../../session/read-input';
import { motionOf } from '../../../usecases/recordings';

/** The motion of a recording; `null` while it is being looked at, which begins with the first time somebody asks. */
export default defineEventHandler(async (event) => {
  const id = readId(event);
  const motion = await motionOf(await requireMember(event, STAFF), id, filmPlaces());
  if (!motion) await askToLook(id);
  return { motion };
});
