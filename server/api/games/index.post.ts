import { NewGameSchema } from '#core/model/schedule';
import { requireMember, STAFF } from '../../session/member';
import { readInput } from '../../session/read-input';
import { addGame } from '../../usecases/schedule';

export default defineEventHandler(async (event) => {
  const member = await requireMember(event, STAFF);
  return addGame(member, await readInput(event, NewGameSchema));
});
