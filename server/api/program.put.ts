import { ProgramBodySchema } from '#core/model/program';
import { requireMember } from '../session/member';
import { readInput } from '../session/read-input';
import { changeProgram } from '../usecases/program';

export default defineEventHandler(async (event) => {
  const member = await requireMember(event, ['coach']);
  return changeProgram(member, await readInput(event, ProgramBodySchema));
});
