import { requireMember, STAFF } from '../../../session/member';
import { readId } from '../../../session/read-input';
import { gradeHistory } from '../../../usecases/grades';

export default defineEventHandler(async (event) => gradeHistory(await requireMember(event, STAFF), readId(event)));
