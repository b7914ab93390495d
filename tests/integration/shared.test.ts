import pg from 'pg';
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest';
import { PostgresLocker } from '../../server/film/upload-locks';
import { limitsOn, TRIES, TRIES_FROM_ONE_MACHINE } from '../../server/session/limits';
import { connect } from '../../server/db/database';
import { freshDatabase } from './fresh-database';

let db: Awaited<ReturnType<typeof freshDatabase>>;
beforeAll(async () => {
  db = await freshDatabase();
});
afterAll(() => db.drop());

describe('limits of two processes on one database', () => {
  it('are one limit, however many try at once', async () => {
    const second = connect(db.url);
    const processes = [limitsOn(db.sequelize), limitsOn(second)];
    const tries = await Promise.all(
      Array.from({ length: 2 * TRIES + 4 }, (_, i) => processes[i % 2]!.take('10.0.0.1', 'a@club.example')),
    );
    expect(tries.filter((wait) => wait === null)).toHaveLength(TRIES);
    for (const wait of tries) if (wait !== null) expect(wait).toBeLessThanOrEqual(60_000);
    expect(await processes[1]!.take('10.0.0.2', 'a@club.example')).toBeNull();
    await processes[0]!.forget('10.0.0.2', 'a@club.example');
    await second.close();
    connect(db.url);
  });

  it('count all addresses from one machine too, and forget who got in', async () => {
    const limits = limitsOn(db.sequelize);
    const tries: (number | null)[] = [];
    for (let i = 0; i < TRIES_FROM_ONE_MACHINE + 5; i++)
      tries.push(await limits.take('10.0.0.9', `a${i}@club.example`));
    expect(tries.filter((wait) => wait === null)).toHaveLength(TRIES_FROM_ONE_MACHINE);
    for (let i = 0; i < 3 * TRIES; i++) {
      expect(await limits.take('10.0.0.8', 'b@club.example')).toBeNull();
      await limits.forget('10.0.0.8', 'b@club.example');
    }
  });

  it('keep nothing that says who it was, and go on while the database is away', async () => {
    const [rows] = await db.sequelize.query('select key from rate_limits');
    expect(JSON.stringify(rows)).not.toMatch(/club|10\.0/);
    const away = limitsOn(connect('postgres://nobody@127.0.0.1:1/none'));
    const tries = await Promise.all(Array.from({ length: TRIES + 2 }, () => away.take('10.0.0.1', 'c')));
    expect(tries.filter((wait) => wait === null)).toHaveLength(TRIES);
    connect(db.url);
  });
});

describe('locks of uploads in two processes', () => {
  const free = new AbortController().signal;
  const held = async (): Promise<number> => {
    const client = new pg.Client(db.url);
    await client.connect();
    const { rows } = await client.query<{ n: number }>(
      `select count(*)::int as n from pg_locks where locktype = 'advisory'`,
    );
    await client.end();
    return rows[0]!.n;
  };

  it('are held by one at a time; the next asks for it and gets it', async () => {
    const [one, two] = [new PostgresLocker(db.url).newLock('p1-a'), new PostgresLocker(db.url).newLock('p1-a')];
    const order: string[] = [];
    await one.lock(free, async () => {
      order.push('asked to let go');
      await one.unlock();
    });
    order.push('one holds it');
    await two.lock(free, () => undefined);
    order.push('two holds it');
    expect(order).toEqual(['one holds it', 'asked to let go', 'two holds it']);
    await two.unlock();
    expect(await held()).toBe(0);
  });

  it('of other uploads do not wait for each other', async () => {
    const asked = vi.fn();
    const locks = ['a', 'b', 'c'].map((id) => new PostgresLocker(db.url).newLock(id));
    await Promise.all(locks.map((l) => l.lock(free, asked)));
    expect([await held(), asked.mock.calls.length]).toEqual([3, 0]);
    await Promise.all(locks.map((l) => l.unlock()));
  });

  it('are free when their process is gone', async () => {
    const gone = new PostgresLocker(db.url).newLock('p1-b');
    const lost = vi.fn();
    await gone.lock(free, lost);
    await db.sequelize.query(
      `select pg_terminate_backend(pid) from pg_locks where locktype = 'advisory' and pid <> pg_backend_pid()`,
    );
    const next = new PostgresLocker(db.url).newLock('p1-b');
    await next.lock(free, () => undefined);
    await expect.poll(() => lost).toHaveBeenCalled();
    await next.unlock();
  });

  it('are given up by who does not want them any more', async () => {
    const stubborn = new PostgresLocker(db.url).newLock('p1-c');
    await stubborn.lock(free, () => undefined);
    const waiting = new AbortController();
    const second = new PostgresLocker(db.url).newLock('p1-c').lock(waiting.signal, () => undefined);
    waiting.abort();
    await expect(second).rejects.toMatchObject({ status_code: 500 });
    await stubborn.unlock();
    await expect(stubborn.unlock()).rejects.toThrow('nobody held');
    expect(await held()).toBe(0);
  });
});
