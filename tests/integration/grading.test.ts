import { afterAll, beforeEach, describe, expect, it } from 'vitest';
import { readRecords, writeRecords } from '#core/grade/read-records';
import { NOTHING_FOUND, type Finding } from '#core/model/finding';
import { ALL_PLUS, type Grade } from '#core/model/grade';
import { AcknowledgementRow, SeasonRow, SnapRow } from '../../server/db/models';
import { readBook } from '../../server/usecases/book';
import { listHabits, listRuleQuestions, readFinding, writeFinding } from '../../server/usecases/findings';
import { clipFile, listSnaps, readSnap } from '../../server/usecases/film';
import { publishGame } from '../../server/usecases/schedule';
import { allowOwnGrades, listGradedGames, readTwoGraders } from '../../server/usecases/grading';
import { acknowledge, answerPlayer, readMine } from '../../server/usecases/said';
import { changeSeason, readSeason } from '../../server/usecases/seasons';
import { gradeHistory } from '../../server/usecases/grades';
import { listRecords } from '../../server/usecases/records';
import { freshDatabase, makeProgram } from './fresh-database';
import { markAs } from './marking';

let db: Awaited<ReturnType<typeof freshDatabase>> | null = null;
let count = 0;
let lanterns: Awaited<ReturnType<typeof makeProgram>>;
beforeEach(async () => {
  db ??= await freshDatabase();
  lanterns = await makeProgram(`Lanterns${count++}`);
});
afterAll(() => db!.drop());

const MINUS: Grade = { ...ALL_PLUS, technique: 'minus', faults: ['high-pads'] };
const FOUND: Finding = {
  ...NOTHING_FOUND,
  free: [
    {
      defender: 'N',
      rule: { kind: 'one', men: ['C'], says: 'N was C’s.', call: null },
      verdict: 'asked',
      charged: [],
      note: '',
    },
  ],
  questions: [{ about: 'N', text: 'Whose is he when he slants?' }],
};

describe('what was found out about a snap', () => {
  it('is kept by one of two at once, and the other is told', async () => {
    const { coach, assistant } = lanterns.members;
    const [snap] = lanterns.snaps as [number];
    expect(await readFinding(coach, snap)).toEqual({ revision: 0, finding: NOTHING_FOUND });
    const ends = await Promise.allSettled(
      [coach, assistant, coach].map((m) => writeFinding(m, snap, { revision: 0, finding: FOUND })),
    );
    expect(ends.filter((e) => e.status === 'fulfilled')).toHaveLength(1);
    for (const e of ends) if (e.status === 'rejected') expect(e.reason).toMatchObject({ statusCode: 409 });
    expect(await readFinding(assistant, snap)).toEqual({ revision: 1, finding: FOUND });
    expect(await writeFinding(assistant, snap, { revision: 1, finding: NOTHING_FOUND })).toEqual({ revision: 2 });
  });

  it('lists what is asked about rules, with the front it came up against, for the program alone', async () => {
    const { coach } = lanterns.members;
    const [snap] = lanterns.snaps as [number];
    await writeFinding(coach, snap, { revision: 0, finding: FOUND });
    const [asked, ...more] = await listRuleQuestions(coach);
    expect(asked).toMatchObject({ about: 'N', snapId: snap, scheme: 'power', frontName: 'Over' });
    expect(more).toEqual([]);
    const terns = await makeProgram(`Terns${count++}`);
    expect(await listRuleQuestions(terns.members.coach)).toEqual([]);
    await expect(readFinding(terns.members.coach, snap)).rejects.toMatchObject({ statusCode: 404 });
    await expect(writeFinding(terns.members.coach, snap, { revision: 1, finding: FOUND })).rejects.toMatchObject({
      statusCode: 404,
    });
  });

  it('finds a habit over the snaps on which it was written down whom a man hit', async () => {
    const { coach } = lanterns.members;
    const [first] = await SnapRow.findAll({ where: { gameId: lanterns.gameId } });
    for (let number = 3; number <= 5; number++)
      await SnapRow.create({ programId: lanterns.programId, gameId: lanterns.gameId, number, body: first!.body });
    const snaps = await SnapRow.findAll({ where: { gameId: lanterns.gameId }, order: [['number', 'ASC']] });
    const asked = (await readSnap(coach, snaps[0]!.id)).resolution.assignments.find((a) => a.blocker === 'LG')!;
    for (const [i, { id }] of snaps.entries())
      await markAs(coach, id, [
        { blocker: 'LG', grade: { ...ALL_PLUS, assignment: 'wrong', hit: i < 4 ? 'LE' : null } },
      ]);
    expect(await listHabits(coach)).toEqual([
      expect.objectContaining({ blocker: 'LG', asked: asked.target, hit: 'LE', times: 4, of: 5 }),
    ]);
    expect(await listHabits((await makeProgram(`Otters${count++}`)).members.coach)).toEqual([]);
  });
});

