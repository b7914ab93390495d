import { rmSync } from 'node:fs';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { ALL_PLUS } from '#core/model/grade';
import { WeekPlanSchema } from '#core/model/week-plan';
import { ClipRow, GameRow, GradeRow } from '../../server/db/models';
import { readBook } from '../../server/usecases/book';
import { readPlayResults } from '../../server/usecases/book-plays';
import { addSnaps } from '../../server/usecases/add-snaps';
import { listSnaps, readSnap } from '../../server/usecases/film';
import { listGradedGames } from '../../server/usecases/grading';
import { readCounts } from '../../server/usecases/week-counts';
import { addGame, listGames, publishGame, readSchedule } from '../../server/usecases/schedule';
import { readWeek, writeWeek } from '../../server/usecases/weeks';
import { film, folder, H264, prepared } from './film-files';
import { CALL, freshDatabase, makeProgram } from './fresh-database';
import { markAs } from './marking';

type Program = Awaited<ReturnType<typeof makeProgram>>;
let db: Awaited<ReturnType<typeof freshDatabase>>;
let own: Program;
let theirs: number;
let snapId: number;
const ODD = { ...CALL, front: 'LE 5 left; N 0; RE 5 right; W 20 left; M 20 right', frontName: 'Odd' };
beforeAll(async () => {
  db = await freshDatabase();
  own = await makeProgram('Lanterns');
  const made = await addGame(own.members.assistant, { opponent: 'Terns', theirs: 'Millers', week: 2 });
  expect(made).toMatchObject({ opponent: 'Terns', theirs: 'Millers', snaps: 0 });
  theirs = made.id;
  snapId = (await addSnaps(own.members.assistant, theirs, [1, 2, 3], ODD)).first!;
});
afterAll(async () => {
  rmSync(folder, { recursive: true, force: true });
  await db.drop();
});

describe('a game of theirs', () => {
  it('is watched and logged like one of ours, and says whose it is', async () => {
    const games = await listGames(own.members.coach);
    expect(games.map((g) => [g.opponent, g.theirs, g.snaps])).toEqual([
      [expect.any(String), undefined, 2],
      ['Terns', 'Millers', 3],
    ]);
    expect((await listSnaps(own.members.coach, theirs)).map((s) => s.call.frontName)).toEqual(['Odd', 'Odd', 'Odd']);
  });

  it('has none of our men on the field, and nobody in it is marked', async () => {
    expect((await readSnap(own.members.coach, snapId)).field).toEqual([]);
    for (const sheet of ['program', 'own'] as const)
      await expect(
        markAs(own.members.coach, snapId, [{ blocker: 'LT', grade: ALL_PLUS }], sheet),
      ).rejects.toMatchObject({
        statusCode: 409,
        message: 'It is a game of theirs: neither line of it is graded. Nothing was changed.',
      });
    expect(await GradeRow.count({ where: { snapId } })).toBe(0);
    await expect(publishGame(own.members.coach, theirs, true)).rejects.toMatchObject({ statusCode: 409 });
    expect((await GameRow.findByPk(theirs))!.published).toBe(false);
  });

  it('is in no count of ours: schedule, grading, what there is to do, the Book', async () => {
    const { coach } = own.members;
    const ours = [own.gameId];
    expect((await readSchedule(coach)).games.map((g) => g.id)).toEqual(ours);
    expect((await listGradedGames(coach)).map((g) => g.id)).toEqual(ours);
    const counts = await readCounts(coach);
    expect([counts.games, counts.graded.map((g) => g.gameId)]).toEqual([1, ours]);
    await markAs(coach, own.snaps[0]!, [{ blocker: 'LT', grade: ALL_PLUS }]);
    expect((await readBook(coach, 'game', {})).lines.map((l) => l.key)).toEqual([String(own.gameId)]);
    expect((await readPlayResults(coach, 'front', {})).total.counts.snaps).toBe(2);
  });

  it('has no week of its own, and what they showed in it is offered in the week they come', async () => {
    const { coach } = own.members;
    const next = await addGame(coach, { opponent: 'Terns', week: 5 });
    const body = WeekPlanSchema.parse({ plays: [], looks: [] });
    await expect(writeWeek(coach, theirs, 'plan', { revision: 0, body })).rejects.toMatchObject({ statusCode: 404 });
    const { seen } = await readWeek(coach, next.id);
    expect(seen).toContainEqual({ front: ODD.front, frontName: 'Odd', snaps: 3, weeks: [2] });
  });

  it('shows film of an opponent with its snaps, and film of ours with none', async () => {
    const named = film('theirs.mp4', ...H264, '-t', '0.5');
    const row = await prepared(own, named, 'x.mp4', theirs);
    await row.update({ kind: 'opponent', name: 'snap 4 sideline.mp4' });
    const wrong = await prepared(own, film('ours.mp4', ...H264, '-t', '0.5', '-vf', 'vflip'), 'y.mp4', theirs);
    await wrong.update({ kind: 'own game', name: 'snap 5 sideline.mp4' });
    await addSnaps(own.members.coach, theirs, [4, 5], ODD);
    const clips = await ClipRow.findAll({ where: { programId: own.programId } });
    expect(clips.map((c) => c.filmId)).toEqual([row.id]);
  });

  it('is closed to players, and another program’s to everybody', async () => {
    await expect(readSnap(own.members.player, snapId)).rejects.toMatchObject({ statusCode: 404 });
    expect((await listGames(own.members.player)).map((g) => g.id)).not.toContain(theirs);
    const terns = await makeProgram('Terns');
    await expect(listSnaps(terns.members.coach, theirs)).rejects.toMatchObject({ statusCode: 404 });
  });
});
