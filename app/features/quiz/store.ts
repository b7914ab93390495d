import { useLocalStorage } from '@vueuse/core';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import { Playbook } from '#core/calls/playbook';
import { workCall, type Ways } from '#core/calls/resolve-call';
import { keyOfItem, QuizSchema, type Quiz, type QuizAnswer, type QuizPart } from '#core/model/quiz';
import type { BookSnap } from '#core/grade/book/lines';
import type { Call } from '#core/model/snap';
import { itemsOf, type Asked } from '#core/quiz/items';
import { movedFor } from '#core/quiz/moved';
import {
  callChoices,
  expectedOf,
  judge,
  nextPart,
  sentenceChoices,
  type Expected,
  type Given,
} from '#core/quiz/question';
import { onFilmAt } from '#core/quiz/on-film';
import { rankItems } from '#core/quiz/rank';
import { readEverySnap } from '~/features/book/store';
import { newId } from '~/features/marks/new-id';
import { usePlaybook } from '~/features/playbook/store';
import { attempting } from '~/features/session/attempt';
import { inTurn } from '~/features/session/in-turn';
import { request } from '~/features/session/request';
import { useSession } from '~/features/session/store';
import { answersOf, dropWaiting, keepWaiting, readWaiting, type Waiting } from './box';
import { recallAt } from './memory';

/** Most seconds a man is given credit for thinking: a phone that lies about is no slow answer. */
export const LONGEST = 120;

/** One question as it is being answered. */
interface Question {
  readonly asked: Asked;
  readonly call: Call;
  readonly expected: Expected;
  readonly since: number;
}

