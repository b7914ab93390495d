import { requireMember, STAFF } from '../../session/member';
import { listGradedGames } from '../../usecases/grading';

export default defineEventHandler(async (event) => listGradedGames(await requireMember(event, STAFF)));
