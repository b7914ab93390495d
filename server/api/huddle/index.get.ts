import { GRADED, requireMember } from '../../session/member';
import { readHuddle } from '../../usecases/huddle';

export default defineEventHandler(async (event) => ({
  huddle: await readHuddle(await requireMember(event, GRADED)),
}));
