import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { ALL_PLUS } from '#core/model/grade';
import { ClipRow, MembershipRow, UserRow } from '../../server/db/models';
import { findMember } from '../../server/session/member';
import { hashPassword } from '../../server/session/passwords';
import { logIn, programsOf } from '../../server/usecases/accounts';
import { roster } from '../../server/usecases/roster';
import { changeCall } from '../../server/usecases/change-call';
import { listChanged } from '../../server/usecases/changed-answers';
import { clipFile, listSnaps, readSnap } from '../../server/usecases/film';
import { listGames, publishGame } from '../../server/usecases/schedule';
import { gradeHistory } from '../../server/usecases/grades';
import { CALL, freshDatabase, makeProgram } from './fresh-database';
import { bookOf, markAs } from './marking';

type Program = Awaited<ReturnType<typeof makeProgram>>;
let db: Awaited<ReturnType<typeof freshDatabase>>;
let lanterns: Program;
let terns: Program;
let clip: number;
beforeAll(async () => {
  db = await freshDatabase();
  lanterns = await makeProgram('Lanterns');
  terns = await makeProgram('Terns');
  const body = { framesPerSecond: 30, frames: 100, snapFrame: 24, contactFrame: 40, whistleFrame: 90 };
  clip = (
    await ClipRow.create({
      programId: lanterns.programId,
      snapId: lanterns.snaps[0]!,
      angle: 'end zone',
      file: 'x.webm',
      body,
    })
  ).id;
  await markAs(
    lanterns.members.coach,
    lanterns.snaps[0]!,
    ['LT', 'C', 'RG'].map((blocker) => ({ blocker, grade: ALL_PLUS })),
  );
});
afterAll(() => db.drop());

describe('another program', () => {
  it('is as if it were not there, for every way in', async () => {
    const stranger = terns.members.coach;
    const [snap] = lanterns.snaps as [number];
    for (const way of [
      () => readSnap(stranger, snap),
      () => listSnaps(stranger, lanterns.gameId),
      () => listChanged(stranger, lanterns.gameId),
      () => clipFile(stranger, clip),
      () => gradeHistory(stranger, snap),
      () => markAs(stranger, snap, [{ blocker: 'LT', grade: null }]),
      () => changeCall(stranger, snap, CALL, true),
      () => publishGame(stranger, lanterns.gameId, true),
    ])
      await expect(way()).rejects.toMatchObject({ statusCode: 404 });
    expect(await bookOf(stranger)).toEqual([]);
    expect((await listGames(stranger)).map((g) => g.id)).toEqual([terns.gameId]);
    expect((await roster(stranger)).every((p) => p.name.startsWith('Terns'))).toBe(true);
    expect((await readSnap(lanterns.members.coach, snap)).grades).toHaveLength(3);
  });

  it('may be the same person’s second one', async () => {
    await MembershipRow.create({
      userId: lanterns.members.assistant.userId,
      programId: terns.programId,
      role: 'player',
      playerId: null,
    });
    expect((await programsOf(lanterns.members.assistant.userId)).map((p) => p.role)).toEqual(['assistant', 'player']);
    expect(await findMember(lanterns.members.assistant.userId, terns.programId)).toMatchObject({
      role: 'player',
      programName: 'Terns',
    });
    expect(await findMember(lanterns.members.coach.userId, terns.programId)).toBeNull();
  });
});

describe('a player', () => {
  it('sees nothing before his game is published', async () => {
    const { player } = lanterns.members;
    expect(await listGames(player)).toEqual([]);
    await expect(readSnap(player, lanterns.snaps[0]!)).rejects.toMatchObject({ statusCode: 404 });
    await expect(clipFile(player, clip)).rejects.toMatchObject({ statusCode: 404 });
    expect(await bookOf(player)).toEqual([]);
  });

  it('sees his own marks and nobody else’s afterwards', async () => {
    const { player, coach } = lanterns.members;
    await publishGame(coach, lanterns.gameId, true);
    expect((await readSnap(player, lanterns.snaps[0]!)).grades.map((g) => g.blocker)).toEqual(['C']);
    expect((await bookOf(player)).map((r) => r.blocker)).toEqual(['C']);
    expect((await roster(player)).map((p) => p.seat)).toEqual(['C']);
    expect(await clipFile(player, clip)).toBe('x.webm');
  });
});

describe('logging in', () => {
  it('takes the right password and no other', async () => {
    await UserRow.update(
      { passwordHash: await hashPassword('a lamp in the hollow') },
      { where: { id: lanterns.members.coach.userId } },
    );
    expect(await logIn(' Coach@lanterns.example ', 'a lamp in the hollow')).toEqual({
      id: lanterns.members.coach.userId,
      programId: lanterns.programId,
    });
    expect(await logIn('coach@lanterns.example', 'a lamp in the hollo')).toBeNull();
    expect(await logIn('nobody@lanterns.example', 'a lamp in the hollow')).toBeNull();
    expect((await UserRow.findByPk(lanterns.members.coach.userId))!.passwordHash).not.toContain('lamp');
  });
});
