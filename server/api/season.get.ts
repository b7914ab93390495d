import { requireMember } from '../session/member';
import { readSeason } from '../usecases/grading';

export default defineEventHandler(async (event) => readSeason(await requireMember(event)));
