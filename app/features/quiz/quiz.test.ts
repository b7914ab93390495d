import 'fake-indexeddb/auto';
import { createPinia, setActivePinia } from 'pinia';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Quiz, QuizAnswer } from '#core/model/quiz';
import { keyOfItem } from '#core/model/quiz';
import { serveRoutes, type RoutesServer } from '~/testing/routes';
import { useSession } from '~/features/session/store';
import { clearWaiting, readWaiting } from './box';
import { recallAt } from './memory';
import { useQuiz } from './store';

const play = (scheme: string, times: number) => ({
  ...{
    scheme,
    side: 'right' as const,
    tags: [],
    formation: 'LT LG C RG RT; H right; B left',
    formationName: 'H right',
    times,
  },
});
const QUIZ: Quiz = {
  game: { id: 6, opponent: 'Quillport Terns', week: 6 },
  plays: [play('power', 6), play('duo', 2)],
  looks: [
    {
      front: 'LE 5 left; N 1 left; T 3 right; RE 5 right; W 30 left; M 10 right',
      frontName: 'Over',
      weight: 1,
      seen: '',
    },
  ],
  ...{ texts: [], seats: ['RG', 'C'], answers: [] },
};
let sent: QuizAnswer[];
let server: RoutesServer;
const member = (role: 'player' | 'coach') => ({
  ...{ userId: 7, userName: 'Anselm Rook', programId: 1, programName: 'Lanterns', role, playerId: 4 },
});
beforeEach(async () => {
  setActivePinia(createPinia());
  await clearWaiting();
  sent = [];
  server = serveRoutes({
    'GET /api/quiz': () => QUIZ,
    'POST /api/quiz/answers': ({ answers }: { answers: QuizAnswer[] }) => {
      for (const a of answers) if (!sent.some((s) => s.id === a.id)) sent.push(a);
      return { kept: answers.length };
    },
  });
  useSession().member = member('player');
});
afterEach(() => vi.unstubAllGlobals());

/** Says everything as it ought to be, and again after they have moved. */
async function answerRight(quiz: ReturnType<typeof useQuiz>): Promise<void> {
  const { whom, with: pair, then, foot, call } = quiz.question!.expected;
  await quiz.say({ whom, with: pair, then, foot, ...(call === null ? {} : { call }) });
  if (quiz.after) await quiz.sayAgain(quiz.after.whom);
}
const settled = (): Promise<void> => new Promise((resolve) => setTimeout(resolve, 20));

describe('a quiz', () => {
  it('names the likeliest play first, judges the answer at once and sends it', async () => {
    const quiz = useQuiz();
    await quiz.open();
    expect([quiz.seat, quiz.question!.asked.item.scheme, quiz.part]).toEqual(['RG', 'power', 'whom']);
    await quiz.say({ whom: 'N' });
    expect(quiz.part).toBe('with');
    const { with: pair, then, foot, call } = quiz.question!.expected;
    await quiz.say({ with: pair, then, foot, ...(call === null ? {} : { call }) });
    expect(quiz.verdict).toMatchObject({ whom: false, with: true });
    await settled();
    expect(sent).toMatchObject([{ item: { scheme: 'power', seat: 'RG' }, parts: { whom: false }, moved: null }]);
    expect([quiz.waiting, quiz.today]).toEqual([[], { of: 1, right: 0 }]);
  });

  it('asks again once they have moved, and only then the answer is given', async () => {
    const quiz = useQuiz();
    await quiz.open();
    quiz.chooseSeat('C');
    // On the power nothing they do gives him another man: he is asked once.
    await answerRight(quiz);
    await settled();
    expect([sent.length, sent[0]!.moved]).toEqual([1, null]);
    quiz.next();
    const { whom, with: pair, then, foot, call } = quiz.question!.expected;
    await quiz.say({ whom, with: pair, then, foot, ...(call === null ? {} : { call }) });
    expect(quiz.after!.whom).not.toBe(whom);
    await settled();
    expect(sent).toHaveLength(1);
    await quiz.sayAgain(quiz.after!.whom);
    await settled();
    expect(sent[1]).toMatchObject({ item: { scheme: 'duo' }, moved: true });
    await quiz.sayAgain('N');
    expect(sent).toHaveLength(2);
  });

  it('asks for something else next, and goes on with his other place when he says so', async () => {
    const quiz = useQuiz();
    await quiz.open();
    await answerRight(quiz);
    quiz.next();
    expect(quiz.question!.asked.item.scheme).toBe('duo');
    quiz.chooseSeat('C');
    expect(quiz.question!.asked.item.seat).toBe('C');
  });

  it('goes on without a connection, keeps what was said on the device, and sends it once there is one', async () => {
    const quiz = useQuiz();
    await quiz.open();
    server.down();
    await answerRight(quiz);
    quiz.next();
    await answerRight(quiz);
    await settled();
    expect([quiz.waiting.length, quiz.problem.includes('sent later'), (await readWaiting(7)).length]).toEqual([
      2,
      true,
      2,
    ]);
    // The page is loaded anew: what waits is there, and nobody else's.
    setActivePinia(createPinia());
    useSession().member = member('player');
    server.up();
    const again = useQuiz();
    await again.open();
    expect([sent.length, again.waiting, await readWaiting(7), await readWaiting(8)]).toEqual([2, [], [], []]);
    expect(again.today.of).toBe(2);
  });

  it('sends no answer twice that arrived although nobody heard of it', async () => {
    const quiz = useQuiz();
    await quiz.open();
    await answerRight(quiz);
    await settled();
    const [one] = sent;
    server.refuse(503, 'Not now.');
    quiz.next();
    await answerRight(quiz);
    await settled();
    expect(quiz.waiting).toHaveLength(1);
    await quiz.sendAgain();
    expect([sent.length, sent.filter((s) => s.id === one!.id).length]).toEqual([2, 1]);
  });

  it('can be tried by a coach, and nothing of that is sent', async () => {
    useSession().member = member('coach');
    const quiz = useQuiz();
    await quiz.open();
    await answerRight(quiz);
    await settled();
    expect([sent, quiz.today.of]).toEqual([[], 1]);
  });
});

