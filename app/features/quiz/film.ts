import { useLocalStorage } from '@vueuse/core';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import type { BookSnap } from '#core/grade/book/lines';
import { SnapViewSchema, type SnapView } from '#core/model/snap-view';
import type { QuizAnswer } from '#core/model/quiz';
import { filmSnaps, sameAs, type OwnMark } from '#core/quiz/on-film';
import { readEverySnap } from '~/features/book/store';
import { newId } from '~/features/marks/new-id';
import { attempting } from '~/features/session/attempt';
import { request } from '~/features/session/request';
import { LONGEST, useQuiz } from './store';

/** A snap of his own on film: stopped before the snap he says whom he has; then he sees it, marks his block, and sees his coach's mark. */
export const useFilmQuiz = defineStore('film-quiz', () => {
  const quiz = useQuiz();
  const problem = ref('');
  const attempt = attempting(problem);
  const snap = shallowRef<SnapView | null>(null);
  const asked = shallowRef<BookSnap | null>(null);
  const said = ref<string | null>(null);
  const own = ref<Partial<OwnMark>>({});
  /** Snaps he has marked on this device, or that cannot be seen any more: asked again only when he wants them. */
  const done = useLocalStorage<number[]>('violet-chalk-film-asked', []);
  let since = 0;

  const marked = shallowRef<readonly BookSnap[] | null>(null);
  /** Those with film that have not been asked yet, what went wrong first. */
  const left = computed(() => filmSnaps(marked.value ?? []).filter((s) => !done.value.includes(s.snapId)));
  const clip = computed(() => snap.value?.clips.find((c) => c.angle === 'end zone') ?? snap.value?.clips[0] ?? null);
  /** Where the film stands while he says whom he has: the frame before the ball moves. */
  const frozenAt = computed(() =>
    clip.value ? Math.max(0, clip.value.snapFrame - 1) / clip.value.framesPerSecond : 0,
  );
  const endsAt = computed(() => (clip.value ? clip.value.whistleFrame / clip.value.framesPerSecond : 0));
  /** Their men from left to right, as they stand on the film. */
  const theirs = computed(() =>
    (snap.value?.resolution.identification.techniques ?? []).map(({ id, label }) => ({
      id,
      label: label.replace(/ @.*/, ''),
    })),
  );
  const isMarked = computed(() => own.value.assignment !== undefined && own.value.technique !== undefined);
  const same = computed(() => (isMarked.value && asked.value ? sameAs(own.value as OwnMark, asked.value.grade) : null));

  /** The next of them; whose film was deleted meanwhile is left out. */
  const next = (): Promise<boolean> =>
    attempt(async () => {
      [snap.value, asked.value, said.value, own.value] = [null, null, null, {}];
      marked.value ??= await readEverySnap({}, true);
      for (const candidate of left.value) {
        const found = SnapViewSchema.parse(await request(`/api/snaps/${candidate.snapId}`));
        if (found.clips.length > 0) return void ([snap.value, asked.value, since] = [found, candidate, Date.now()]);
        done.value = [...done.value, candidate.snapId];
      }
    });
  /** From the beginning. */
  const again = (): Promise<boolean> => {
    done.value = [];
    return next();
  };

  function say(whom: string): void {
    said.value ??= whom;
  }

  /** He marks his own block; with the second mark his answer is kept. */
  async function mark(more: Partial<OwnMark>): Promise<void> {
    if (!asked.value || said.value === null || isMarked.value) return;
    own.value = { ...own.value, ...more };
    if (!same.value) return;
    const { call } = snap.value!;
    const { scheme, side, tags, formationName, frontName } = call;
    const answer: QuizAnswer = {
      ...{ id: newId(), item: { scheme, side, tags, formationName, frontName, seat: asked.value.blocker } },
      ...{ parts: { whom: said.value === asked.value.asked.target }, moved: null, film: same.value },
      seconds: Math.min(LONGEST, (Date.now() - since) / 1000),
      at: new Date().toISOString(),
    };
    done.value = [...done.value, asked.value.snapId];
    await quiz.take(quiz.quiz?.game?.id ?? asked.value.gameId, answer);
  }

  return {
    problem,
    snap,
    asked,
    marked,
    said,
    own,
    same,
    isMarked,
    left,
    clip,
    frozenAt,
    endsAt,
    theirs,
    again,
    next,
    say,
    mark,
  };
});
