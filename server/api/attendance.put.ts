import * as z from 'zod';
import { DaySchema } from '#core/model/day';
import { PresenceSchema } from '#core/roster/attendance';
import { requireMember, STAFF } from '../session/member';
import { readInput } from '../session/read-input';
import { writeAttendance } from '../usecases/attendance';

const Day = z.object({ day: DaySchema, men: z.array(PresenceSchema).min(1).max(200) });

export default defineEventHandler(async (event) => {
  const member = await requireMember(event, STAFF);
  const { day, men } = await readInput(event, Day);
  return writeAttendance(member, day, men);
});
