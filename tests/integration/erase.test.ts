import { QueryTypes } from 'sequelize';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { sayAudit } from '#core/model/audit';
import { ALL_PLUS } from '#core/model/grade';
import {
  AcknowledgementRow,
  AttendanceRow,
  CutRow,
  FindingRow,
  GameRow,
  GradeChangeRow,
  GradeRow,
  PlayerRow,
  QuizAnswerRow,
  UserRow,
} from '../../server/db/models';
import { findSession, startSession } from '../../server/session/sessions';
import { listAudit } from '../../server/usecases/audited';
import { readBook } from '../../server/usecases/book';
import { erasePlayer } from '../../server/usecases/erase';
import { eraseDue, leftMen } from '../../server/usecases/keep-time';
import { changeProgram } from '../../server/usecases/program';
import { keepAnswers } from '../../server/usecases/quiz';
import { changePlayer, roster } from '../../server/usecases/roster';
import { acknowledge } from '../../server/usecases/said';
import { publishGame } from '../../server/usecases/schedule';
import { freshDatabase, makeProgram } from './fresh-database';
import { markAs } from './marking';

let db: Awaited<ReturnType<typeof freshDatabase>>;
let lanterns: Awaited<ReturnType<typeof makeProgram>>;
let terns: Awaited<ReturnType<typeof makeProgram>>;
let man: PlayerRow;
let marked: Awaited<ReturnType<typeof readBook>>['total'];
const NAME = 'Anselm Rook-Pell';

beforeAll(async () => {
  db = await freshDatabase();
  lanterns = await makeProgram('Lanterns');
  terns = await makeProgram('Terns');
  const { coach, player } = lanterns.members;
  man = (await PlayerRow.findByPk(player.playerId!))!;
  await man.update({ name: NAME });
  await UserRow.update({ name: NAME }, { where: { id: player.userId } });
  for (const [i, snap] of lanterns.snaps.entries()) {
    await markAs(coach, snap, [{ blocker: 'C', grade: { ...ALL_PLUS, note: `${NAME} steps under himself` } }]);
    await markAs(coach, snap, [
      { blocker: 'C', grade: { ...ALL_PLUS, technique: 'minus', note: 'again' } },
      { blocker: 'LG', grade: { ...ALL_PLUS, note: `waits for Rook-Pell ${i}` } },
    ]);
  }
  await publishGame(coach, lanterns.gameId, true);
  await acknowledge(player, lanterns.gameId, { snapId: null, question: 'Why?' });
  await AttendanceRow.create({
    programId: coach.programId,
    playerId: man.id,
    day: '2026-11-24',
    here: 'away',
    note: 'knee',
  });
  const item = { scheme: 'power', side: 'right' as const, tags: [], formationName: 'H', frontName: 'Over', seat: 'C' };
  await keepAnswers(player, lanterns.gameId, [
    {
      ...{ id: '33333333-3333-4333-8333-333333333333', item, parts: { whom: false }, moved: null, seconds: 4 },
      at: '2026-11-25T18:00:00.000Z',
    },
  ]);
  await CutRow.create({ programId: coach.programId, userId: coach.userId, name: `Anselm, all of him`, body: {} });
  const chain = [{ man: 'C', says: `rook-pell is late, the rookie was not` }];
  await FindingRow.create({
    ...{ programId: coach.programId, snapId: lanterns.snaps[0]!, userId: coach.userId, revision: 1 },
    body: { free: [], reads: [], questions: [], cause: { chain, root: 'C', verdict: null, note: '' } },
  });
  marked = (await readBook(coach, 'place', {})).total;
});
afterAll(() => db.drop());

/** Everything the database holds, as text. */
async function everything(): Promise<string> {
  const tables = await db.sequelize.query<{ table: string }>(
    `select table_name as "table" from information_schema.tables where table_schema = 'public'`,
    { type: QueryTypes.SELECT },
  );
  const rows = await Promise.all(
    tables.map(({ table }) => db.sequelize.query(`select * from "${table}"`, { type: QueryTypes.SELECT })),
  );
  return JSON.stringify(rows);
}

describe('erasing a man nobody has graded', () => {
  it('leaves the history of everybody else alone', async () => {
    const { coach } = lanterns.members;
    const before = await GradeChangeRow.count();
    expect(before).toBeGreaterThan(0);
    const spare = await PlayerRow.create({
      ...{ programId: coach.programId, name: 'Otis Wrong', number: 9, seat: '', leftAt: new Date() },
    });
    expect(await erasePlayer(coach, spare.id)).toEqual({ marks: 0, changes: 0, account: false });
    expect(await GradeChangeRow.count()).toBe(before);
    expect((await readBook(coach, 'place', {})).total).toEqual(marked);
  });
});

