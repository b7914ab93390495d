import { requireMember } from '../session/member';
import { listGames } from '../usecases/film';
import { readMarks } from '../usecases/grades';

export default defineEventHandler(async (event) => {
  const member = await requireMember(event);
  const published = (await listGames(member)).filter((g) => g.published).map((g) => g.id);
  return readMarks(member, published);
});
