import { HuddleChangeSchema } from '#core/model/huddle';
import { requireMember, STAFF } from '../../session/member';
import { readInput } from '../../session/read-input';
import { changeHuddle } from '../../usecases/huddle';

export default defineEventHandler(async (event) => {
  const member = await requireMember(event, STAFF);
  await changeHuddle(member, await readInput(event, HuddleChangeSchema));
  return null;
});
