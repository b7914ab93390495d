import { requireMember } from '../../session/member';
import { ownSaid } from '../../usecases/grading';

export default defineEventHandler(async (event) => ownSaid(await requireMember(event, ['player'])));
