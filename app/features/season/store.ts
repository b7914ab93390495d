import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import { ScheduleSchema, type Schedule, type Scheduled } from '#core/model/schedule';
import { attempting } from '~/features/session/attempt';
import { request } from '~/features/session/request';

export type ScheduledGame = Schedule['games'][number];

/** The season that is played, its opponents week by week, and the seasons before it. */
export const useSeason = defineStore('season', () => {
  const schedule = shallowRef<Schedule>({ seasons: [], games: [] });
  const problem = ref('');
  const notice = ref('');
  const attempt = attempting(problem);
  const season = computed(() => schedule.value.seasons[0] ?? null);
  const opponents = computed(() => [...new Set(schedule.value.games.map((g) => g.opponent))]);
  /** The week after the last one. */
  const nextWeek = computed(() => Math.max(0, ...schedule.value.games.map((g) => g.week)) + 1);

  const read = async (): Promise<void> => {
    schedule.value = ScheduleSchema.parse(await request('/api/schedule'));
  };
  const load = (): Promise<boolean> => attempt(read);
  const doing = (says: string, what: () => Promise<unknown>): Promise<boolean> =>
    attempt(async () => {
      notice.value = '';
      await what();
      await read();
      notice.value = says;
    });
  const add = (game: Scheduled): Promise<boolean> =>
    doing(`Week ${game.week}: ${game.opponent}.`, () => request('/api/games', { method: 'POST', body: game }));
  const change = ({ id, opponent, week, playedOn }: ScheduledGame, part: Partial<Scheduled>): Promise<boolean> =>
    doing('The schedule is changed.', () =>
      request(`/api/games/${id}`, { method: 'PUT', body: { opponent, week, playedOn, ...part } }),
    );
  const remove = ({ id }: ScheduledGame): Promise<boolean> =>
    doing('The game is out of the schedule.', () => request(`/api/games/${id}`, { method: 'DELETE' }));
  const rename = (name: string): Promise<boolean> =>
    doing('The season is renamed.', () => request('/api/season', { method: 'PUT', body: { name } }));
  const begin = (name: string): Promise<boolean> =>
    doing(`${name} has begun. Playbook and roster go on; what was graded is kept with its season.`, () =>
      request('/api/season', { method: 'POST', body: { name } }),
    );

  return { schedule, season, opponents, nextWeek, problem, notice, load, add, change, remove, rename, begin };
});