/** The quiz of one man: what to ask next, what he says, and what becomes of it when there is no connection. */
export const useQuiz = defineStore('quiz', () => {
  const session = useSession();
  const playbook = usePlaybook();
  const quiz = shallowRef<Quiz | null>(null);
  const problem = ref('');
  const attempt = attempting(problem, 'You can go on: your answers are kept here and sent later.');
  const turn = inTurn();
  /** His own marked snaps of games that are published: what went wrong on film is asked sooner. */
  const marked = shallowRef<readonly BookSnap[]>([]);
  const onFilm = computed(() => onFilmAt(marked.value));
  /** Answers that lie on this device and have not arrived. */
  const waiting = shallowRef<readonly Waiting[]>([]);
  const isPlayer = computed(() => session.member?.role === 'player');

  const ways = computed<Ways>(() => ({
    playbook: new Playbook(quiz.value?.texts ?? [], playbook.settings),
    ...{ settings: playbook.settings, words: playbook.words },
  }));
  const seat = ref('');
  const seats = computed(() => quiz.value?.seats ?? []);
  const answers = computed<QuizAnswer[]>(() => {
    const known = new Set((quiz.value?.answers ?? []).map((a) => a.id));
    return [
      ...(quiz.value?.answers ?? []),
      ...answersOf(waiting.value).filter((a) => !known.has(a.id)),
      ...given.value,
    ];
  });
  /** Answers of somebody who only tries it out: they count here and are sent to nobody. */
  const given = shallowRef<readonly QuizAnswer[]>([]);
  const items = computed(() => (quiz.value ? itemsOf(quiz.value, seat.value ? [seat.value] : [], ways.value) : []));

  const question = shallowRef<Question | null>(null);
  const said = shallowRef<Given>({});
  /** After the answer: which parts were right. */
  const verdict = shallowRef<Partial<Record<QuizPart, boolean>> | null>(null);
  /** They have moved: the call as it is then, what they did, whom he ought to have, and what he said. */
  const after = shallowRef<{ call: Call; says: string; whom: string; said: string | null } | null>(null);
  const last = ref('');

  /** For who does not read yet, or not this language: asked and answered in pictures alone. */
  const inPictures = useLocalStorage('violet-chalk-quiz-pictures', false);
  const part = computed(() =>
    question.value && !verdict.value ? nextPart(question.value.expected, said.value, inPictures.value) : null,
  );
  const choices = computed(() => (question.value ? callChoices(question.value.expected, playbook.words) : []));
  const sentences = computed(() => (question.value ? sentenceChoices(question.value.expected) : []));
  /** What is on the board now. */
  const board = computed(() => {
    const call = after.value?.call ?? question.value?.call;
    const worked = call ? workCall(call, ways.value) : null;
    return worked?.ok ? worked.value : null;
  });

  /** Without his marks on film the quiz goes on all the same: they only say what comes sooner. */
  const open = (): Promise<boolean> =>
    attempt(async () => {
      await readBox();
      const [found, snaps] = await Promise.all([
        request('/api/quiz'),
        isPlayer.value ? readEverySnap({}).catch(() => null) : null,
      ]);
      quiz.value = QuizSchema.parse(found);
      marked.value = snaps ?? [];
      seat.value = quiz.value.seats[0] ?? '';
      next();
      await send();
    });
  async function readBox(): Promise<void> {
    if (session.member) waiting.value = await readWaiting(session.member.userId);
  }

  function chooseSeat(which: string): void {
    seat.value = which;
    next();
  }

  /** The next thing: what is likely in the game and not known, never the same twice in a row where there is another. */
  function next(): void {
    [said.value, verdict.value, after.value, question.value] = [{}, null, null, null];
    const ranked = rankItems(items.value, answers.value, recallAt(answers.value, new Date()), onFilm.value);
    const asked = ranked.find((r) => keyOfItem(r.item) !== last.value) ?? ranked[0];
    if (!asked) return;
    const worked = workCall(asked.call, ways.value);
    const expected = worked.ok ? expectedOf(worked.value.resolution, asked.item.seat) : null;
    if (!expected) return;
    last.value = keyOfItem(asked.item);
    question.value = { asked, call: asked.call, expected, since: Date.now() };
  }

  /** He says one part; with the last one his answer is judged. */
  async function say(more: Given): Promise<void> {
    if (!question.value || verdict.value) return;
    said.value = { ...said.value, ...more };
    if (nextPart(question.value.expected, said.value, inPictures.value) !== null) return;
    const { asked, expected } = question.value;
    verdict.value = judge(expected, said.value);
    const from = answers.value.length;
    const moved = Object.values(verdict.value).every(Boolean)
      ? movedFor(asked.call, asked.item.seat, from, ways.value)
      : null;
    const worked = moved ? workCall(moved.call, ways.value) : null;
    const then = worked?.ok ? expectedOf(worked.value.resolution, asked.item.seat) : null;
    if (moved && then) after.value = { ...moved, whom: then.whom, said: null };
    else await keep(null);
  }

  /** They have moved, and he says it again. */
  async function sayAgain(whom: string): Promise<void> {
    if (!after.value || after.value.said !== null) return;
    after.value = { ...after.value, said: whom };
    await keep(whom === after.value.whom);
  }

  /** An answer lies on the device before it is on its way, so that none is lost with the connection. */
  async function keep(moved: boolean | null): Promise<void> {
    const { asked, since } = question.value!;
    const answer: QuizAnswer = {
      ...{ id: newId(), item: asked.item, parts: verdict.value!, moved, film: null },
      seconds: Math.min(LONGEST, (Date.now() - since) / 1000),
      at: new Date().toISOString(),
    };
    if (isPlayer.value) await take(quiz.value!.game!.id, answer);
    else given.value = [...given.value, answer];
  }

  /** Keeps an answer of a player's and sends it as soon as there is a connection. */
  async function take(gameId: number, answer: QuizAnswer): Promise<void> {
    const one = { user: session.member!.userId, gameId, answer };
    waiting.value = [...waiting.value, one];
    await keepWaiting(one);
    void attempt(send);
  }

  /** Sends what lies here; what has arrived is taken off the device. */
  function send(): Promise<void> {
    return turn(async () => {
      const mine = waiting.value;
      for (const gameId of new Set(mine.map((w) => w.gameId))) {
        const here = mine.filter((w) => w.gameId === gameId).slice(0, 200);
        await request('/api/quiz/answers', { method: 'POST', body: { gameId, answers: answersOf(here) } });
        const ids = here.map((w) => w.answer.id);
        await dropWaiting(ids);
        given.value = [...given.value, ...answersOf(here)];
        waiting.value = waiting.value.filter((w) => !ids.includes(w.answer.id));
      }
    });
  }
  const sendAgain = (): Promise<boolean> => attempt(send);

  /** Today's: how many he has answered and how many were right in everything. */
  const today = computed(() => {
    const day = new Date().toDateString();
    const of = answers.value.filter((a) => new Date(a.at).toDateString() === day);
    return {
      of: of.length,
      right: of.filter((a) => Object.values(a.parts).every(Boolean) && a.moved !== false).length,
    };
  });

  return {
    ...{
      quiz,
      problem,
      waiting,
      marked,
      ways,
      onFilm,
      isPlayer,
      seat,
      seats,
      items,
      question,
      said,
      verdict,
      after,
      part,
      inPictures,
      choices,
      sentences,
      board,
      today,
    },
    ...{ open, chooseSeat, next, say, sayAgain, take, sendAgain },
  };
});
