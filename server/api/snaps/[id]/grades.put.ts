import { GradesSentSchema } from '#core/model/grade-entry';
import { GRADED, requireMember } from '../../../session/member';
import { readId, readInput } from '../../../session/read-input';
import { writeGrades } from '../../../usecases/grades';

export default defineEventHandler(async (event) => {
  const member = await requireMember(event, GRADED);
  const sent = await readInput(event, GradesSentSchema);
  if (member.role === 'player' && sent.sheet === 'program')
    throw createError({ statusCode: 403, message: 'Your role in this program does not include this.' });
  return writeGrades(member, readId(event), sent);
});
