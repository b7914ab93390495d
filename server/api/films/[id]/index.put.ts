import * as z from 'zod';
import { ANGLES } from '#core/model/angle';
import { requireMember, STAFF } from '../../../session/member';
import { readId, readInput } from '../../../session/read-input';
import { placeFilm } from '../../../usecases/films';

const Place = z.object({ snapId: z.int().positive(), angle: z.enum(ANGLES), confirmed: z.boolean().default(false) });

export default defineEventHandler(async (event) => {
  const member = await requireMember(event, STAFF);
  return placeFilm(member, readId(event), await readInput(event, Place));
});
