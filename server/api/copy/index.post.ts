import { filmPlaces } from '../../film/places';
import { READERS, requireMember, sessionBehind } from '../../session/member';
import { bringCopyIn } from '../../usecases/copies';

/** Makes another program of a copy and goes there. */
export default defineEventHandler(async (event) => {
  const { userId } = await requireMember(event, READERS);
  const made = await bringCopyIn(userId, event.node.req, filmPlaces());
  await (await sessionBehind(event))!.update({ programId: made.programId });
  return made;
});
