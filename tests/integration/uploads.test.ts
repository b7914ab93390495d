import { Agent, createServer, request, type Server as HttpServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { existsSync, readFileSync, readdirSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Locker } from '@tus/utils';
import { afterAll, afterEach, beforeAll, describe, expect, it, vi } from 'vitest';
import { FilmRow, GameRow } from '../../server/db/models';
import { placesIn, type FilmPlaces } from '../../server/film/places';
import { PostgresLocker } from '../../server/film/upload-locks';
import { noteLeftOver, uploadServer, UPLOAD_PATH } from '../../server/film/uploads';
import type { Member } from '../../server/session/member';
import { folder } from './film-files';
import { freshDatabase, makeProgram } from './fresh-database';

type Program = Awaited<ReturnType<typeof makeProgram>>;
const places = placesIn(join(folder, 'uploads'));
const bytes = Buffer.from(Array.from({ length: 300_000 }, (_, i) => (i * 7919) % 251));
let db: Awaited<ReturnType<typeof freshDatabase>>;
let lanterns: Program;
let terns: Program;
let server: HttpServer;
let url: string;
let asking: Member;
let arrived: number[] = [];

/** The server as a process that has just started: nothing but files and the database is left of the one before. */
async function start(at: FilmPlaces = places, locker: Locker = new PostgresLocker(db.url)): Promise<void> {
  server = createServer((request, response) => {
    void uploadServer(asking, at, locker, async (film) => void arrived.push(film)).handle(request, response);
  });
  await new Promise<void>((done) => server.listen(0, '127.0.0.1', done));
  url = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
}
const kill = (): Promise<void> =>
  new Promise((done) => {
    server.closeAllConnections();
    server.close(() => done());
  });

beforeAll(async () => {
  db = await freshDatabase();
  lanterns = await makeProgram('Lanterns');
  terns = await makeProgram('Terns');
  asking = lanterns.members.assistant;
  await start();
});
afterEach(async () => {
  asking = lanterns.members.assistant;
  arrived = [];
  for (const file of readdirSync(places.arriving)) rmSync(join(places.arriving, file));
  await FilmRow.destroy({ where: {} });
});
afterAll(async () => {
  await kill();
  rmSync(folder, { recursive: true, force: true });
  await db.drop();
});

const PROTOCOL = { 'tus-resumable': '1.0.0' };
const said = (meta: Record<string, string>): string =>
  Object.entries(meta)
    .map(([key, value]) => `${key} ${Buffer.from(value).toString('base64')}`)
    .join(',');
const create = (meta: Record<string, string>, length: number | string = bytes.length): Promise<Response> =>
  fetch(url + UPLOAD_PATH, {
    method: 'POST',
    headers: { ...PROTOCOL, 'upload-length': String(length), 'upload-metadata': said(meta) },
  });
async function begin(meta: Record<string, string> = {}, length = bytes.length): Promise<string> {
  const answer = await create({ name: 'snap 3 sideline.mp4', kind: 'own game', ...meta }, length);
  expect(answer.status).toBe(201);
  return answer.headers.get('location')!;
}
const offset = async (place: string): Promise<number> =>
  Number((await fetch(url + place, { method: 'HEAD', headers: PROTOCOL })).headers.get('upload-offset'));
const part = (place: string, from: number, to: number): Promise<Response> =>
  fetch(url + place, {
    method: 'PATCH',
    headers: { ...PROTOCOL, 'content-type': 'application/offset+octet-stream', 'upload-offset': String(from) },
    body: bytes.subarray(from, to),
  });

describe('an upload', () => {
  it('arrives whole in parts, and is a film with what was said of it', async () => {
    const place = await begin({ game: String(lanterns.gameId), sound: 'keep' });
    for (let at = 0; at < bytes.length; at += 100_000) expect((await part(place, at, at + 100_000)).status).toBe(204);
    const [row] = await FilmRow.findAll();
    expect(row).toMatchObject({
      name: 'snap 3 sideline.mp4',
      kind: 'own game',
      state: 'waiting',
      bytes: String(bytes.length),
      programId: lanterns.programId,
      gameId: lanterns.gameId,
      userId: asking.userId,
    });
    expect(arrived).toEqual([row!.id]);
    expect(readFileSync(join(places.arriving, row!.upload))).toEqual(bytes);
  });

  it('may be of no game', async () => {
    const place = await begin({ game: '' });
    await part(place, 0, bytes.length);
    expect((await FilmRow.findAll())[0]).toMatchObject({ gameId: null, kind: 'own game' });
  });

  it('goes on where it was broken off, by the network or by the server', async () => {
    const place = await begin();
    await part(place, 0, 120_000);
    await kill();
    await start();
    expect(await offset(place)).toBe(120_000);
    expect((await part(place, 0, 50_000)).status).toBe(409);
    await part(place, 120_000, 297_000);
    await kill();
    await start();
    expect(await FilmRow.count()).toBe(0);
    await part(place, await offset(place), bytes.length);
    expect(readFileSync(join(places.arriving, (await FilmRow.findAll())[0]!.upload))).toEqual(bytes);
  });

  it('of which a large part is refused leaves the connection good for what comes next', async () => {
    const place = await begin({}, 5_000_000);
    const agent = new Agent({ keepAlive: true, maxSockets: 1 });
    const ask = (method: string, more: Record<string, string>, body?: Buffer): Promise<number> =>
      new Promise((done, failed) => {
        const asked = request(url + place, { method, agent, headers: { ...PROTOCOL, ...more } }, (answer) => {
          answer.resume().on('end', () => done(answer.statusCode!));
        });
        asked.on('error', failed).end(body);
      });
    const wrong = { 'content-type': 'application/offset+octet-stream', 'upload-offset': '7' };
    expect(await ask('PATCH', wrong, Buffer.alloc(4_000_000))).toBe(409);
    expect(await ask('HEAD', {})).toBe(200);
    agent.destroy();
  });

  it('that became whole while nobody could be told is found after the start, once', async () => {
    const place = await begin();
    await part(place, 0, bytes.length);
    await FilmRow.destroy({ where: {} });
    const [film] = await noteLeftOver(places);
    expect(await noteLeftOver(places)).toEqual([film]);
    expect(await FilmRow.count()).toBe(1);
    await begin();
    expect(await noteLeftOver(places)).toEqual([film]);
  });

  it('nobody can make sense of is left where it is, and the others are found', async () => {
    const [spoilt, good] = [await begin(), await begin()];
    for (const place of [spoilt, good]) await part(place, 0, bytes.length);
    await FilmRow.destroy({ where: {} });
    const note = join(places.arriving, `${spoilt.split('/').at(-1)!}.json`);
    const kept = JSON.parse(readFileSync(note, 'utf8')) as object;
    writeFileSync(note, JSON.stringify({ ...kept, metadata: { name: 'x', kind: 'holiday' } }));
    expect(await noteLeftOver(places)).toHaveLength(1);
    expect((await FilmRow.findAll()).map((f) => f.upload)).toEqual([good.split('/').at(-1)]);
    expect(existsSync(note)).toBe(true);
  });

  it('for a game that was deleted meanwhile is of no game', async () => {
    const { seasonId } = (await GameRow.findByPk(lanterns.gameId))!;
    const game = await GameRow.create({
      programId: lanterns.programId,
      seasonId,
      opponent: 'X',
      week: 2,
      published: false,
    });
    const place = await begin({ game: String(game.id) });
    await game.destroy();
    await part(place, 0, bytes.length);
    expect((await FilmRow.findAll())[0]).toMatchObject({ gameId: null });
  });

  it('that nobody goes on with is given up after two weeks', async () => {
    const [old, young] = [await begin(), await begin()];
    const note = join(places.arriving, `${old.split('/').at(-1)!}.json`);
    const kept = JSON.parse(readFileSync(note, 'utf8')) as object;
    writeFileSync(
      note,
      JSON.stringify({ ...kept, creation_date: new Date(Date.now() - 15 * 86_400_000).toISOString() }),
    );
    await noteLeftOver(places);
    const has = async (place: string) => (await fetch(url + place, { method: 'HEAD', headers: PROTOCOL })).ok;
    expect([await has(old), await has(young)]).toEqual([false, true]);
  });

  it('is told by nobody but its own program', async () => {
    const place = await begin();
    await part(place, 0, 1000);
    asking = terns.members.coach;
    for (const answer of [
      await fetch(url + place, { method: 'HEAD', headers: PROTOCOL }),
      await part(place, 1000, 2000),
      await fetch(url + place, { method: 'DELETE', headers: PROTOCOL }),
    ])
      expect(answer.status).toBe(404);
    asking = lanterns.members.coach;
    expect(await offset(place)).toBe(1000);
  });

  it('is taken back with everything that came', async () => {
    const place = await begin();
    await part(place, 0, 1000);
    expect((await fetch(url + place, { method: 'DELETE', headers: PROTOCOL })).status).toBe(204);
    expect(existsSync(join(places.arriving, place.split('/').at(-1)!))).toBe(false);
  });

  it.each([
    ['without a name', { kind: 'practice' }, 10, 400, 'name'],
    ['of no kind', { name: 'x.mp4', kind: 'holiday' }, 10, 400, 'kind'],
    ['with a name nobody can keep', { name: 'x\0.mp4', kind: 'practice' }, 10, 400, 'number 0'],
    ['for a game of nobody', { name: 'x.mp4', kind: 'practice', game: '987654' }, 10, 404, 'game'],
    ['of nothing', { name: 'x.mp4', kind: 'practice' }, 0, 400, 'empty'],
    ['larger than any game', { name: 'x.mp4', kind: 'practice' }, 30_000_000_000, 413, ''],
  ])('%s is refused before anything is sent', async (_what, meta, length, status, says) => {
    const answer = await create(meta as Record<string, string>, length);
    expect(answer.status).toBe(status);
    expect(await answer.text()).toContain(says);
    expect(await FilmRow.count()).toBe(0);
  });

  it('for a game of another program is refused as if there were none', async () => {
    const answer = await create({ name: 'x.mp4', kind: 'practice', game: String(terns.gameId) }, 10);
    expect(answer.status).toBe(404);
  });

  it('that does not fit on the disk is refused with both sizes', async () => {
    await kill();
    const full = { ...places, storage: Object.create(places.storage, { free: { value: async () => 500_100_000 } }) };
    await start(full as FilmPlaces);
    const answer = await create({ name: 'game.mp4', kind: 'own game' }, 3_000_000);
    expect([answer.status, await answer.text()]).toEqual([
      507,
      expect.stringContaining('needs 3 MB, and 1 MB are free'),
    ]);
    await kill();
    await start();
  });

  it('that fills the disk half way says so, and goes on once there is room', async () => {
    const place = await begin();
    const file = join(places.arriving, place.split('/').at(-1)!);
    rmSync(file);
    symlinkSync('/dev/full', file);
    const answer = await part(place, 0, 120_000);
    expect([answer.status, await answer.text()]).toEqual([507, expect.stringContaining('The disk is full; make room')]);
    rmSync(file);
    writeFileSync(file, '');
    expect((await part(place, 0, bytes.length)).status).toBe(204);
    expect(readFileSync(file)).toEqual(bytes);
  });

  it.each([
    ['Client has encountered a connection error and is not queryable', 503, 'The database does not answer just now'],
    ['the wheel came off', 500, 'This part could not be taken'],
  ])('keeps what has come when %s, says so in words of ours, and goes on', async (trouble, status, says) => {
    const place = await begin();
    await part(place, 0, 120_000);
    await kill();
    const unlock = async (): Promise<void> => undefined;
    await start(places, { newLock: () => ({ lock: () => Promise.reject(new Error(trouble)), unlock }) });
    const heard = vi.spyOn(console, 'error').mockImplementation(() => undefined);
    const answer = await part(place, 120_000, 200_000);
    expect([answer.status, ((await answer.json()) as { message: string }).message]).toEqual([
      status,
      expect.stringMatching(new RegExp(`^${says}.* What has come so far is kept\\.$`)),
    ]);
    // What nobody foresaw is told to whoever keeps the machine.
    expect(heard).toHaveBeenCalledTimes(status === 500 ? 1 : 0);
    heard.mockRestore();
    await kill();
    await start();
    expect(await offset(place)).toBe(120_000);
    expect((await part(place, 120_000, bytes.length)).status).toBe(204);
    expect(arrived).toHaveLength(1);
  });

  it('has no address outside its folder', async () => {
    for (const place of [
      '/api/upload/..%2f..%2fetc%2fpasswd',
      '/api/upload/p1-x',
      `/api/upload/p${lanterns.programId}-toString`,
    ])
      expect((await fetch(url + place, { method: 'HEAD', headers: PROTOCOL })).status).toBe(404);
  });
});
