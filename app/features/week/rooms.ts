import { computed } from 'vue';

/** The week somebody has chosen, as the address says it; `null` for the one that is ahead. */
export const chosenWeek = (query: { game?: unknown }): number | null => {
  const id = Number(query.game);
  return Number.isInteger(id) && id > 0 ? id : null;
};

/** Ways from one room of the Week place to another: the week one has chosen is kept. */
export function useWeekRooms() {
  const route = useRoute();
  const chosen = computed(() => chosenWeek(route.query));
  const to = (path: `/week${string}`, query: Readonly<Record<string, string>> = {}) => ({
    path,
    query: chosen.value ? { game: String(chosen.value), ...query } : query,
  });
  return { chosen, to };
}
