import pg from 'pg';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { HuddleQuestion, Said } from '#core/model/huddle';
import { HuddleSchema } from '#core/model/huddle';
import { CHANNEL } from '../../server/live/announce';
import { Listener } from '../../server/live/listener';
import type { Member } from '../../server/session/member';
import {
  changeHuddle,
  closeHuddle,
  joinHuddle,
  openHuddle,
  readHuddle,
  sayInHuddle,
} from '../../server/usecases/huddle';
import { CALL, freshDatabase, makeProgram } from './fresh-database';

type Program = Awaited<ReturnType<typeof makeProgram>>;
let db: Awaited<ReturnType<typeof freshDatabase>>;
let lanterns: Program;
let terns: Program;
let coach: Member;
let player: Member;
beforeAll(async () => {
  db = await freshDatabase();
  lanterns = await makeProgram('Lanterns');
  terns = await makeProgram('Terns');
  ({ coach, player } = lanterns.members);
});
afterAll(() => db.drop());

const question = (silent: boolean): HuddleQuestion => ({ call: CALL, says: '', silent });
const said = (seat: string, whom = 'N'): Said => ({ seat, call: null, whom, with: [] });
const see = async (member: Member) => HuddleSchema.parse(await readHuddle(member));

describe('the whole line together', () => {
  it('is one at a time for a program, and none of another program’s business', async () => {
    expect(await readHuddle(player)).toBeNull();
    await openHuddle(coach, lanterns.gameId, question(false));
    await expect(openHuddle(coach, lanterns.gameId, question(false))).rejects.toMatchObject({ statusCode: 409 });
    expect(await readHuddle(terns.members.player)).toBeNull();
    await expect(joinHuddle(terns.members.player, 'LT')).rejects.toMatchObject({ statusCode: 404 });
    await expect(sayInHuddle(terns.members.player, 1, said('LT'))).rejects.toMatchObject({ statusCode: 409 });
    await expect(changeHuddle(terns.members.coach, { number: 1, stage: 'shown' })).rejects.toMatchObject({
      statusCode: 409,
    });
    await expect(openHuddle(terns.members.coach, lanterns.gameId, question(false))).rejects.toMatchObject({
      statusCode: 404,
    });
    expect((await see(player)).number).toBe(1);
  });

  it('a man takes a place, says something, and says something else until it is shown', async () => {
    await expect(sayInHuddle(player, 1, said('C'))).rejects.toMatchObject({ statusCode: 409 });
    await joinHuddle(player, 'C');
    await sayInHuddle(player, 1, said('C', 'T'));
    await sayInHuddle(player, 1, said('C', 'N'));
    const seen = await see(coach);
    expect([seen.said, seen.men]).toEqual([[said('C')], [{ seat: 'C', jersey: 62, hasAnswered: true }]]);
    await changeHuddle(coach, { number: 1, stage: 'shown' });
    await expect(sayInHuddle(player, 1, said('C', 'T'))).rejects.toMatchObject({ statusCode: 409 });
    expect((await see(player)).mine).toEqual(said('C'));
  });

  it('goes on once, however many ask for the next at the same time; what was said to an older question counts no more', async () => {
    const ask = () => changeHuddle(coach, { number: 1, next: question(false) });
    const all = await Promise.allSettled([ask(), ask(), ask(), ask(), ask(), ask()]);
    expect(all.filter((a) => a.status === 'fulfilled')).toHaveLength(1);
    const seen = await see(player);
    expect([seen.number, seen.stage, seen.said, seen.mine]).toEqual([2, 'open', [], null]);
    await expect(sayInHuddle(player, 1, said('C'))).rejects.toMatchObject({ statusCode: 409 });
  });

  it('from another place what he said does not count', async () => {
    await sayInHuddle(player, 2, said('C'));
    await joinHuddle(player, 'LG');
    const seen = await see(player);
    expect([seen.seat, seen.mine, seen.men[0]]).toEqual(['LG', null, { seat: 'LG', jersey: 62, hasAnswered: false }]);
    await expect(sayInHuddle(player, 2, said('C'))).rejects.toMatchObject({ statusCode: 409 });
  });

  it('in silence a player sees nobody else until it is shown; the staff does', async () => {
    await changeHuddle(coach, { number: 2, next: question(true) });
    await joinHuddle(coach, 'LT');
    await sayInHuddle(coach, 3, said('LT', 'LE'));
    await sayInHuddle(player, 3, said('LG'));
    const [his, theirs] = [await see(player), await see(lanterns.members.assistant)];
    expect([his.said, his.mine, theirs.said]).toEqual([[], said('LG'), [said('LT', 'LE'), said('LG')]]);
    await changeHuddle(coach, { number: 3, stage: 'shown' });
    expect((await see(player)).said).toHaveLength(2);
  });

  it('what was said goes with it', async () => {
    await closeHuddle(coach);
    expect(await readHuddle(player)).toBeNull();
    const [rows] = await db.sequelize.query('select count(*)::int as n from huddle_men');
    expect(rows).toEqual([{ n: 0 }]);
    await expect(changeHuddle(coach, { number: 3, stage: 'open' })).rejects.toMatchObject({ statusCode: 409 });
  });
});

describe('what is announced', () => {
  const until = (holds: () => boolean) => expect.poll(holds).toBe(true);

  it('is heard by every process, also after its connection was broken, and then everybody is told', async () => {
    const told: number[][] = [[], []];
    const all = [0, 0];
    const listeners = told.map(
      (list, i) =>
        new Listener(
          db.url,
          (programId) => list.push(programId),
          () => (all[i] = all[i]! + 1),
        ),
    );
    await Promise.all(listeners.map((l) => l.start()));
    await openHuddle(coach, lanterns.gameId, question(false));
    await until(() => told.every((list) => list.includes(lanterns.programId)));
    const client = new pg.Client(db.url);
    await client.connect();
    const cut = await client.query<{ pid: number }>(
      `select pg_terminate_backend(pid) as cut, pid from pg_stat_activity where datname = current_database() and query = 'listen ${CHANNEL}'`,
    );
    expect(cut.rows).toHaveLength(2);
    await until(() => all.every((n) => n >= 1));
    told.forEach((list) => list.splice(0));
    await closeHuddle(coach);
    await until(() => told.every((list) => list.includes(lanterns.programId)));
    await Promise.all(listeners.map((l) => l.stop()));
    await client.end();
  });
});
