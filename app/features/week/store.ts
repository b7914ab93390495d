import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import { gameAhead } from '#core/model/schedule';
import { StaleWeekSchema, WEEK_PART_IDS, WeekSchema, type Week, type WeekBody, type WeekPart } from '#core/model/week';
import { attempting } from '~/features/session/attempt';
import { inTurn } from '~/features/session/in-turn';
import { onlyNewest } from '~/features/session/newest';
import { request, RequestProblem } from '~/features/session/request';
import { today } from '~/features/season/today';
import { useSeason, type ScheduledGame } from '~/features/season/store';

/** What a week holds before anybody has decided anything. */
const EMPTY: { [P in WeekPart]: WeekBody<P> } = {
  plan: { plays: [], looks: [], quiz: false },
  practice: { days: [] },
  scripts: { scripts: [] },
};

/** The game whose week it is: the one that is ahead, else the last one. */
export const gameOfWeek = (games: readonly ScheduledGame[], on: string): ScheduledGame | null =>
  gameAhead(games, on) ?? games.at(-1) ?? null;

/** The week before a game: what was decided about it, kept as it is decided. */
export const useWeek = defineStore('week', () => {
  const season = useSeason();
  const week = shallowRef<Week | null>(null);
  /** What stands on the screen; what the server has may be a change behind. */
  const bodies = shallowRef<{ [P in WeekPart]: WeekBody<P> }>({ ...EMPTY });
  const problem = ref('');
  /** Which week it is has been found out, be it none. */
  const isOpen = ref(false);
  /** Parts somebody else has changed meanwhile: nothing of them is written until it is said which one stands. */
  const stale = ref<{ part: WeekPart; revision: number; by: string } | null>(null);
  /** The part that could not be written last. */
  const unwritten = ref<WeekPart | null>(null);
  const revisions: Record<WeekPart, number> = { plan: 0, practice: 0, scripts: 0 };
  const attempt = attempting(problem, 'What you changed is still here.');
  const turn = inTurn();
  const asked = onlyNewest();

  const game = computed(() => week.value?.game ?? null);

  async function read(id: number, isNewest: () => boolean): Promise<void> {
    const found = WeekSchema.parse(await request(`/api/weeks/${id}`));
    if (!isNewest()) return;
    week.value = found;
    bodies.value = {
      plan: found.plan?.body ?? EMPTY.plan,
      practice: found.practice?.body ?? EMPTY.practice,
      scripts: found.scripts?.body ?? EMPTY.scripts,
    };
    for (const part of WEEK_PART_IDS) revisions[part] = found[part]?.revision ?? 0;
    stale.value = null;
  }

  /** Opens a game's week; without one, the week that is on. */
  function open(id: number | null): Promise<boolean> {
    // Whatever week is being read is not wanted any more.
    const isNewest = asked.begin();
    return attempt(async () => {
      const isLoaded = await season.load();
      if (!isNewest()) return;
      if (!isLoaded) return void (problem.value = season.problem);
      const which = id ?? gameOfWeek(season.schedule.games, today())?.id ?? null;
      isOpen.value = true;
      if (which === null) week.value = null;
      else if (week.value?.game.id !== which) await read(which, isNewest);
    }, isNewest);
  }
  function reopen(): Promise<boolean> {
    const isNewest = asked.begin();
    return attempt(async () => void (week.value && (await read(week.value.game.id, isNewest))), isNewest);
  }

  /** Changes a part: it stands at once and is written in turn; where somebody was faster, both stay until one is chosen. */
  function change<P extends WeekPart>(part: P, body: WeekBody<P>): Promise<boolean> {
    bodies.value = { ...bodies.value, [part]: body };
    return write(part);
  }

  function write(part: WeekPart): Promise<boolean> {
    const id = week.value!.game.id;
    return turn(() =>
      attempt(async () => {
        // Another week was opened, or this part waits for a choice: then nothing is written.
        if (week.value?.game.id !== id || stale.value?.part === part) return;
        const body = { revision: revisions[part], body: bodies.value[part] };
        try {
          const answer = await request<{ revision: number }>(`/api/weeks/${id}/${part}`, { method: 'PUT', body });
          unwritten.value = null;
          if (week.value?.game.id === id) revisions[part] = answer.revision;
        } catch (failure) {
          unwritten.value = part;
          if (failure instanceof RequestProblem && failure.status === 409)
            stale.value = { part, ...StaleWeekSchema.parse(failure.data) };
          throw failure;
        }
      }),
    );
  }

  /** Writes once more what could not be written. */
  const again = (): Promise<boolean> => (unwritten.value ? write(unwritten.value) : Promise.resolve(true));

  /** Which one stands where two have changed the same part: mine is written over the other's, or the other's is shown. */
  function settle(which: 'mine' | 'theirs'): Promise<boolean> {
    const between = stale.value;
    if (!between) return Promise.resolve(true);
    stale.value = null;
    problem.value = '';
    if (which === 'theirs') return reopen();
    revisions[between.part] = between.revision;
    return write(between.part);
  }

  return { week, game, isOpen, bodies, problem, stale, unwritten, open, change, again, settle };
});
