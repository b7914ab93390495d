import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import { Playbook } from '#core/calls/playbook';
import { workCall, type Ways } from '#core/calls/resolve-call';
import { HuddleSchema, type Huddle, type HuddleQuestion, type Said } from '#core/model/huddle';
import type { QuizAnswer } from '#core/model/quiz';
import type { Call } from '#core/model/snap';
import { movedFor } from '#core/quiz/moved';
import { callChoices, expectedOf, judge } from '#core/quiz/question';
import { sayTogether, together } from '#core/quiz/together';
import { newId } from '~/features/marks/new-id';
import { usePlaybook } from '~/features/playbook/store';
import { attempting } from '~/features/session/attempt';
import { onlyNewest } from '~/features/session/newest';
import { request } from '~/features/session/request';

/** The whole line together: what is asked of it, what has been said, and what comes of it. The screen and every phone read the same. */
export const useHuddle = defineStore('huddle', () => {
  const playbook = usePlaybook();
  const huddle = shallowRef<Huddle | null>(null);
  const isKnown = ref(false);
  const problem = ref('');
  const attempt = attempting(problem, 'You are still in it: it goes on as soon as there is a connection.');

  const ways = computed<Ways>(() => ({
    playbook: new Playbook([...playbook.ownTexts, ...(huddle.value?.texts ?? [])], playbook.settings),
    ...{ settings: playbook.settings, words: playbook.words },
  }));
  const worked = computed(() => {
    const found = huddle.value ? workCall(huddle.value.call, ways.value) : null;
    return found?.ok ? found.value : null;
  });
  const stand = computed(() =>
    huddle.value && worked.value ? together(worked.value.resolution, huddle.value.said, huddle.value.silent) : null,
  );
  const says = computed(() => (stand.value ? sayTogether(stand.value) : ''));

  /** Reads are numbered: one that was overtaken by a later one is dropped. */
  const reads = onlyNewest();
  function read(): Promise<boolean> {
    const isNewest = reads.begin();
    return attempt(async () => {
      const { huddle: found } = await request<{ huddle: unknown }>('/api/huddle');
      if (!isNewest()) return;
      huddle.value = found ? HuddleSchema.parse(found) : null;
      isKnown.value = true;
    }, isNewest);
  }
  /** However fast news comes, it is read once at a time, and once more after the last. */
  let [isReading, isNewAgain] = [false, false];
  async function news(): Promise<void> {
    isNewAgain = true;
    if (isReading) return;
    isReading = true;
    while (isNewAgain) {
      isNewAgain = false;
      await read();
    }
    isReading = false;
  }
  /** Changes it and reads it again, also when somebody else was faster. */
  async function change(method: 'POST' | 'PUT' | 'DELETE', path: string, body?: object): Promise<boolean> {
    const isDone = await attempt(() => request(path, { method, ...(body ? { body } : {}) }));
    const refusal = problem.value;
    await read();
    if (!isDone && problem.value === '') problem.value = refusal;
    return isDone;
  }

  const open = (gameId: number, question: HuddleQuestion): Promise<boolean> =>
    change('POST', '/api/huddle', { gameId, question });
  const ask = (next: HuddleQuestion): Promise<boolean> =>
    change('PUT', '/api/huddle', { number: huddle.value!.number, next });
  const show = (): Promise<boolean> => change('PUT', '/api/huddle', { number: huddle.value!.number, stage: 'shown' });
  const close = (): Promise<boolean> => change('DELETE', '/api/huddle');
  const sit = (seat: string): Promise<boolean> => change('PUT', '/api/huddle/place', { seat });
  const say = (said: Said): Promise<boolean> =>
    change('PUT', '/api/huddle/said', { number: huddle.value!.number, said });

  /** The same call after they have moved, where that gives somebody on the line another man; `null` when nothing common does. */
  const moved = computed<HuddleQuestion | null>(() => {
    const h = huddle.value;
    if (!h || !worked.value || h.says) return null;
    for (const { blocker } of worked.value.resolution.assignments) {
      const found = movedFor(h.call, blocker, h.number, ways.value);
      if (found) return { call: found.call, says: found.says, silent: h.silent };
    }
    return null;
  });

  /** What one place is asked in this question; `null` when it has nobody. */
  const askedOf = (seat: string) => {
    const expected = worked.value ? expectedOf(worked.value.resolution, seat) : null;
    const isSpoken = expected?.call !== null && huddle.value?.silent === false;
    return expected && { expected, words: isSpoken ? callChoices(expected, playbook.words) : [] };
  };
  /** What was said, as an answer to the quiz: it counts for what a man is asked again. */
  function asAnswer(said: Said, seconds: number): QuizAnswer | null {
    const asked = askedOf(said.seat);
    if (!asked || !huddle.value) return null;
    const { scheme, side, tags, formationName, frontName }: Call = huddle.value.call;
    const given = { whom: said.whom, with: said.with, ...(said.call ? { call: said.call } : {}) };
    return {
      ...{ id: newId(), item: { scheme, side, tags, formationName, frontName, seat: said.seat } },
      ...{ parts: judge(asked.expected, given), moved: null, film: null, seconds, at: new Date().toISOString() },
    };
  }

  return {
    ...{ huddle, isKnown, problem, ways, worked, stand, says, moved },
    ...{ read, news, open, ask, show, close, sit, say, askedOf, asAnswer },
  };
});
