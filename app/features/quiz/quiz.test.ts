import 'fake-indexeddb/auto';
import { createPinia, setActivePinia } from 'pinia';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { SHIPPED_PLAYBOOK } from '#core/calls/playbook';
import { workCall } from '#core/calls/resolve-call';
import type { BookSnap } from '#core/grade/book/lines';
import { GradeSchema } from '#core/model/grade';
import type { Quiz, QuizAnswer } from '#core/model/quiz';
import { keyOfItem } from '#core/model/quiz';
import { CallSchema } from '#core/model/snap';
import type { Given } from '#core/quiz/question';
import { need } from '#core/testing/need';
import { aMember } from '~/testing/a-member';
import { serveRoutes, type RoutesServer } from '~/testing/routes';
import { useSession } from '~/features/session/store';
import { clearWaiting, readWaiting } from './box';
import { recallAt } from './memory';
import { useFilmQuiz } from './film';
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
const marking = (snapId: number, assignment: 'right' | 'wrong'): BookSnap => ({
  ...{ snapId, number: snapId, gameId: 5, opponent: 'Fennick Otters', week: 5, blocker: 'RG', man: 'A. Rook' },
  ...{ scheme: 'duo', side: 'right', front: 'Over' },
  asked: { block: 'base', target: 'T', next: null, partners: [], role: 'alone', schools: [] },
  grade: GradeSchema.parse({ assignment, technique: 'plus', note: 'Slow off the ball.' }),
});
/** A snap as the server tells it. */
function onFilm(id: number): unknown {
  const { looks, plays } = QUIZ;
  const { times: _times, ...called } = plays[1]!;
  const { front, frontName } = looks[0]!;
  const call = { ...called, front, frontName };
  const clip = { framesPerSecond: 30, frames: 200, snapFrame: 61, contactFrame: 75, whistleFrame: 150 };
  return {
    ...{ id, number: id, gameId: 5, revision: 1, rubric: 'assignment-technique@1', grades: [], ownGrades: false },
    ...{ own: [], notes: [], field: [], call },
    situation: { quarter: 1, down: 1, distance: 10, hash: 'middle', gain: 3 },
    resolution: need(workCall(CallSchema.parse(call), { playbook: SHIPPED_PLAYBOOK })).resolution,
    clips: deleted.includes(id) ? [] : [{ ...clip, id: 40 + id, angle: 'end zone' }],
  };
}
/** The server gives no more at once. */
const AT_ONCE = 8;
let marked: BookSnap[];
let deleted: number[];
let sent: QuizAnswer[];
let server: RoutesServer;
const member = (role: 'player' | 'coach') => aMember({ userId: 7, role, playerId: 4 });
beforeEach(async () => {
  setActivePinia(createPinia());
  await clearWaiting();
  [sent, marked, deleted] = [[], [], []];
  server = serveRoutes({
    'GET /api/quiz': () => QUIZ,
    'GET /api/book/snaps': (_body, url) => {
      const found = url.searchParams.get('film') === 'only' ? marked.filter((m) => m.snapId % 2 === 1) : marked;
      const skip = Number(url.searchParams.get('skip'));
      return { snaps: found.slice(skip, skip + AT_ONCE), total: found.length };
    },
    'GET /api/snaps/*': (_body, url) => onFilm(Number(url.pathname.split('/').at(-1))),
    'POST /api/quiz/answers': ({ answers }: { answers: QuizAnswer[] }) => {
      for (const a of answers) if (!sent.some((s) => s.id === a.id)) sent.push(a);
      return { kept: answers.length };
    },
  });
  useSession().member = member('player');
});
afterEach(() => vi.unstubAllGlobals());

