import { requireMember, STAFF } from '../../../session/member';
import { readId } from '../../../session/read-input';
import { readLineup } from '../../../usecases/lineup';

export default defineEventHandler(async (event) => readLineup(await requireMember(event, STAFF), readId(event)));