describe('erasing a man', () => {
  it('is for who has left, by the coach of his program', async () => {
    const { coach } = lanterns.members;
    await expect(erasePlayer(coach, man.id)).rejects.toThrow('write down that he has left first');
    await expect(erasePlayer(terns.members.coach, man.id)).rejects.toMatchObject({ statusCode: 404 });
    const own = (await roster(coach)).find((p) => p.id === man.id)!;
    await changePlayer(coach, man.id, { ...own, left: true });
    expect(await everything()).toContain('Rook-Pell');
  });

  it('leaves no word of him anywhere, and every count as it was', async () => {
    const { coach, player } = lanterns.members;
    const session = await startSession(player.userId, coach.programId);
    expect(await QuizAnswerRow.count({ where: { playerId: man.id } })).toBe(1);
    const erased = await erasePlayer(coach, man.id);
    expect(await QuizAnswerRow.count({ where: { playerId: man.id } })).toBe(0);
    expect(erased).toEqual({ marks: 2, changes: 4, account: true });
    const all = await everything();
    for (const word of [
      'Anselm',
      'Rook-Pell',
      'rook-pell',
      'player@lanterns.example',
      'steps under himself',
      'knee',
      'Why?',
    ])
      expect(all, word).not.toContain(word);
    expect(all).toContain('the rookie was not');
    expect((await readBook(coach, 'place', {})).total).toEqual(marked);
    expect((await readBook(coach, 'man', {})).lines.map((l) => l.label)).toContain('a man erased');
    expect(await findSession(session)).toBeNull();
    expect(await AcknowledgementRow.count()).toBe(0);
  });

  it('keeps what others were marked, with its history', async () => {
    const { coach } = lanterns.members;
    const [guard] = await GradeRow.findAll({ where: { programId: coach.programId, blocker: 'LG' } });
    expect((guard!.body as { note: string }).note).toBe('waits for erased 0');
    expect(await GradeChangeRow.count({ where: { programId: coach.programId, blocker: 'LG' } })).toBe(2);
    expect(await GradeChangeRow.count({ where: { programId: coach.programId, blocker: 'C' } })).toBe(0);
  });

  it('takes him off the roster and out of every line-up’s numbers, and is written down without his name', async () => {
    const { coach } = lanterns.members;
    expect((await roster(coach)).map((p) => p.id)).not.toContain(man.id);
    const game = (await GameRow.findByPk(lanterns.gameId))!;
    expect(JSON.stringify(game.lineup)).not.toContain('"number":62');
    const { entries } = await listAudit(coach, { skip: 0, take: 1 });
    expect(entries[0]).toMatchObject({ what: 'erased', about: 'a man who had left' });
    await expect(erasePlayer(coach, man.id)).rejects.toMatchObject({ statusCode: 404 });
  });

  it('leaves another program alone', async () => {
    expect((await roster(terns.members.coach)).every((p) => p.name.startsWith('Terns'))).toBe(true);
    expect(await UserRow.count({ where: { email: 'player@terns.example' } })).toBe(1);
  });
});

describe('a program that keeps whoever left for a time', () => {
  it('erases him when it is up and not before, of itself only, and writes it down', async () => {
    const club = await makeProgram('Millers');
    const [gone, later, kept] = (await roster(club.members.coach)).slice(0, 3);
    const leaveOn = (id: number, day: string) => PlayerRow.update({ leftAt: new Date(day) }, { where: { id } });
    await leaveOn(gone!.id, '2025-05-31');
    await leaveOn(later!.id, '2026-03-01');
    const known = async (): Promise<string[]> => (await leftMen(club.members.coach)).map((m) => m.name);
    const inNovember = new Date('2026-11-28');

    expect(await eraseDue(inNovember)).toBe(0);
    expect((await leftMen(club.members.coach)).map((m) => m.left.slice(0, 10))).toEqual(['2025-05-31', '2026-03-01']);
    await changeProgram(club.members.coach, { keepLeft: 12 });
    await changeProgram(club.members.coach, { keepLeft: 12 });
    expect(await eraseDue(new Date('2026-05-30'))).toBe(0);
    expect(await eraseDue(inNovember)).toBe(1);
    expect(await known()).toEqual([later!.name]);
    expect((await roster(club.members.coach)).map((p) => p.name)).toContain(kept!.name);
    expect(await eraseDue(inNovember)).toBe(0);
    const { entries } = await listAudit(club.members.coach, { skip: 0, take: 5 });
    expect(entries.map((e) => sayAudit(e)).slice(0, 2)).toEqual([
      'The program itself erased, its time being up, everything said of a man who had left',
      'Millers coach changed how long whoever left is known: a year after he left',
    ]);
    // Kept for longer again, who is not erased yet stays.
    await changeProgram(club.members.coach, { keepLeft: null });
    expect(await eraseDue(new Date('2040-01-01'))).toBe(0);
  });
});