/** What he ought to say from the second part on. */
const restOf = (quiz: ReturnType<typeof useQuiz>): Given => {
  const { with: pair, then, foot, shoulder, call, because } = quiz.question!.expected;
  return { with: pair, then, foot, why: because, ...(shoulder && { shoulder }), ...(call !== null && { call }) };
};
/** Says everything as it ought to be, and again after they have moved. */
async function answerRight(quiz: ReturnType<typeof useQuiz>): Promise<void> {
  await quiz.say({ whom: quiz.question!.expected.whom, ...restOf(quiz) });
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
    await quiz.say(restOf(quiz));
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
    await quiz.say({ whom: quiz.question!.expected.whom, ...restOf(quiz) });
    expect(quiz.after!.whom).not.toBe(quiz.question!.expected.whom);
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
    ...{ id: crypto.randomUUID(), item, parts: { whom: right }, moved: null, film: null, seconds },
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
      const right: Given = { whom: quiz.question!.expected.whom, ...restOf(quiz) };
      await quiz.say({ [quiz.part!]: right[quiz.part!] });
    }
    quiz.inPictures = false;
    expect(asked).toEqual(['whom', 'with', 'then', 'foot']);
    expect(Object.values(quiz.verdict!)).toEqual([true, true, true, true]);
  });
});

describe('a quiz on film', () => {
  it('stops before the ball moves, and tells the coach’s mark only after his own', async () => {
    marked = [marking(1, 'right'), marking(2, 'wrong'), marking(3, 'wrong')];
    await useQuiz().open();
    const film = useFilmQuiz();
    await film.next();
    // What went wrong comes first; the other of them is not on film.
    expect([film.asked!.snapId, film.clip!.id, film.frozenAt, film.endsAt]).toEqual([3, 43, 2, 5]);
    expect(film.theirs.map((d) => d.id)).toContain('T');
    await film.mark({ assignment: 'right' });
    expect(film.own).toEqual({});
    film.say('N');
    film.say('T');
    expect(film.said).toBe('N');
    await film.mark({ assignment: 'right' });
    expect([film.same, sent]).toEqual([null, []]);
    await film.mark({ technique: 'plus' });
    await settled();
    expect(film.same).toEqual({ assignment: false, technique: true });
    expect(sent).toMatchObject([
      { item: { scheme: 'duo', seat: 'RG' }, parts: { whom: false }, film: { assignment: false, technique: true } },
    ]);
    await film.mark({ technique: 'minus' });
    await settled();
    expect(sent).toHaveLength(1);
    await film.next();
    expect(film.asked!.snapId).toBe(1);
  });

  it('keeps what he said when the line is down, and asks nothing where there is no film', async () => {
    marked = [marking(1, 'right'), marking(2, 'right')];
    await useQuiz().open();
    const film = useFilmQuiz();
    await film.next();
    server.down();
    film.say('T');
    await film.mark({ assignment: 'right' });
    await film.mark({ technique: 'plus' });
    await settled();
    expect((await readWaiting(7)).map((w) => w.answer.film)).toEqual([{ assignment: true, technique: true }]);
    server.up();
    await useQuiz().sendAgain();
    await settled();
    expect(sent).toHaveLength(1);
    await film.next();
    expect([film.snap, film.left]).toEqual([null, []]);
  });

  it('leaves out what was deleted meanwhile, and begins again when he wants it', async () => {
    marked = [marking(1, 'wrong'), marking(3, 'right')];
    deleted = [1];
    await useQuiz().open();
    const film = useFilmQuiz();
    await film.again();
    expect(film.asked!.snapId).toBe(3);
    film.say('T');
    await film.mark({ assignment: 'right', technique: 'plus' });
    await film.next();
    expect([film.snap, film.left]).toEqual([null, []]);
    deleted = [];
    await film.again();
    expect(film.asked!.snapId).toBe(1);
  });

  it('goes on without his marks when those cannot be read', async () => {
    const quiz = useQuiz();
    // The Book is served to nobody here.
    server = serveRoutes({ 'GET /api/quiz': () => QUIZ });
    expect(await quiz.open()).toBe(true);
    expect([quiz.problem, quiz.marked]).toEqual(['', []]);
    expect(quiz.question).not.toBeNull();
  });

  it('tells how he did on film at what is asked', async () => {
    const quiz = useQuiz();
    // The misses come first, and he had more right than wrong: all of them are counted.
    marked = Array.from({ length: 20 }, (_, i) => marking(i, i < 8 ? 'wrong' : 'right'));
    await quiz.open();
    expect(quiz.onFilm({ ...quiz.question!.asked.item, scheme: 'duo' })).toEqual({ good: 12, of: 20 });
    expect(quiz.onFilm({ ...quiz.question!.asked.item, scheme: 'power' })).toEqual({ good: 0, of: 0 });
  });
});
