import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { ALL_PLUS } from '#core/model/grade';
import type { PracticeWeek } from '#core/model/practice';
import { withMen } from '#core/model/practice';
import { WeekSchema } from '#core/model/week';
import type { WeekPlan } from '#core/model/week-plan';
import { asksOf, WeekCountsSchema } from '#core/plan/week-asks';
import type { Member } from '../../server/session/member';
import { addGame } from '../../server/usecases/schedule';
import { roster } from '../../server/usecases/roster';
import { readToClose } from '../../server/usecases/close-week';
import { keepAnswers, readQuiz, readResults } from '../../server/usecases/quiz';
import { readCounts } from '../../server/usecases/week-counts';
import { markRep, readWeek, writeWeek } from '../../server/usecases/weeks';
import { CALL, freshDatabase, makeProgram } from './fresh-database';
import { markAs } from './marking';

type Program = Awaited<ReturnType<typeof makeProgram>>;
let db: Awaited<ReturnType<typeof freshDatabase>>;
let lanterns: Program;
let terns: Program;
let coach: Member;
let next: number;
beforeAll(async () => {
  db = await freshDatabase();
  lanterns = await makeProgram('Lanterns');
  terns = await makeProgram('Terns');
  coach = lanterns.members.coach;
  next = (await addGame(coach, { opponent: 'Quillport Terns', week: 6, playedOn: '2099-11-28' })).id;
});
afterAll(() => db.drop());

const { scheme, side, tags, formation, formationName, front, frontName } = CALL;
const plan = (times: number): WeekPlan => ({
  plays: [{ scheme, side, tags: [...tags], formation, formationName, times }],
  looks: [{ front, frontName, weight: 3, seen: '' }],
  quiz: false,
});
const practiceOf = (men: number[]): PracticeWeek => ({
  days: [
    {
      ...{ day: '2099-11-24', theme: 'light', minutes: 20, gear: 'helmets', begins: '18:30' },
      lines: [
        {
          ...{ id: 'one', minutes: 5, held: true },
          stations: [{ drill: 'short-steps', men, reps: 10, waits: 0, why: 'Mine.', pairs: [[men[0]!, men[1]!]] }],
        },
      ],
    },
  ],
});

describe('a week', () => {
  it('is empty until somebody has decided something, and then says what and who', async () => {
    expect(await readWeek(coach, next)).toMatchObject({
      game: { opponent: 'Quillport Terns', week: 6, playedOn: '2099-11-28' },
      plan: null,
      practice: null,
    });
    expect(await writeWeek(coach, next, 'plan', { revision: 0, body: plan(4) })).toEqual({ revision: 1 });
    const week = WeekSchema.parse(await readWeek(lanterns.members.assistant, next));
    expect(week.plan).toEqual({ revision: 1, by: 'Lanterns coach', body: plan(4) });
  });

  it('is written over by nobody who has not seen what is there', async () => {
    const stale = writeWeek(lanterns.members.assistant, next, 'plan', { revision: 0, body: plan(9) });
    await expect(stale).rejects.toMatchObject({ statusCode: 409, data: { revision: 1, by: 'Lanterns coach' } });
    expect((await readWeek(coach, next)).plan!.body).toEqual(plan(4));
  });

  it('keeps exactly one of many changes made at the same moment, and its parts do not get in each other’s way', async () => {
    const men = (await roster(coach)).map((p) => p.id);
    const tries = await Promise.allSettled([
      ...[5, 6, 7, 8].map((n) => writeWeek(coach, next, 'plan', { revision: 1, body: plan(n) })),
      writeWeek(coach, next, 'practice', { revision: 0, body: practiceOf(men.slice(0, 2)) }),
    ]);
    expect(tries.filter((t) => t.status === 'fulfilled')).toHaveLength(2);
    const week = await readWeek(coach, next);
    expect([week.plan!.revision, week.practice!.revision]).toEqual([2, 1]);
  });

  it('knows what the opponent has shown in other games of ours, and nothing of another program', async () => {
    expect((await readWeek(coach, next)).seen).toEqual([{ front, frontName, snaps: 2, weeks: [1] }]);
    expect((await readWeek(coach, lanterns.gameId)).seen).toEqual([]);
    for (const done of [
      () => readWeek(coach, terns.gameId),
      () => writeWeek(coach, terns.gameId, 'plan', { revision: 0, body: plan(1) }),
    ])
      await expect(done()).rejects.toMatchObject({ statusCode: 404 });
    expect((await readWeek(terns.members.coach, terns.gameId)).records).toEqual([]);
  });

  it('knows how every man did at every block, with his faults', async () => {
    const bad = { ...ALL_PLUS, technique: 'minus' as const, faults: ['high-pads'] };
    await markAs(coach, lanterns.snaps[0]!, [
      { blocker: 'C', grade: ALL_PLUS },
      { blocker: 'RG', grade: bad },
    ]);
    await markAs(coach, lanterns.snaps[1]!, [{ blocker: 'RG', grade: ALL_PLUS }]);
    const men = await roster(coach);
    const { records } = await readWeek(coach, next);
    const of = (seat: string) => records.filter((r) => r.playerId === men.find((p) => p.seat === seat)!.id);
    expect(of('RG')).toMatchObject([{ good: 1, of: 2, faults: [{ fault: 'high-pads', count: 1 }] }]);
    expect(of('C')).toMatchObject([{ good: 1, of: 1, faults: [] }]);
  });
});