describe('how a season is graded', () => {
  it('is changed for what is graded from then on; grades keep what they were given with', async () => {
    const { coach } = lanterns.members;
    const [first, second] = lanterns.snaps as [number, number];
    await markAs(coach, first, [{ blocker: 'C', grade: ALL_PLUS }]);
    expect(await readSeason(coach)).toMatchObject({ rubric: 'assignment-technique@1', passLine: null, others: 0 });
    await changeSeason(coach, { rubric: 'points@1', passLine: 0.75 });
    expect(await readSeason(coach)).toMatchObject({ rubric: 'points@1', passLine: 0.75 });
    expect((await readSnap(coach, first)).grades[0]!.grade.rubric).toBe('assignment-technique@1');
    expect((await readSnap(coach, second)).rubric).toBe('points@1');
    await expect(changeSeason(coach, { rubric: 'stars@1' })).rejects.toMatchObject({ statusCode: 400 });
    await SeasonRow.create({ programId: lanterns.programId, name: 'Next' });
    expect(await readSeason(coach)).toMatchObject({ name: 'Next', rubric: 'assignment-technique@1', others: 1 });
    expect((await readSnap(coach, second)).rubric).toBe('points@1');
  });
});

describe('two readings of a game', () => {
  it('are held against each other where both have marked, and both stay when one is settled', async () => {
    const { coach, assistant } = lanterns.members;
    const [snap] = lanterns.snaps as [number];
    await markAs(coach, snap, [
      { blocker: 'C', grade: ALL_PLUS },
      { blocker: 'LT', grade: ALL_PLUS },
    ]);
    await markAs(
      assistant,
      snap,
      [
        { blocker: 'C', grade: MINUS },
        { blocker: 'RT', grade: MINUS },
      ],
      'own',
    );
    const two = await readTwoGraders(coach, lanterns.gameId, assistant.userId);
    expect(two.map((t) => [t.blocker, t.one.technique, t.other.technique])).toEqual([['C', 'plus', 'minus']]);
    const [game] = await listGradedGames(coach);
    expect(game).toMatchObject({ marks: 2, snaps: 2, sheets: [{ userId: assistant.userId, marks: 2 }] });
    await markAs(coach, snap, [{ blocker: 'C', grade: two[0]!.other }]);
    expect((await readSnap(assistant, snap)).own.find((g) => g.blocker === 'C')!.grade).toEqual(MINUS);
    expect((await gradeHistory(coach, snap)).find((c) => c.blocker === 'C')).toMatchObject({
      before: ALL_PLUS,
      after: MINUS,
    });
    const terns = await makeProgram(`Terns${count++}`);
    await expect(readTwoGraders(terns.members.coach, lanterns.gameId, assistant.userId)).rejects.toMatchObject({
      statusCode: 404,
    });
  });
});

