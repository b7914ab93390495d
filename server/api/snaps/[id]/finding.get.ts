import { requireMember, STAFF } from '../../../session/member';
import { readId } from '../../../session/read-input';
import { readFinding } from '../../../usecases/findings';

export default defineEventHandler(async (event) => readFinding(await requireMember(event, STAFF), readId(event)));
