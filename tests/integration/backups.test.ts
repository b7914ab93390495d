import { execFile } from 'node:child_process';
import { mkdir, mkdtemp, readdir, readFile, rm, stat, truncate, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Readable } from 'node:stream';
import { promisify } from 'node:util';
import { Sequelize } from 'sequelize';
import pg from 'pg';
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest';
import { PlayerRow, UserRow } from '../../server/db/models';
import { whyClosed } from '../../server/opening';
import type { Member } from '../../server/session/member';
import { hashPassword } from '../../server/session/passwords';
import type { BackupPlaces } from '../../server/copy/backup-places';
import { listBackups, makeBackup, readBackup } from '../../server/usecases/backups';
import { bringBackup, restoreBackup } from '../../server/usecases/restore';
import { freshDatabase, makeProgram } from './fresh-database';

const run = promisify(execFile);
let db: Awaited<ReturnType<typeof freshDatabase>>;
let folder: string;
let places: BackupPlaces;
let keeper: Member;
let other: Member;
beforeAll(async () => {
  db = await freshDatabase();
  folder = await mkdtemp(join(tmpdir(), 'backups-'));
  keeper = (await makeProgram('Lanterns')).members.coach;
  other = (await makeProgram('Terns')).members.coach;
  await UserRow.update({ keeper: true }, { where: { id: keeper.userId } });
  const filmDir = join(folder, 'film');
  await mkdir(join(filmDir, 'p1'), { recursive: true });
  await writeFile(join(filmDir, 'p1', '7.mp4'), 'a film');
  await mkdir(join(filmDir, 'arriving'));
  await writeFile(join(filmDir, 'arriving', 'half'), 'half a film');
  places = {
    folder: join(folder, 'kept'),
    script: 'scripts/backup.sh',
    restoring: 'scripts/restore.sh',
    databaseUrl: db.url,
    filmDir,
  };
});
afterAll(async () => {
  await db.drop();
  await rm(folder, { recursive: true, force: true });
});

/** Another machine: a database and a film folder of its own, with a backup put back there. */
async function restored(file: string): Promise<{ players: number; film: string[]; says: string }> {
  const name = `restored_${process.pid}`;
  const admin = new Sequelize(db.url, { dialect: 'postgres', dialectModule: pg, logging: false });
  await admin.query(`drop database if exists ${name}`);
  await admin.query(`create database ${name}`);
  const url = db.url.replace(/\/[^/]*$/, `/${name}`);
  const filmDir = join(folder, name);
  try {
    const env = { ...process.env, NUXT_DATABASE_URL: url, NUXT_FILM_DIR: filmDir };
    const { stdout } = await run('bash', ['scripts/restore.sh', file], { env });
    const there = new Sequelize(url, { dialect: 'postgres', dialectModule: pg, logging: false });
    const [rows] = await there.query('select count(*)::int as n from players');
    await there.close();
    const film = await readdir(filmDir, { recursive: true });
    return { players: (rows as { n: number }[])[0]!.n, film, says: stdout };
  } finally {
    await admin.query(`drop database if exists ${name}`);
    await admin.close();
    await rm(filmDir, { recursive: true, force: true });
  }
}

