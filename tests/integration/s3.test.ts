import { copyFileSync, existsSync, mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import S3rver from 's3rver';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { filmBody } from '../../server/db/mappers';
import { prepareFilm } from '../../server/film/prepare';
import { placesIn } from '../../server/film/places';
import { S3Storage } from '../../server/storage/s3';
import { deleteFilm, noteArrival } from '../../server/usecases/films';
import { film, folder, H264, rowOf } from './film-files';
import { freshDatabase, makeProgram } from './fresh-database';

const own = mkdtempSync(join(tmpdir(), 'violet-chalk-bucket-'));
let service: S3rver;
let endpoint: string;
let db: Awaited<ReturnType<typeof freshDatabase>>;
/** The storage of a machine, with a folder of its own. */
const machine = (name: string): S3Storage =>
  new S3Storage({ endpoint, region: 'us-east-1', bucket: 'film' }, join(own, name));
beforeAll(async () => {
  process.env.AWS_ACCESS_KEY_ID = 'S3RVER';
  process.env.AWS_SECRET_ACCESS_KEY = 'S3RVER';
  service = new S3rver({
    port: 0,
    silent: true,
    directory: join(own, 'service'),
    configureBuckets: [{ name: 'film', configs: [] }],
  });
  const { port } = await service.run();
  endpoint = `http://localhost:${port}`;
  db = await freshDatabase();
});
afterAll(async () => {
  await service.close();
  await db.drop();
  for (const each of [own, folder]) rmSync(each, { recursive: true, force: true });
});
function written(name: string, bytes: Buffer | string): string {
  const file = join(own, name);
  writeFileSync(file, bytes);
  return file;
}

describe('film in a bucket', () => {
  it('is there for every machine once one has taken it over, byte for byte', async () => {
    // More than one part of an upload in parts.
    const bytes = Buffer.alloc(11_000_000, 'lantern ');
    const [one, other] = [machine('one'), machine('other')];
    await one.adopt(written('long.mp4', bytes), 'p1/7.mp4');
    expect(existsSync(join(own, 'long.mp4'))).toBe(false);
    expect([await one.has('p1/7.mp4'), await other.has('p1/7.mp4')]).toEqual([true, true]);
    const files = await Promise.all(Array.from({ length: 5 }, () => other.localFile('p1/7.mp4')));
    expect(new Set(files)).toEqual(new Set([join(own, 'other', 'p1/7.mp4')]));
    expect(readFileSync(files[0]!).equals(bytes)).toBe(true);
  });

  it('is gone for every machine that has no copy when one removes it', async () => {
    const [one, third] = [machine('one'), machine('third')];
    await one.adopt(written('short.jpg', 'still'), 'p1/8.jpg');
    await one.remove('p1/8.jpg');
    expect([await one.has('p1/8.jpg'), await third.has('p1/8.jpg')]).toEqual([false, false]);
    expect(existsSync(await third.localFile('p1/8.jpg'))).toBe(false);
    await one.remove('p1/8.jpg');
  });

  it('shows what lies in the machine’s own folder, and takes no key that leads out of it', async () => {
    const one = machine('one');
    mkdirSync(join(own, 'one'), { recursive: true });
    writeFileSync(join(own, 'one', 'snap-01.webm'), 'demo');
    expect(readFileSync(await one.localFile('snap-01.webm'), 'utf8')).toBe('demo');
    for (const key of ['../out', '/etc/passwd']) {
      await expect(one.localFile(key)).rejects.toThrow('no key');
      await expect(one.adopt(written('x', 'x'), key)).rejects.toThrow('no key');
    }
    expect(await one.free()).toBeGreaterThan(0);
  });

  it('leaves the file where it is, and nothing half-written, when the service cannot be reached', async () => {
    const away = new S3Storage(
      { endpoint: 'http://localhost:9', region: 'us-east-1', bucket: 'film' },
      join(own, 'away'),
    );
    const file = written('kept.mp4', 'kept');
    await expect(away.adopt(file, 'p1/9.mp4')).rejects.toThrow();
    await expect(away.localFile('p1/9.mp4')).rejects.toThrow();
    expect([readFileSync(file, 'utf8'), existsSync(join(own, 'away', 'p1/9.mp4'))]).toEqual(['kept', false]);
  });

  it('comes in on one machine and is watched on another', async () => {
    const program = await makeProgram('Lanterns');
    const places = placesIn(join(own, 'one'), machine('one'));
    mkdirSync(places.arriving, { recursive: true });
    copyFileSync(film('plain.mp4', ...H264), join(places.arriving, 'up'));
    const whose = { programId: program.programId, userId: program.members.coach.userId };
    const id = await noteArrival({
      ...{ upload: 'up', name: 'plain.mp4', kind: 'own game', gameId: null, bytes: 1, keepSound: false },
      ...whose,
    });
    await prepareFilm(id, places);
    const { playable, still, original } = filmBody(await rowOf(id));
    const other = machine('fresh');
    for (const key of [playable, still, original]) expect(existsSync(await other.localFile(key!))).toBe(true);
    await deleteFilm(program.members.coach, id, true, places);
    expect(await machine('later').has(playable!)).toBe(false);
  });
});