describe('a player', () => {
  it('grades himself where he is asked to, before anything is published, and sees no other marks meanwhile', async () => {
    const { coach, player } = lanterns.members;
    const [snap] = lanterns.snaps as [number];
    await markAs(coach, snap, [{ blocker: 'C', grade: MINUS }]);
    await expect(readSnap(player, snap)).rejects.toMatchObject({ statusCode: 404 });
    expect((await readMine(player)).games).toEqual([]);
    await allowOwnGrades(coach, lanterns.gameId, true);
    const seen = await readSnap(player, snap);
    expect([seen.grades, seen.ownGrades]).toEqual([[], true]);
    expect((await readMine(player)).games[0]!.snaps).toEqual([
      { id: lanterns.snaps[0], number: 1, seat: 'C', marked: false },
      { id: lanterns.snaps[1], number: 2, seat: 'C', marked: false },
    ]);
    await markAs(player, snap, [{ blocker: 'C', grade: ALL_PLUS }], 'own');
    expect((await readMine(player)).games[0]!.snaps[0]!.marked).toBe(true);
    expect((await readTwoGraders(coach, lanterns.gameId, player.userId)).map((t) => t.other)).toEqual([ALL_PLUS]);
    await publishGame(coach, lanterns.gameId, true);
    const after = await readSnap(player, snap);
    expect([after.grades.map((g) => g.grade), after.ownGrades]).toEqual([[MINUS], false]);
  });

  it('says that he has seen his grades, or asks about his own snap, and is answered', async () => {
    const { coach, player, assistant } = lanterns.members;
    const [snap, other] = lanterns.snaps as [number, number];
    await markAs(coach, snap, [{ blocker: 'C', grade: MINUS }]);
    await markAs(coach, other, [{ blocker: 'LT', grade: MINUS }]);
    const say = (snapId: number | null, question: string) => acknowledge(player, lanterns.gameId, { snapId, question });
    await expect(say(null, '')).rejects.toMatchObject({ statusCode: 404 });
    await publishGame(coach, lanterns.gameId, true);
    await say(null, '');
    const asked = await say(snap, 'Was my hat late?');
    await expect(say(other, 'And his?')).rejects.toMatchObject({ statusCode: 404 });
    await answerPlayer(assistant, asked.id, 'No, your feet.');
    expect((await readMine(player)).said.map((s) => [s.number, s.question, s.answer])).toEqual([
      [1, 'Was my hat late?', 'No, your feet.'],
      [null, '', ''],
    ]);
    expect((await listGradedGames(coach))[0]!.said).toHaveLength(2);
    const terns = await makeProgram(`Terns${count++}`);
    await expect(answerPlayer(terns.members.coach, asked.id, 'x')).rejects.toMatchObject({ statusCode: 404 });
    await expect(
      acknowledge(terns.members.player, lanterns.gameId, { snapId: null, question: '' }),
    ).rejects.toMatchObject({
      statusCode: 404,
    });
    expect(await AcknowledgementRow.count({ where: { gameId: lanterns.gameId } })).toBe(2);
  });

  it('who is nobody on the roster has nothing and says nothing', async () => {
    const nobody = { ...lanterns.members.player, playerId: null };
    await publishGame(lanterns.members.coach, lanterns.gameId, true);
    expect((await readMine(nobody)).said).toEqual([]);
    await expect(acknowledge(nobody, lanterns.gameId, { snapId: null, question: '' })).rejects.toMatchObject({
      statusCode: 404,
    });
    await expect(clipFile(nobody, 999_999)).rejects.toMatchObject({ statusCode: 404 });
  });
});

describe('grades out of the program', () => {
  it('come whole, page by page, with whose reading each is, and go in again the same', async () => {
    const { coach, assistant } = lanterns.members;
    const [first, second] = lanterns.snaps as [number, number];
    await markAs(
      coach,
      first,
      ['LT', 'LG', 'C'].map((blocker) => ({ blocker, grade: ALL_PLUS })),
    );
    await markAs(coach, second, [{ blocker: 'C', grade: { ...MINUS, note: 'Late.', facts: ['pressure'] } }]);
    await markAs(assistant, second, [{ blocker: 'C', grade: ALL_PLUS }], 'own');
    const page = (skip: number) => listRecords(coach, { game: null, skip, take: 2 });
    const [one, two, three] = [await page(0), await page(2), await page(4)];
    expect([one.total, one.records.length, two.records.length, three.records.length]).toEqual([5, 2, 2, 1]);
    const all = [...one.records, ...two.records, ...three.records];
    expect(all.map((r) => r.reading)).toEqual(['grade', 'grade', 'grade', 'grade', assistant.userName]);
    const [heads, ...rows] = writeRecords(
      all.filter((r) => r.reading === 'grade'),
      [],
    );
    const snaps = await listSnaps(coach, lanterns.gameId);
    const context = { snaps, rubric: 'assignment-technique@1', own: [] };
    const { grades, problems } = readRecords(
      heads!.map(String),
      rows.map((r) => r.map(String)),
      context,
    );
    expect(problems).toEqual([]);
    expect(grades.map((g) => [g.snapId, g.blocker, g.grade])).toEqual(
      all.slice(0, 4).map((r) => [lanterns.snaps[r.snap - 1], r.place, r.grade]),
    );
    const terns = await makeProgram(`Terns${count++}`);
    expect(await listRecords(terns.members.coach, { game: lanterns.gameId, skip: 0, take: 10 })).toEqual({
      records: [],
      total: 0,
    });
    expect((await readBook(coach, 'man', {})).total.marks).toBe(4);
  });
});
