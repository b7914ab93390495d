import { requireMember, STAFF } from '../../session/member';
import { listCuts } from '../../usecases/cuts';

export default defineEventHandler(async (event) => listCuts(await requireMember(event, STAFF)));
