import * as z from 'zod';
import { GradeSchema } from '#core/model/grade';
import { requireMember, STAFF } from '../../../session/member';
import { readId, readInput } from '../../../session/read-input';
import { writeGrades } from '../../../usecases/grades';

const Entries = z.object({
  entries: z
    .array(z.object({ blocker: z.string().max(3), grade: GradeSchema.nullable() }))
    .min(1)
    .max(11),
});

export default defineEventHandler(async (event) => {
  const member = await requireMember(event, STAFF);
  const { entries } = await readInput(event, Entries);
  await writeGrades(member, readId(event), entries);
  return { saved: entries.length };
});
