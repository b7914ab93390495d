import { requireMember, STAFF } from '../../session/member';
import { listHabits, listRuleQuestions } from '../../usecases/findings';

export default defineEventHandler(async (event) => {
  const member = await requireMember(event, STAFF);
  return { questions: await listRuleQuestions(member), habits: await listHabits(member) };
});
