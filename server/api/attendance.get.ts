import * as z from 'zod';
import { DaySchema } from '#core/model/day';
import { requireMember, STAFF } from '../session/member';
import { readQuery } from '../session/read-query';
import { readAttendance } from '../usecases/attendance';

export default defineEventHandler(async (event) => {
  const member = await requireMember(event, STAFF);
  const { day } = readQuery(event, z.object({ day: DaySchema }));
  return readAttendance(member, day);
});
