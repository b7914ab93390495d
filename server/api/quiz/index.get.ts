import { GRADED, requireMember } from '../../session/member';
import { readQuiz } from '../../usecases/quiz';

export default defineEventHandler(async (event) => readQuiz(await requireMember(event, GRADED)));
