import { requireMember, STAFF } from '../../session/member';
import { readCounts } from '../../usecases/week-counts';

export default defineEventHandler(async (event) => readCounts(await requireMember(event, STAFF)));
