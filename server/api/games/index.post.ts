import * as z from 'zod';
import { requireMember, STAFF } from '../../session/member';
import { readInput } from '../../session/read-input';
import { addGame } from '../../usecases/film';

const Game = z.object({ opponent: z.string().trim().min(1).max(80), week: z.int().min(0).max(60) });

export default defineEventHandler(async (event) => {
  const member = await requireMember(event, STAFF);
  return addGame(member, await readInput(event, Game));
});
