import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { ALL_PLUS } from '#core/model/grade';
import type { Member } from '../../server/session/member';
import { readAttendance, writeAttendance } from '../../server/usecases/attendance';
import { listAudit } from '../../server/usecases/audited';
import { readBook } from '../../server/usecases/book';
import {
  addGame,
  beginSeason,
  changeGame,
  listGames,
  publishGame,
  readSchedule,
  removeGame,
} from '../../server/usecases/schedule';
import { changeSeason, readSeason } from '../../server/usecases/seasons';
import { roster } from '../../server/usecases/roster';
import { freshDatabase, makeProgram } from './fresh-database';
import { markAs } from './marking';

type Program = Awaited<ReturnType<typeof makeProgram>>;
let db: Awaited<ReturnType<typeof freshDatabase>>;
let lanterns: Program;
let terns: Program;
let coach: Member;
beforeAll(async () => {
  db = await freshDatabase();
  lanterns = await makeProgram('Lanterns');
  terns = await makeProgram('Terns');
  coach = lanterns.members.coach;
});
afterAll(() => db.drop());

describe('a schedule', () => {
  it('holds the games of the season that is played, with what there is of each', async () => {
    const made = await addGame(coach, { opponent: 'Graymoor Millers', week: 2, playedOn: '2026-11-28' });
    const { games, seasons } = await readSchedule(coach);
    expect(games.map((g) => [g.week, g.opponent, g.playedOn, g.snaps, g.films])).toEqual([
      [1, 'Quillport Terns', null, 2, 0],
      [2, 'Graymoor Millers', '2026-11-28', 0, 0],
    ]);
    expect(seasons).toMatchObject([{ name: 'Season', games: 2 }]);
    await changeGame(coach, made.id, { opponent: 'Fennick Otters', week: 3, playedOn: null });
    expect((await readSchedule(coach)).games[1]).toMatchObject({ opponent: 'Fennick Otters', week: 3, playedOn: null });
    await removeGame(coach, made.id);
    expect((await readSchedule(coach)).games).toHaveLength(1);
  });

  it('keeps a game with snaps, and knows nothing of another program’s', async () => {
    await expect(removeGame(coach, lanterns.gameId)).rejects.toMatchObject({ statusCode: 409 });
    for (const done of [
      () => removeGame(coach, terns.gameId),
      () => changeGame(coach, terns.gameId, { opponent: 'X', week: 1, playedOn: null }),
      () => publishGame(coach, terns.gameId, true),
    ])
      await expect(done()).rejects.toMatchObject({ statusCode: 404 });
  });

  it('writes down who published what, once', async () => {
    for (const published of [true, true, false]) await publishGame(coach, lanterns.gameId, published);
    const { entries } = await listAudit(coach, { skip: 0, take: 10 });
    expect(entries.map((e) => [e.what, e.about])).toEqual([
      ['unpublished', 'week 1, Quillport Terns'],
      ['published', 'week 1, Quillport Terns'],
    ]);
  });
});

describe('the next season', () => {
  it('begins with the roster and the way of grading, and keeps what was graded', async () => {
    await markAs(coach, lanterns.snaps[0]!, [{ blocker: 'C', grade: ALL_PLUS }]);
    await changeSeason(coach, { rubric: 'plus-minus@1', passLine: 0.7, name: 'Autumn' });
    const [before, men] = [(await readBook(coach, 'man', {})).total, await roster(coach)];
    const { seasons, games } = await beginSeason(coach, '2027');
    expect([seasons.map((s) => [s.name, s.games]), games]).toEqual([
      [
        ['2027', 0],
        ['Autumn', 1],
      ],
      [],
    ]);
    expect(await readSeason(coach)).toMatchObject({ name: '2027', rubric: 'plus-minus@1', passLine: 0.7, others: 1 });
    expect((await readBook(coach, 'man', {})).total).toEqual(before);
    expect((await readBook(coach, 'man', { season: [String(seasons[0]!.id)] })).total.marks).toBe(0);
    expect(await roster(coach)).toEqual(men);
    expect((await listGames(coach)).map((g) => [g.opponent, g.season])).toEqual([['Quillport Terns', 'Autumn']]);
    const next = await addGame(coach, { opponent: 'Saltmarsh Union', week: 1, playedOn: null });
    expect((await listGames(coach)).at(-1)).toMatchObject({ id: next.id, opponent: 'Saltmarsh Union' });
    expect((await listGames(coach)).at(-1)!.season).toBeUndefined();
  });

  it('has a name of its own, also when two begin it at once', async () => {
    const tries = await Promise.allSettled(['2028', '2028', '2028'].map((name) => beginSeason(coach, name)));
    expect(tries.filter((t) => t.status === 'fulfilled')).toHaveLength(1);
    expect((await readSchedule(coach)).seasons.filter((s) => s.name === '2028')).toHaveLength(1);
  });
});

describe('attendance', () => {
  const day = '2026-11-24';
  it('is written down by day and man, the last word counts, and days are counted', async () => {
    const [one, two] = (await roster(coach)).map((p) => p.id) as [number, number];
    await writeAttendance(coach, day, [
      { playerId: one, here: 'here', note: '' },
      { playerId: two, here: 'away', note: 'exam' },
    ]);
    await writeAttendance(coach, '2026-11-25', [{ playerId: two, here: 'here', note: '' }]);
    const written = await writeAttendance(coach, day, [{ playerId: one, here: 'limited', note: '' }]);
    expect(written.men).toEqual([
      { playerId: one, here: 'limited', note: '' },
      { playerId: two, here: 'away', note: 'exam' },
    ]);
    expect(written.days).toEqual([
      { playerId: one, there: 1, of: 1 },
      { playerId: two, there: 1, of: 2 },
    ]);
  });

  it('is of this program’s men only', async () => {
    const [stranger] = await roster(terns.members.coach);
    const sent = [{ playerId: stranger!.id, here: 'here' as const, note: '' }];
    await expect(writeAttendance(coach, day, sent)).rejects.toMatchObject({ statusCode: 404 });
    expect((await readAttendance(terns.members.coach, day)).men).toEqual([]);
  });
});
