import { KeptCutSchema } from '#core/film/log/cut';
import { requireMember, STAFF } from '../../session/member';
import { readInput } from '../../session/read-input';
import { keepCut } from '../../usecases/cuts';

export default defineEventHandler(async (event) => {
  const member = await requireMember(event, STAFF);
  const { name, cut } = await readInput(event, KeptCutSchema.omit({ id: true }));
  return keepCut(member, name, cut);
});
