import { requireMember, STAFF } from '../../../session/member';
import { readId } from '../../../session/read-input';
import { listChanged } from '../../../usecases/changed-answers';

export default defineEventHandler(async (event) => listChanged(await requireMember(event, STAFF), readId(event)));
