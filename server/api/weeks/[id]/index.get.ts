import { requireMember, STAFF } from '../../../session/member';
import { readId } from '../../../session/read-input';
import { readWeek } from '../../../usecases/weeks';

export default defineEventHandler(async (event) => readWeek(await requireMember(event, STAFF), readId(event)));
