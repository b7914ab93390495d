import { GRADED, requireMember } from '../../../session/member';
import { readId } from '../../../session/read-input';
import { readSnap } from '../../../usecases/film';

export default defineEventHandler(async (event) => readSnap(await requireMember(event, GRADED), readId(event)));
