import { EVERYBODY, requireMember } from '../session/member';
import { readSeason } from '../usecases/seasons';

export default defineEventHandler(async (event) => readSeason(await requireMember(event, EVERYBODY)));
