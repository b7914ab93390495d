import * as z from 'zod';
import type { WeekBody, WeekPart } from '#core/model/week';
import { requireMember, STAFF } from './session/member';
import { readId, readInput } from './session/read-input';
import { writeWeek } from './usecases/weeks';

/** The route that keeps one part of a week, read by its schema. */
export const weekPartRoute = <P extends WeekPart>(part: P, body: z.ZodType<WeekBody<P>>) => {
  const Sent = z.object({ revision: z.int().min(0), body });
  return defineEventHandler(async (event) => {
    const member = await requireMember(event, STAFF);
    return writeWeek(member, readId(event), part, await readInput(event, Sent));
  });
};
