import { GRADED, requireMember } from '../../session/member';
import { listGames } from '../../usecases/schedule';

export default defineEventHandler(async (event) => listGames(await requireMember(event, GRADED)));
