import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import { asksOf, WeekCountsSchema, type WeekCounts } from '#core/plan/week-asks';
import { today } from '~/features/season/today';
import { attempting } from '~/features/session/attempt';
import { request } from '~/features/session/request';

/** What there is to do, counted on the server when the place is opened. */
export const useAsks = defineStore('asks', () => {
  const counts = shallowRef<WeekCounts | null>(null);
  const problem = ref('');
  const attempt = attempting(problem);
  const load = (): Promise<boolean> =>
    attempt(async () => void (counts.value = WeekCountsSchema.parse(await request('/api/weeks'))));
  const asks = computed(() => (counts.value ? asksOf(counts.value, today()) : []));
  return { counts, asks, problem, load };
});
