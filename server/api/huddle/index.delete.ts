import { requireMember, STAFF } from '../../session/member';
import { closeHuddle } from '../../usecases/huddle';

export default defineEventHandler(async (event) => {
  await closeHuddle(await requireMember(event, STAFF));
  return { huddle: null };
});
