import { requireMember } from '../session/member';
import { readMine } from '../usecases/grading';

export default defineEventHandler(async (event) => readMine(await requireMember(event, ['player'])));
