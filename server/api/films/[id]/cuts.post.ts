import * as z from 'zod';
import { AngleSchema } from '#core/model/angle';
import { askFor } from '../../../jobs/queue';
import { requireMember, STAFF } from '../../../session/member';
import { readId, readInput } from '../../../session/read-input';
import { cutRecording } from '../../../usecases/recordings';

const frame = z.int().min(0);
const Input = z.object({
  angle: AngleSchema,
  cuts: z
    .array(z.object({ number: z.int().min(1).max(400), from: frame, snap: frame.nullable(), to: frame }))
    .min(1)
    .max(400),
});

export default defineEventHandler(async (event) => {
  const member = await requireMember(event, STAFF);
  const films = await cutRecording(member, readId(event), await readInput(event, Input));
  for (const film of films) await askFor(film);
  return { films: films.length };
});