describe('what the week asks', () => {
  it('is counted: snaps without a mark, days not planned, games that are over and not logged', async () => {
    const counts = WeekCountsSchema.parse(await readCounts(coach));
    expect(counts).toMatchObject({ men: 6, games: 2, unlogged: [], next: { gameId: next, plays: 1, looks: 1 } });
    expect(counts.graded).toMatchObject([{ gameId: lanterns.gameId, snaps: 2, ungraded: 0, published: false }]);
    await addGame(coach, { opponent: 'Saltmarsh Union', week: 2, playedOn: '2020-10-10' });
    const says = asksOf(await readCounts(coach), '2026-11-25').map((a) => a.id.split(' ')[0]);
    expect(says).toEqual(['log', 'publish']);
    const theirs = asksOf(await readCounts(terns.members.coach), '2026-11-25').map((a) => a.says);
    expect(theirs).toEqual(['Week 1, Quillport Terns: 2 of 2 snaps without a mark.']);
  });
});

describe('what is followed to the next grade', () => {
  it('are faults game by game, with none where one did not come again, and the weeks that were practised', async () => {
    const { counts, weeks } = await readToClose(coach);
    const rook = (await roster(coach)).find((p) => p.seat === 'RG')!;
    expect(counts).toEqual([
      { gameId: lanterns.gameId, week: 1, playerId: rook.id, fault: 'high-pads', times: 1, of: 2 },
    ]);
    expect(weeks).toMatchObject([{ week: 6, practice: { days: [{ day: '2099-11-24' }] } }]);
    expect(await readToClose(terns.members.coach)).toEqual({ counts: [], weeks: [] });
  });
});

describe('quiz answers', () => {
  const answer = (id: string, whom: boolean) => ({
    ...{ id, item: { scheme, side, tags: [...tags], formationName, frontName, seat: 'C' }, parts: { whom } },
    ...{ moved: null, film: null, seconds: 3, at: '2026-11-25T18:00:00.000Z' },
  });
  const [one, two] = ['11111111-1111-4111-8111-111111111111', '22222222-2222-4222-8222-222222222222'];

  it('are for players once the coach has opened the plan, with their own places', async () => {
    const { player, assistant } = lanterns.members;
    expect(await readQuiz(player)).toMatchObject({ game: null, plays: [], seats: ['C'] });
    expect(await readQuiz(assistant)).toMatchObject({ game: { id: next } });
    const { revision, body } = (await readWeek(coach, next)).plan!;
    await writeWeek(coach, next, 'plan', { revision, body: { ...body, quiz: true } });
    expect(await readQuiz(player)).toMatchObject({
      game: { id: next, opponent: 'Quillport Terns' },
      seats: ['C'],
      answers: [],
    });
  });

  it('are kept once however often they are sent, and nobody else’s are touched', async () => {
    const { player } = lanterns.members;
    await keepAnswers(player, next, [answer(one, true)]);
    await keepAnswers(player, next, [answer(one, false), answer(two, false)]);
    expect((await readQuiz(player)).answers.map((a) => [a.id, a.parts.whom])).toEqual([
      [one, true],
      [two, false],
    ]);
    expect(await keepAnswers(terns.members.player, terns.gameId, [answer(one, false)])).toEqual({ kept: 1 });
    expect((await readQuiz(player)).answers).toHaveLength(2);
    await expect(keepAnswers(player, terns.gameId, [answer(one, true)])).rejects.toMatchObject({ statusCode: 404 });
    await expect(keepAnswers(coach, next, [answer(one, true)])).rejects.toMatchObject({ statusCode: 409 });
  });

  it('are counted for the staff by what there is to know', async () => {
    expect(await readResults(coach, next)).toMatchObject([
      { item: { seat: 'C' }, men: 1, of: 2, right: 1, missed: { whom: 1 }, film: { of: 0, same: 0 } },
    ]);
    const onFilm = ['33333333-3333-4333-8333-333333333333', '44444444-4444-4444-8444-444444444444'].map((id, i) => ({
      ...answer(id, true),
      film: { assignment: true, technique: i === 0 },
    }));
    await keepAnswers(lanterns.members.player, next, onFilm);
    expect(await readResults(coach, next)).toMatchObject([{ of: 4, right: 3, film: { of: 2, same: 1 } }]);
    await expect(readResults(coach, terns.gameId)).rejects.toMatchObject({ statusCode: 404 });
  });
});

describe('reps of a script', () => {
  it('are marked one after the other, the last mark standing, and taken back', async () => {
    const mark = (rep: number, good: boolean | null, missed: string[] = []) =>
      markRep(coach, next, { script: 'inside-run-1', rep, mark: good === null ? null : { good, missed } });
    await mark(0, true);
    await mark(1, false, ['C']);
    await mark(1, false, ['C', 'RT']);
    expect(await mark(0, null)).toEqual([{ script: 'inside-run-1', rep: 1, good: false, missed: ['C', 'RT'] }]);
    expect((await readWeek(coach, next)).marks).toHaveLength(1);
    await expect(
      markRep(coach, terns.gameId, { script: 'x', rep: 0, mark: { good: true, missed: [] } }),
    ).rejects.toMatchObject({ statusCode: 404 });
  });
});

describe('men of a practice in another program', () => {
  it('stand under their numbers there, and those nobody knows are in no group', () => {
    const moved = withMen(practiceOf([1, 2, 3]), (id) => (id === 3 ? null : id * 10));
    expect(moved.days[0]!.lines[0]!.stations[0]).toMatchObject({ men: [10, 20], pairs: [[10, 20]] });
    expect(withMen(practiceOf([1, 3]), (id) => (id === 3 ? null : id)).days[0]!.lines[0]!.stations[0]!.pairs).toEqual(
      [],
    );
  });
});
