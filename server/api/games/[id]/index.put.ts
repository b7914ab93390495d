import { ScheduledSchema } from '#core/model/schedule';
import { requireMember, STAFF } from '../../../session/member';
import { readId, readInput } from '../../../session/read-input';
import { changeGame } from '../../../usecases/schedule';

export default defineEventHandler(async (event) => {
  const member = await requireMember(event, STAFF);
  const id = readId(event);
  await changeGame(member, id, await readInput(event, ScheduledSchema));
  return { changed: true };
});
