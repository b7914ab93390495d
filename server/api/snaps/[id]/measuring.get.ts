import { requireMember, STAFF } from '../../../session/member';
import { readId } from '../../../session/read-input';
import { readMeasuring } from '../../../usecases/measuring';

export default defineEventHandler(async (event) => readMeasuring(await requireMember(event, STAFF), readId(event)));
