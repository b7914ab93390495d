import * as z from 'zod';
import { QuizAnswerSchema } from '#core/model/quiz';
import { requireMember } from '../../session/member';
import { readInput } from '../../session/read-input';
import { keepAnswers } from '../../usecases/quiz';

const Sent = z.object({ gameId: z.int().positive(), answers: z.array(QuizAnswerSchema).min(1).max(200) });

export default defineEventHandler(async (event) => {
  const member = await requireMember(event, ['player']);
  const { gameId, answers } = await readInput(event, Sent);
  return keepAnswers(member, gameId, answers);
});
