import { requireMember } from '../../session/member';
import { leftMen } from '../../usecases/keep-time';

/** Who has left, and how long he is still known. */
export default defineEventHandler(async (event) => leftMen(await requireMember(event, ['coach'])));
