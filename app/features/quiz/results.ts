import { ref, shallowRef, watch, type Ref, type ShallowRef } from 'vue';
import * as z from 'zod';
import { QuizResultSchema, type QuizResult } from '#core/model/quiz';
import { attempting } from '~/features/session/attempt';
import { request } from '~/features/session/request';
import { useWeek } from '~/features/week/store';

/** How the quiz of the week that is open was answered; another week has other answers. */
export function useQuizResults(): { results: ShallowRef<QuizResult[]>; problem: Ref<string> } {
  const week = useWeek();
  const results = shallowRef<QuizResult[]>([]);
  const problem = ref('');
  const attempt = attempting(problem);
  watch(
    () => week.game?.id,
    async (id) => {
      results.value = [];
      if (!id) return;
      await attempt(async () => {
        const found = z.array(QuizResultSchema).parse(await request(`/api/weeks/${id}/quiz`));
        if (week.game?.id === id) results.value = found;
      });
    },
    { immediate: true },
  );
  return { results, problem };
}
