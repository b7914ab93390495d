import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { DatabaseError, Sequelize } from 'sequelize';
import pg from 'pg';
import { refusalOf } from '../../server/db/refusals';
import { PlayerRow, SessionRow, UserRow } from '../../server/db/models';
import { SESSION_SECONDS } from '../../server/session/duration';
import { endSession, findSession, startSession } from '../../server/session/sessions';
import { freshDatabase, makeProgram } from './fresh-database';

let db: Awaited<ReturnType<typeof freshDatabase>>;
let lanterns: Awaited<ReturnType<typeof makeProgram>>;
beforeAll(async () => {
  db = await freshDatabase();
  lanterns = await makeProgram('Lanterns');
});
afterAll(() => db.drop());

describe('a log-in', () => {
  const start = () => startSession(lanterns.members.coach.userId, lanterns.programId);

  it('lasts until it is ended, and only that one ends', async () => {
    const [laptop, phone] = [await start(), await start()];
    expect(laptop).not.toBe(phone);
    await endSession(laptop);
    expect(await findSession(laptop)).toBeNull();
    expect(await findSession(phone)).toMatchObject({ userId: lanterns.members.coach.userId });
  });

  it('keeps the moment it ended at, whoever ends it once more', async () => {
    const id = await start();
    await endSession(id);
    const ended = (await SessionRow.findByPk(id))!.endedAt;
    await endSession(id);
    expect((await SessionRow.findByPk(id))!.endedAt).toEqual(ended);
  });

  it('ends by itself after two weeks', async () => {
    const id = await start();
    const at = (seconds: number) =>
      SessionRow.update({ createdAt: new Date(Date.now() - seconds * 1000) }, { where: { id } });
    await at(SESSION_SECONDS - 60);
    expect(await findSession(id)).not.toBeNull();
    await at(SESSION_SECONDS + 60);
    expect(await findSession(id)).toBeNull();
  });

  it('is nobody’s without a cookie, and goes with the user', async () => {
    expect(await findSession(undefined)).toBeNull();
    const user = await UserRow.create({ email: 'gone@lanterns.example', name: 'Gone', passwordHash: 'x' });
    const id = await startSession(user.id, lanterns.programId);
    await user.destroy();
    expect(await findSession(id)).toBeNull();
  });
});

describe('trouble with the database', () => {
  const troubleOf = async (what: Promise<unknown>): Promise<unknown> =>
    what.then(
      () => null,
      (problem: unknown) => problem,
    );

  it('is 503 while it is away', async () => {
    const away = new Sequelize('postgres://nobody@127.0.0.1:1/none', { dialect: 'postgres', dialectModule: pg });
    expect(refusalOf(await troubleOf(away.query('select 1')))).toMatchObject({ statusCode: 503 });
    const killed = db.sequelize.query('select pg_terminate_backend(pg_backend_pid())', { logging: false });
    expect(refusalOf(await troubleOf(killed))).toMatchObject({ statusCode: 503 });
  });

  it('is over by itself once the database is back', async () => {
    await troubleOf(db.sequelize.query('select pg_terminate_backend(pg_backend_pid())', { logging: false }));
    let players = 0;
    for (let tries = 0; tries < 10 && players === 0; tries++) {
      players = await PlayerRow.count().catch((problem: unknown) => {
        expect(refusalOf(problem)).toMatchObject({ statusCode: 503 });
        return 0;
      });
    }
    expect(players).toBe(6);
  });

  it('is 409 for what is there already', async () => {
    const twice = UserRow.create({ email: 'coach@lanterns.example', name: 'Twin', passwordHash: 'x' });
    expect(refusalOf(await troubleOf(twice))).toMatchObject({ statusCode: 409 });
  });

  it('is a mistake of ours when a statement is wrong', async () => {
    const wrong = await troubleOf(db.sequelize.query('select no_such_column', { logging: false }));
    expect(wrong).toBeInstanceOf(DatabaseError);
    expect(refusalOf(wrong)).toBeNull();
    expect(refusalOf(new Error('any'))).toBeNull();
  });
});
