import { requireMember } from '../session/member';
import { readMine } from '../usecases/said';

export default defineEventHandler(async (event) => readMine(await requireMember(event, ['player'])));
