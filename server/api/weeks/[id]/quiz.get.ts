import { requireMember, STAFF } from '../../../session/member';
import { readId } from '../../../session/read-input';
import { readResults } from '../../../usecases/quiz';

export default defineEventHandler(async (event) => readResults(await requireMember(event, STAFF), readId(event)));
