import * as z from 'zod';
import { requireMember, STAFF } from '../../session/member';
import { readId, readInput } from '../../session/read-input';
import { markFrames } from '../../usecases/film';

const frame = z.int().min(0);
const Frames = z.object({ snapFrame: frame, contactFrame: frame, throwFrame: frame, whistleFrame: frame }).partial();

export default defineEventHandler(async (event) => {
  const member = await requireMember(event, STAFF);
  return markFrames(member, readId(event), await readInput(event, Frames));
});
