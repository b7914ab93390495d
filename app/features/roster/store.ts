import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import * as z from 'zod';
import { PlayerSchema, type NewPlayer, type Player } from '#core/roster/player';
import { attempting } from '~/features/session/attempt';
import { request } from '~/features/session/request';

/** The program's men; a player's own roster holds himself alone. */
export const useRoster = defineStore('roster', () => {
  const players = shallowRef<Player[]>([]);
  /** Men being written down, kept while one looks elsewhere. */
  const draft = ref('');
  const problem = ref('');
  const notice = ref('');
  const attempt = attempting(problem);

  const load = async (): Promise<void> => {
    players.value = z.array(PlayerSchema).parse(await request('/api/roster'));
  };
  const open = (): Promise<boolean> => attempt(load);
  const numbers = computed(() => Object.fromEntries(players.value.map((p) => [p.seat, p.number])));
  /** Those who play now. */
  const here = computed(() => players.value.filter((p) => !p.left));

  const add = (men: readonly NewPlayer[]): Promise<boolean> =>
    attempt(async () => {
      notice.value = '';
      await request('/api/roster', { method: 'POST', body: { players: men } });
      await load();
      notice.value = men.length === 1 ? `${men[0]!.name} is on the roster.` : `${men.length} men are on the roster.`;
    });
  const change = ({ id, ...was }: Player, part: Partial<NewPlayer & { left: boolean }>): Promise<boolean> =>
    attempt(async () => {
      notice.value = '';
      await request(`/api/roster/${id}`, { method: 'PUT', body: { ...was, ...part } });
      await load();
      notice.value = `${was.name} is changed. Games that were played stay as they were.`;
    });

  const erase = ({ id, name }: Player): Promise<boolean> =>
    attempt(async () => {
      notice.value = '';
      await request(`/api/roster/${id}/erase`, { method: 'POST', body: {} });
      await load();
      notice.value = `Everything said of ${name} is erased. Counts stay without a name.`;
    });

  return { players, here, numbers, draft, problem, notice, load, open, add, change, erase };
});
