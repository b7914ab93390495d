import { EVERYBODY, requireMember } from '../session/member';
import { readProgram } from '../usecases/program';

export default defineEventHandler(async (event) => readProgram(await requireMember(event, EVERYBODY)));