describe('what is forgotten', () => {
  const item = {
    scheme: 'power',
    side: 'right' as const,
    tags: [],
    formationName: 'H right',
    frontName: 'Over',
    seat: 'RG',
  };
  const answer = (day: number, right: boolean, seconds = 4): QuizAnswer => ({
    ...{ id: crypto.randomUUID(), item, parts: { whom: right }, moved: null, seconds },
    at: new Date(Date.UTC(2026, 10, day, 18)).toISOString(),
  });
  const recall = (answers: QuizAnswer[], day: number): number =>
    recallAt(answers, new Date(Date.UTC(2026, 10, day, 18)))(keyOfItem(item))!;

  it('is more with every day, and less the oftener it was right', () => {
    const once = [answer(1, true)];
    const days = [2, 5, 9, 20].map((day) => recall(once, day));
    expect(days).toEqual([...days].sort((a, b) => b - a));
    expect(recall([answer(1, true), answer(4, true), answer(9, true)], 20)).toBeGreaterThan(recall(once, 20));
    expect(recall([answer(1, true), answer(9, false)], 20)).toBeLessThan(
      recall([answer(1, true), answer(9, true)], 20),
    );
    expect(recall([answer(1, true, 60)], 9)).toBeLessThanOrEqual(recall(once, 9));
    expect(recallAt([], new Date())('never asked')).toBeNull();
  });

  it('does not hang on the order in which answers came in', () => {
    const answers = [answer(1, true), answer(3, false), answer(6, true)];
    expect(recall([...answers].reverse(), 12)).toBe(recall(answers, 12));
  });

  it('in pictures no word is asked for, and what is right is judged without it', async () => {
    const quiz = useQuiz();
    await quiz.open();
    quiz.chooseSeat('C');
    for (let i = 0; i < 10 && quiz.question!.expected.call === null; i++) quiz.next();
    expect(quiz.question!.expected.call).not.toBeNull();
    quiz.inPictures = true;
    const asked: string[] = [];
    for (let i = 0; i < 40 && !quiz.verdict; i++) {
      asked.push(quiz.part!);
      const { whom, with: pair, then, foot } = quiz.question!.expected;
      await quiz.say({ whom: { whom }, with: { with: pair }, then: { then }, foot: { foot }, call: {} }[quiz.part!]);
    }
    quiz.inPictures = false;
    expect(asked).toEqual(['whom', 'with', 'then', 'foot']);
    expect(Object.values(quiz.verdict!)).toEqual([true, true, true, true]);
  });
});
