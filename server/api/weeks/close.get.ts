import { requireMember, STAFF } from '../../session/member';
import { readToClose } from '../../usecases/close-week';

export default defineEventHandler(async (event) => readToClose(await requireMember(event, STAFF)));
