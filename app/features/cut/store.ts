import { defineStore } from 'pinia';
import { ref, shallowRef } from 'vue';
import type { Cut, KeptCut } from '#core/film/log/cut';
import { attempting } from '~/features/session/attempt';
import { request } from '~/features/session/request';

/** The program's kept cuts. */
export const useCuts = defineStore('cuts', () => {
  const kept = shallowRef<KeptCut[]>([]);
  const problem = ref('');
  const attempt = attempting(problem);

  const load = (): Promise<boolean> =>
    attempt(async () => {
      kept.value = await request<KeptCut[]>('/api/cuts');
    });
  const keep = (name: string, cut: Cut): Promise<boolean> =>
    attempt(async () => {
      const made = await request<KeptCut>('/api/cuts', { method: 'POST', body: { name, cut } });
      kept.value = [...kept.value, made].sort((a, b) => a.name.localeCompare(b.name, 'en'));
    });
  const remove = (id: number): Promise<boolean> =>
    attempt(async () => {
      await request(`/api/cuts/${id}`, { method: 'DELETE' });
      kept.value = kept.value.filter((c) => c.id !== id);
    });
  return { kept, problem, load, keep, remove };
});