describe('a backup', () => {
  it('is for who keeps the installation', async () => {
    for (const ask of [
      () => listBackups(other, places),
      () => makeBackup(other, false, places),
      () => readBackup(other, 'x.tar', places),
    ])
      await expect(ask()).rejects.toMatchObject({ statusCode: 403 });
    expect(await listBackups(keeper, places)).toEqual([]);
  });

  it('holds everything, and another machine stands as this one did', async () => {
    const { name, erasedSince } = await makeBackup(keeper, true, places);
    expect(erasedSince).toBe(0);
    const file = join(places.folder, name);
    expect((await stat(file)).mode & 0o077).toBe(0);
    const there = await restored(file);
    expect(there.players).toBe(12);
    expect(there.film).toContain('p1/7.mp4');
    expect(there.film).not.toContain('arriving/half');
    expect(there.says).toMatch(/^Restored as of 20/);
    expect(there.says).not.toContain('not in it');
  });

  it('without film says what is missing where it is put back', async () => {
    const { name } = await makeBackup(keeper, false, places);
    const there = await restored(join(places.folder, name));
    expect([there.players, there.film]).toEqual([12, []]);
    expect(there.says).toContain('1 files of film are not in it');
  });

  it('says how many people were erased since', async () => {
    await PlayerRow.update(
      { erasedAt: new Date(Date.now() + 5000) },
      { where: { programId: other.programId, seat: 'C' } },
    );
    expect((await listBackups(keeper, places)).map((b) => b.erasedSince)).toEqual([1, 1]);
    await PlayerRow.update({ erasedAt: null }, { where: { programId: other.programId } });
  });

  it('that is broken is refused and nothing is changed there', async () => {
    const [{ name }] = (await listBackups(keeper, places)) as [{ name: string }];
    const whole = join(places.folder, name);
    const broken = join(folder, 'broken.tar');
    for (const bytes of [0, 600, 4000]) {
      await writeFile(broken, await readFile(whole));
      await truncate(broken, bytes);
      await expect(restored(broken)).rejects.toThrow('Nothing was changed.');
    }
    await expect(restored(join(folder, 'none.tar'))).rejects.toThrow('There is no file');
  });

  it('of a newer build is refused where an older one stands', async () => {
    const record = async (sql: string): Promise<void> => void (await db.sequelize.query(sql));
    await record(`insert into "SequelizeMeta" (name) values ('9999-from-tomorrow')`);
    const { name } = await makeBackup(keeper, false, places);
    try {
      await expect(restored(join(places.folder, name))).rejects.toThrow(
        /newer build of Violet Chalk than this one \(9999-from-tomorrow\).*Nothing was changed\./,
      );
      await record(`delete from "SequelizeMeta" where name = '9999-from-tomorrow'`);
      await expect(
        restored(join(places.folder, (await makeBackup(keeper, false, places)).name)),
      ).resolves.toMatchObject({ players: await PlayerRow.count() });
    } finally {
      await record(`delete from "SequelizeMeta" where name = '9999-from-tomorrow'`);
    }
  });

  it('that cannot be made leaves nothing and says why', async () => {
    const before = await readdir(places.folder);
    const away = { ...places, databaseUrl: 'postgres://nobody@127.0.0.1:1/none' };
    await expect(makeBackup(keeper, false, away)).rejects.toThrow(
      'The database could not be read. Nothing was written.',
    );
    expect(await readdir(places.folder)).toEqual(before);
  });

  it('is only what is one', async () => {
    for (const name of ['../film/p1/7.mp4', 'none.tar', '..', ''])
      await expect(readBackup(keeper, name, places)).rejects.toMatchObject({ statusCode: 404 });
  });

  describe('put back while everything runs', () => {
    const PASSWORD = 'a password of his own';
    const beside = { stop: vi.fn(() => Promise.resolve()), start: vi.fn(() => Promise.resolve()) };
    const names = async (): Promise<string[]> =>
      (await PlayerRow.findAll({ where: { programId: keeper.programId, seat: 'C' } })).map((p) => p.name);
    const put = (name: string, password = PASSWORD) => restoreBackup(keeper, { name, password }, places, beside);
    beforeAll(async () => {
      await UserRow.update({ passwordHash: await hashPassword(PASSWORD) }, { where: { id: keeper.userId } });
    });

    it('stands where everything stood, keeps what was there as a backup, and goes on by itself', async () => {
      const was = await names();
      const { name } = await makeBackup(keeper, false, places);
      await PlayerRow.update({ name: 'Changed Since' }, { where: { programId: keeper.programId, seat: 'C' } });
      const { before, says } = await put(name);
      expect(says).toMatch(/^Restored as of 20/);
      expect(await names()).toEqual(was);
      expect([beside.stop.mock.calls.length, beside.start.mock.calls.length]).toEqual([1, 1]);
      await put(before);
      expect(await names()).toEqual(['Changed Since']);
      await put(name);
    });

    it('tells whoever asks meanwhile why, and a second one that there is one', async () => {
      const { name } = await makeBackup(keeper, false, places);
      let [meanwhile, second]: [string | null, unknown] = [null, null];
      const looking = {
        ...beside,
        stop: async () => {
          meanwhile = whyClosed();
          second = await put(name).catch((problem: unknown) => problem);
        },
      };
      await restoreBackup(keeper, { name, password: PASSWORD }, places, looking);
      expect(meanwhile).toMatch(/being put back/);
      expect(second).toMatchObject({ statusCode: 503, message: meanwhile });
      expect(whyClosed()).toBeNull();
    });

    it('is for who keeps the installation, with his password, and only of a whole backup', async () => {
      const was = await names();
      const { name } = await makeBackup(keeper, false, places);
      const count = async (): Promise<number> => (await readdir(places.folder)).length;
      const before = await count();
      await expect(restoreBackup(other, { name, password: 'x' }, places, beside)).rejects.toMatchObject({
        statusCode: 403,
      });
      await expect(put(name, 'guessed')).rejects.toMatchObject({ statusCode: 403 });
      for (const none of ['none.tar', '../x.tar', ''])
        await expect(put(none)).rejects.toMatchObject({ statusCode: 404 });
      expect(await count()).toBe(before);
      const whole = await readFile(join(places.folder, name));
      await writeFile(join(places.folder, 'broken.tar'), whole.subarray(0, 6000));
      await expect(put('broken.tar')).rejects.toMatchObject({ statusCode: 409, message: /Nothing was changed\.$/ });
      expect([await names(), whyClosed()]).toEqual([was, null]);
      await rm(join(places.folder, 'broken.tar'));
    });

    it('may come from another machine; a file that is none leaves nothing', async () => {
      const { name } = await makeBackup(keeper, false, places);
      const whole = await readFile(join(places.folder, name));
      const brought = await bringBackup(keeper, Readable.from([whole.subarray(0, 700), whole.subarray(700)]), places);
      expect(brought).toMatchObject({ name: expect.stringMatching(/^brought-/), bytes: whole.length });
      expect((await stat(join(places.folder, brought.name))).mode & 0o077).toBe(0);
      const there = await readdir(places.folder);
      for (const other of [Buffer.alloc(0), Buffer.from('a letter'), whole.subarray(600)])
        await expect(bringBackup(keeper, Readable.from([other]), places)).rejects.toMatchObject({ statusCode: 400 });
      await expect(bringBackup(other, Readable.from([whole]), places)).rejects.toMatchObject({ statusCode: 403 });
      expect(await readdir(places.folder)).toEqual(there);
    });
  });
});
