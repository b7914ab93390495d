import { createPinia, setActivePinia } from 'pinia';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { TwoMarks } from '#core/grade/agreement/agreement';
import type { GradeRecord } from '#core/grade/record';
import { ALL_PLUS } from '#core/model/grade';
import { refusal } from '~/testing/marks-server';
import { lateAnswers } from '~/testing/late-answers';
import { allRecords } from './records';
import { sayWritten } from './words';
import { useGrading, type GradedGame } from './store';

const SEASON = { id: 1, name: 'Nine Bridges League', rubric: 'assignment-technique@1', passLine: null, others: 0 };
const game = (id: number): GradedGame => ({
  ...{ id, opponent: 'Graymoor Millers', week: id, published: false, ownGrades: false, snaps: 60, marks: 300 },
  sheets: [{ userId: 2, name: 'Theo Brandt', marks: 300 }],
  said: [{ id: 10 + id, player: '55 Jory Pell', snapId: 4, number: 4, question: 'Was I late?', answer: '', at: '' }],
});
const two = (number: number, technique: 'plus' | 'minus'): TwoMarks => ({
  ...{ snapId: number, number, blocker: 'RG', man: '61 Anselm Rook', block: 'double' },
  one: ALL_PLUS,
  other: { ...ALL_PLUS, technique },
});
const RECORD: GradeRecord = {
  ...{ season: 'Nine Bridges League', week: 3, opponent: 'Graymoor Millers', snap: 1, place: 'C', player: 'Jory Pell' },
  ...{ number: 55, play: 'power', side: 'right', front: 'Over', reading: 'grade', at: '2026-10-04T20:00:00.000Z' },
  asked: { block: 'back', target: 'N', next: null, partners: [], role: 'alone', schools: [] },
  grade: ALL_PLUS,
};

let asked: string[];
let refuse: Error | null;
beforeEach(() => {
  setActivePinia(createPinia());
  [asked, refuse] = [[], null];
  vi.stubGlobal('$fetch', async (url: string, { method, body }: { method: string; body?: Record<string, unknown> }) => {
    asked.push(`${method} ${url} ${body ? JSON.stringify(body) : ''}`.trim());
    if (refuse) throw refuse;
    if (url === '/api/season') return { ...SEASON, ...body };
    if (url === '/api/grading/games') return [game(2), game(3)];
    if (url === '/api/grading/questions') return { questions: [], habits: [] };
    if (url.includes('/games/9/agreement')) return [two(7, 'plus')];
    if (url.includes('/agreement')) return [two(1, 'plus'), two(2, 'minus'), two(3, 'minus')];
    if (url.startsWith('/api/grading/records')) {
      const skip = Number(new URL(url, 'http://x').searchParams.get('skip'));
      return { total: 1200, records: Array.from({ length: Math.min(500, 1200 - skip) }, () => RECORD) };
    }
    return {};
  });
});
afterEach(() => vi.unstubAllGlobals());

describe('two graders', () => {
  it('are those of the game that was asked for last, whichever comes first', async () => {
    const grading = useGrading();
    const late = lateAnswers();
    const [first, second] = [grading.compare(2, 5), grading.compare(9, 5)];
    await late.arrive('/games/9/agreement?user=5');
    await second;
    late.over();
    await first;
    expect(grading.two.map((m) => m.number)).toEqual([7]);
  });
});

describe('how a season is graded', () => {
  it('has the rubric’s pass line until the coach says his own', async () => {
    const grading = useGrading();
    await grading.load();
    expect([grading.passLine, grading.games.length]).toEqual([0.8, 2]);
    await grading.changeSeason({ rubric: 'points@1' }, 'From now on: points.');
    expect([grading.passLine, grading.notice]).toEqual([0.7, 'From now on: points.']);
    await grading.changeSeason({ passLine: 0.75 }, '');
    expect(grading.passLine).toBe(0.75);
    expect(asked).toContain('PUT /api/season {"rubric":"points@1"}');
  });

  it('says why a change was not taken, and what stood stays', async () => {
    const grading = useGrading();
    await grading.load();
    refuse = refusal(400, 'rubric: there is no rubric "stars@1".');
    expect(await grading.changeSeason({ rubric: 'stars@1' }, 'done')).toBe(false);
    expect([grading.problem, grading.notice, grading.season!.rubric]).toEqual([
      'rubric: there is no rubric "stars@1".',
      '',
      'assignment-technique@1',
    ]);
  });
});

describe('games', () => {
  it('are published one at a time, and not when it was refused', async () => {
    const grading = useGrading();
    await grading.load();
    await grading.publish(2, true);
    await grading.allowOwn(3, true);
    expect(grading.games.map((g) => [g.published, g.ownGrades])).toEqual([
      [true, false],
      [false, true],
    ]);
    expect(asked).toContain('PUT /api/games/3/own-grades {"ownGrades":true}');
    refuse = refusal(403, 'Your role in this program does not include this.');
    await grading.publish(2, false);
    expect([grading.games[0]!.published, grading.problem]).toEqual([
      true,
      'Your role in this program does not include this.',
    ]);
  });

  it('say what players asked, and the answer once it is given', async () => {
    const grading = useGrading();
    await grading.load();
    await grading.answer(12, 'No, your feet.');
    expect(grading.games.map((g) => g.said[0]!.answer)).toEqual(['No, your feet.', '']);
  });
});

describe('two readings', () => {
  it('are compared, and one that is settled is apart no more', async () => {
    const grading = useGrading();
    await grading.compare(3, 2);
    expect(asked).toEqual(['GET /api/games/3/agreement?user=2']);
    expect(grading.apart.map((m) => m.number)).toEqual([2, 3]);
    expect(grading.agreement.find((a) => a.item.id === 'technique')).toMatchObject({ pairs: 3, same: 1 });
    grading.settled(grading.apart[0]!);
    expect(grading.apart.map((m) => m.number)).toEqual([3]);
    refuse = refusal(404, 'There is no such game in your program.');
    await grading.compare(9, 2);
    expect([grading.two, grading.problem]).toEqual([[], 'There is no such game in your program.']);
  });
});

describe('how an import ended', () => {
  it('says what is in, what waits and what met another’s', () => {
    expect(sayWritten(1, 0, 0)).toBe('1 mark is in.');
    expect(sayWritten(9, 2, 1)).toBe(
      '6 marks are in. 2 marks kept on this machine until the server can be reached. 1 mark lies aside: say which stands.',
    );
  });
});

describe('all grades', () => {
  it('are fetched page by page until they are whole, saying how far they are', async () => {
    const said: string[] = [];
    const records = await allRecords(null, (done, total) => said.push(`${done} of ${total}`));
    expect([records.length, said]).toEqual([1200, ['500 of 1200', '1000 of 1200', '1200 of 1200']]);
    expect(asked.at(-1)).toBe('GET /api/grading/records?skip=1000&take=500');
  });
});
