import { defineStore } from 'pinia';
import { computed, ref } from 'vue';
import { request } from '~/features/session/request';

interface Player {
  id: number;
  name: string;
  number: number;
  seat: string;
}

/** The program's men; a player's own roster holds himself alone. */
export const useRoster = defineStore('roster', () => {
  const players = ref<Player[]>([]);
  const load = async (): Promise<void> => {
    players.value = await request<Player[]>('/api/roster');
  };
  const numbers = computed(() => Object.fromEntries(players.value.map((p) => [p.seat, p.number])));
  return { players, numbers, load };
});
