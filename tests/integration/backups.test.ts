import { execFile } from 'node:child_process';
import { mkdir, mkdtemp, readdir, readFile, rm, stat, truncate, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { promisify } from 'node:util';
import { Sequelize } from 'sequelize';
import pg from 'pg';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { PlayerRow, UserRow } from '../../server/db/models';
import type { Member } from '../../server/session/member';
import type { BackupPlaces } from '../../server/copy/backup-places';
import { listBackups, makeBackup, readBackup } from '../../server/usecases/backups';
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
  places = { folder: join(folder, 'kept'), script: 'scripts/backup.sh', databaseUrl: db.url, filmDir };
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
  }, 60_000);

  it('without film says what is missing where it is put back', async () => {
    const { name } = await makeBackup(keeper, false, places);
    const there = await restored(join(places.folder, name));
    expect([there.players, there.film]).toEqual([12, []]);
    expect(there.says).toContain('1 files of film are not in it');
  }, 60_000);

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
  }, 60_000);

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
});
