import * as z from 'zod';
import { askFor } from '../../../jobs/queue';
import { requireMember, STAFF } from '../../../session/member';
import { readId, readInput } from '../../../session/read-input';
import { steerFilm } from '../../../usecases/films';

export default defineEventHandler(async (event) => {
  const member = await requireMember(event, STAFF);
  const { what } = await readInput(event, z.object({ what: z.enum(['cancel', 'retry']) }));
  if (await steerFilm(member, readId(event), what)) await askFor(readId(event));
  return { what };
});
