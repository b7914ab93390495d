import * as z from 'zod';
import { NewPlayerSchema } from '#core/roster/player';
import { requireMember, STAFF } from '../../session/member';
import { readInput } from '../../session/read-input';
import { addPlayers } from '../../usecases/roster';

const Players = z.object({ players: z.array(NewPlayerSchema).min(1).max(200) });

export default defineEventHandler(async (event) => {
  const member = await requireMember(event, STAFF);
  const { players } = await readInput(event, Players);
  return addPlayers(member, players);
});
