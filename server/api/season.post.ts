import * as z from 'zod';
import { SeasonNameSchema } from '#core/model/schedule';
import { requireMember } from '../session/member';
import { readInput } from '../session/read-input';
import { beginSeason } from '../usecases/schedule';

/** Begins the next season. */
export default defineEventHandler(async (event) => {
  const member = await requireMember(event, ['coach']);
  const { name } = await readInput(event, z.object({ name: SeasonNameSchema }));
  return beginSeason(member, name);
});
