import { existsSync, mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { demoClip } from '#demo/scenario';
import { FilmRow } from '../../server/db/models';
import { filmBody } from '../../server/db/mappers';
import { prepareFilm } from '../../server/film/prepare';
import { probeFilm } from '../../server/film/tools';
import { deleteFilm, noteArrival, steerFilm } from '../../server/usecases/films';
import { arrive, cutOff, film, folder, H264, localOf, places, prepared, rowOf, textFile } from './film-files';
import { freshDatabase, makeProgram } from './fresh-database';

type Program = Awaited<ReturnType<typeof makeProgram>>;
let db: Awaited<ReturnType<typeof freshDatabase>>;
let lanterns: Program;
let terns: Program;
let plain: string;
beforeAll(async () => {
  db = await freshDatabase();
  lanterns = await makeProgram('Lanterns');
  terns = await makeProgram('Terns');
  plain = film('plain.mp4', ...H264);
});
afterAll(async () => {
  rmSync(folder, { recursive: true, force: true });
  await db.drop();
});
beforeEach(() => FilmRow.destroy({ where: {} }));

describe('a film that comes in', () => {
  it('plays as it came when a browser shows every frame of it', async () => {
    const row = await prepared(lanterns, plain, 'plain.mp4');
    const body = filmBody(row);
    expect(row.state).toBe('ready');
    expect(body).toMatchObject({ rewritten: [], facts: { frames: 60, rate: 30, even: true, codec: 'h264' } });
    expect(body.playable).toBe(body.original);
    expect(readFileSync(localOf(body.original))).toEqual(readFileSync(plain));
    expect(readFileSync(localOf(body.still)).subarray(0, 2)).toEqual(Buffer.from([0xff, 0xd8]));
    expect(existsSync(join(places.arriving, row.upload))).toBe(false);
  });

  it('keeps when it was shot, also when it is written anew', async () => {
    const at = '2026-10-03T14:30:12.000000Z';
    for (const [name, args] of [
      ['shot.mp4', H264],
      ['shot.ts.mov', ['-c:v', 'mpeg4', '-f', 'mov']],
    ] as const) {
      const row = await prepared(lanterns, film(name, ...args, '-metadata', `creation_time=${at}`), name);
      expect([row.state, filmBody(row).facts!.shot]).toEqual(['ready', at]);
    }
  });

  it.each([
    ['another wrapping', 'tape.ts', [...H264, '-f', 'mpegts'], 'opens mpegts'],
    ['another codec', 'old.avi', ['-c:v', 'mpeg4'], 'opens avi'],
    [
      'frames that do not last alike',
      'phone.mp4',
      ['-vf', 'settb=1/90000,setpts=PTS+1500*gt(mod(N\\,10)\\,4)', '-fps_mode', 'passthrough', ...H264],
      'last alike',
    ],
    [
      'one whole frame only',
      'long.mp4',
      [...H264, '-vf', 'loop=2:60', '-g', '600', '-keyint_min', '600', '-sc_threshold', '0'],
      'work through',
    ],
  ])('is written anew for %s: every frame as long as the next, the original kept', async (_why, name, args, says) => {
    const file = film(name, ...args);
    const row = await prepared(lanterns, file, name);
    const body = filmBody(row);
    expect([row.state, body.problem]).toEqual(['ready', '']);
    expect(body.rewritten.join()).toContain(says);
    expect(body.facts).toMatchObject({ codec: 'h264', even: true, sound: false });
    expect(body.facts!.keyEvery).toBeLessThanOrEqual(15);
    expect(readFileSync(localOf(body.original))).toEqual(readFileSync(file));
    const before = await probeFilm(file);
    expect(before.ok && Math.abs(before.facts.duration - body.facts!.duration)).toBeLessThan(0.1);
  });

  it('of a phone has frames that last alike afterwards, and shows the same moments', async () => {
    const phone = 'demo/film/phone/snap-03-sideline.mp4';
    const before = await probeFilm(phone);
    expect(before.ok && before.facts.even).toBe(false);
    const row = await prepared(lanterns, phone, 'snap 3 sideline.mp4');
    const { facts, rewritten } = filmBody(row);
    expect(rewritten.join()).toContain('last alike');
    expect(facts!.even).toBe(true);
    // Its play is the one of the camera that stood still: as long, to a tenth of a second.
    const { frames, framesPerSecond } = demoClip(3);
    expect(Math.abs(facts!.frames / facts!.rate - frames / framesPerSecond)).toBeLessThan(0.1);
  });

  it.each([
    ['a text', () => textFile('notes.mp4', 'no film at all'), 'no film'],
    ['a list of parts', () => textFile('parts.mp4', `ffconcat version 1.0\nfile '${plain}'\n`), 'no film'],
    [
      'a playlist',
      () => textFile('list.mp4', `#EXTM3U\n#EXT-X-TARGETDURATION:9\n#EXTINF:9,\nfile://${plain}\n#EXT-X-ENDLIST\n`),
      'no film',
    ],
    ['one that is not all there', () => cutOff('cut.mp4', film('whole.mp4', ...H264), 0.6), 'its end has not come'],
    [
      'nothing but sound',
      () => film('sound.m4a', '-f', 'lavfi', '-i', 'sine=duration=1', '-map', '1:a'),
      'no moving pictures',
    ],
    ['an empty file', () => textFile('empty.mp4', ''), 'no film'],
  ])('is refused in words when it is %s, and its bytes stay', async (_what, make, says) => {
    const file = make();
    const row = await prepared(lanterns, file, 'refused.mp4');
    expect(row.state).toBe('refused');
    expect(filmBody(row).problem).toContain(says);
    expect(existsSync(localOf(`p${lanterns.programId}/${row.id}-as-it-came.mp4`))).toBe(true);
    expect(readdirSync(places.writing)).toEqual([]);
  });

  it('is told from the same one in the same program only', async () => {
    await prepared(lanterns, plain, 'first.mp4');
    const again = await prepared(lanterns, plain, 'again.mp4');
    expect([again.state, filmBody(again).problem]).toEqual([
      'refused',
      'This is the same film as “first.mp4”, which is here already.',
    ]);
    expect((await prepared(terns, plain, 'theirs.mp4')).state).toBe('ready');
  });

  it('is one film however often its arrival is noted', async () => {
    const arrival = {
      upload: 'same',
      name: 'x.mp4',
      kind: 'practice',
      gameId: null,
      bytes: 3,
      keepSound: false,
    } as const;
    const user = { programId: lanterns.programId, userId: lanterns.members.coach.userId };
    const ids = await Promise.all([1, 2, 3].map(() => noteArrival({ ...arrival, ...user })));
    expect(new Set(ids).size).toBe(1);
  });
});

describe('work on a film', () => {
  it('that was broken off is done again, from wherever it was', async () => {
    const file = film('broken.avi', '-c:v', 'mpeg4');
    const id = await arrive(lanterns, file, 'broken.avi');
    const row = await rowOf(id);
    // As a killed process leaves it: said to be worked on, moved, half a file written.
    await row.update({ state: 'working' });
    await places.storage.adopt(join(places.arriving, row.upload), `p${lanterns.programId}/${id}-as-it-came.avi`);
    mkdirSync(join(places.writing, String(id)), { recursive: true });
    writeFileSync(join(places.writing, String(id), 'written.mp4'), 'half');
    await prepareFilm(id, places);
    expect((await rowOf(id)).state).toBe('ready');
  });

  it('is done by one of two who begin at once', async () => {
    const id = await arrive(lanterns, film('twice.avi', '-c:v', 'mpeg4'), 'twice.avi');
    await Promise.all([prepareFilm(id, places), prepareFilm(id, places)]);
    const row = await rowOf(id);
    expect(row.state).toBe('ready');
    expect((await probeFilm(localOf(filmBody(row).playable))).ok).toBe(true);
  });

  it('stops when somebody cancels it, and goes on when asked again', async () => {
    const long = film('long.avi', '-vf', 'loop=10:60', '-c:v', 'mpeg4');
    const id = await arrive(lanterns, long, 'long.avi');
    const { coach } = lanterns.members;
    const work = prepareFilm(id, places);
    await expect.poll(async () => (await rowOf(id)).state, { interval: 5 }).toBe('working');
    expect(await steerFilm(coach, id, 'cancel')).toBe(false);
    await work;
    expect((await rowOf(id)).state).toBe('cancelled');
    expect(filmBody(await rowOf(id)).playable).toBeNull();
    expect(await steerFilm(coach, id, 'retry')).toBe(true);
    await expect(steerFilm(coach, id, 'retry')).rejects.toMatchObject({ statusCode: 409 });
    expect((await rowOf(id)).state).toBe('waiting');
  });

  it('deleting leaves nothing of it on the machine, wherever it was', async () => {
    const { coach } = lanterns.members;
    const here = () => [...readdirSync(places.arriving), ...readdirSync(localOf(`p${lanterns.programId}`))].sort();
    const before = here();
    const waiting = await arrive(lanterns, plain, 'waiting.mp4');
    await deleteFilm(coach, waiting, false, places);
    const refused = await prepared(lanterns, textFile('bad.mp4', 'no film'), 'refused.mp4');
    await deleteFilm(coach, refused.id, false, places);
    const ready = await prepared(lanterns, film('gone.avi', '-c:v', 'mpeg4'), 'gone.avi');
    await deleteFilm(coach, ready.id, false, places);
    const busy = await arrive(lanterns, film('busy.avi', '-vf', 'loop=10:60', '-c:v', 'mpeg4'), 'busy.avi');
    const work = prepareFilm(busy, places);
    await expect.poll(async () => (await rowOf(busy)).state, { interval: 5 }).toBe('working');
    await deleteFilm(coach, busy, false, places);
    await work;
    expect(here()).toEqual(before);
  });

  it('leaves alone what is ready, and what nobody knows', async () => {
    const row = await prepared(lanterns, plain, 'ready.mp4');
    await prepareFilm(row.id, places);
    expect((await rowOf(row.id)).body).toEqual(row.body);
    await prepareFilm(999_999, places);
    await expect(steerFilm(lanterns.members.coach, row.id, 'cancel')).rejects.toMatchObject({ statusCode: 409 });
  });
});
