import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import { agreementOf, disagreements, TwoMarksSchema, type TwoMarks } from '#core/grade/agreement/agreement';
import type { Habit } from '#core/grade/free/habits';
import { rubricOf } from '#core/grade/rubrics/index';
import { attempting } from '~/features/session/attempt';
import { onlyNewest } from '~/features/session/newest';
import { request } from '~/features/session/request';

export interface Season {
  id: number;
  name: string;
  rubric: string;
  passLine: number | null;
  others: number;
}
export interface Said {
  id: number;
  player: string;
  snapId: number | null;
  number: number | null;
  question: string;
  answer: string;
  at: string;
}
export interface GradedGame {
  id: number;
  opponent: string;
  week: number;
  published: boolean;
  ownGrades: boolean;
  snaps: number;
  marks: number;
  sheets: { userId: number; name: string; marks: number }[];
  said: Said[];
}
export interface AskedRule {
  about: string;
  text: string;
  snapId: number;
  number: number;
  week: number;
  opponent: string;
  scheme: string;
  side: string;
  formation: string;
  front: string;
  frontName: string;
}

/** How a season is graded, which games players see, what they said, and where graders, rules and habits differ. */
export const useGrading = defineStore('grading', () => {
  const season = shallowRef<Season | null>(null);
  const games = shallowRef<GradedGame[]>([]);
  const questions = shallowRef<AskedRule[]>([]);
  const habits = shallowRef<Habit[]>([]);
  const two = shallowRef<TwoMarks[]>([]);
  const problem = ref('');
  const notice = ref('');
  const attempt = attempting(problem);

  /** From which share on a game is passed. */
  const passLine = computed(
    () => season.value?.passLine ?? rubricOf(season.value?.rubric ?? 'assignment-technique@1').passLine,
  );
  const agreement = computed(() => agreementOf(two.value));
  const apart = computed(() => disagreements(two.value));

  const loadSeason = (): Promise<boolean> =>
    attempt(async () => {
      season.value = await request<Season>('/api/season');
    });
  const load = (): Promise<boolean> =>
    attempt(async () => {
      const [own, graded, asked] = await Promise.all([
        request<Season>('/api/season'),
        request<GradedGame[]>('/api/grading/games'),
        request<{ questions: AskedRule[]; habits: Habit[] }>('/api/grading/questions'),
      ]);
      season.value = own;
      games.value = graded;
      questions.value = asked.questions;
      habits.value = asked.habits;
    });

  const changeSeason = (change: Partial<Pick<Season, 'rubric' | 'passLine'>>, says: string): Promise<boolean> =>
    attempt(async () => {
      notice.value = '';
      season.value = await request<Season>('/api/season', { method: 'PUT', body: change });
      notice.value = says;
    });

  const put = (
    game: number,
    what: 'published' | 'own-grades',
    body: object,
    part: Partial<GradedGame>,
  ): Promise<boolean> =>
    attempt(async () => {
      await request(`/api/games/${game}/${what}`, { method: 'PUT', body });
      games.value = games.value.map((g) => (g.id === game ? { ...g, ...part } : g));
    });
  const publish = (game: number, published: boolean): Promise<boolean> =>
    put(game, 'published', { published }, { published });
  const allowOwn = (game: number, ownGrades: boolean): Promise<boolean> =>
    put(game, 'own-grades', { ownGrades }, { ownGrades });

  const answer = (id: number, text: string): Promise<boolean> =>
    attempt(async () => {
      await request(`/api/said/${id}`, { method: 'PUT', body: { answer: text } });
      games.value = games.value.map((g) => ({
        ...g,
        said: g.said.map((s) => (s.id === id ? { ...s, answer: text } : s)),
      }));
    });

  const comparing = onlyNewest();
  function compare(game: number, user: number): Promise<boolean> {
    const isNewest = comparing.begin();
    return attempt(async () => {
      two.value = [];
      const found = await request<unknown[]>(`/api/games/${game}/agreement?user=${user}`);
      if (isNewest()) two.value = found.map((m) => TwoMarksSchema.parse(m));
    }, isNewest);
  }
  /** Of two marks one stands from now on; both originals stay in the record. */
  function settled(mark: TwoMarks): void {
    two.value = two.value.map((m) =>
      m.snapId === mark.snapId && m.blocker === mark.blocker ? { ...m, one: m.other } : m,
    );
  }

  return {
    season,
    games,
    questions,
    habits,
    two,
    agreement,
    apart,
    passLine,
    problem,
    notice,
    load,
    loadSeason,
    changeSeason,
    publish,
    allowOwn,
    answer,
    compare,
    settled,
  };
});
