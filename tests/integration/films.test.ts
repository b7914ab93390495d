import { copyFileSync, existsSync, mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { ALL_PLUS } from '#core/model/grade';
import { ClipRow, FilmRow, SnapRow } from '../../server/db/models';
import { clipBody, filmBody, snapBody } from '../../server/db/mappers';
import { placesIn } from '../../server/film/places';
import { prepareFilm } from '../../server/film/prepare';
import { probeFilm } from '../../server/film/tools';
import { addSnaps } from '../../server/usecases/add-snaps';
import { changeCall } from '../../server/usecases/change-call';
import { markFrames } from '../../server/usecases/film';
import { deleteFilm, listFilms, noteArrival, placeFilm, steerFilm } from '../../server/usecases/films';
import { changeSituation } from '../../server/usecases/situations';
import { writeGrades } from '../../server/usecases/grades';
import { cutOff, film, folder, H264, textFile } from './film-files';
import { CALL, freshDatabase, makeProgram } from './fresh-database';

type Program = Awaited<ReturnType<typeof makeProgram>>;
const places = placesIn(join(folder, 'storage'));
let db: Awaited<ReturnType<typeof freshDatabase>>;
let lanterns: Program;
let terns: Program;
let plain: string;
let count = 0;
beforeAll(async () => {
  db = await freshDatabase();
  lanterns = await makeProgram('Lanterns');
  terns = await makeProgram('Terns');
  plain = film('plain.mp4', ...H264);
  mkdirSync(places.arriving, { recursive: true });
});
afterAll(async () => {
  rmSync(folder, { recursive: true, force: true });
  await db.drop();
});
beforeEach(() => FilmRow.destroy({ where: {} }));

/** Lets a copy of a file arrive as an upload that is whole. */
async function arrive(
  file: string,
  name: string,
  change: { gameId?: number; program?: Program } = {},
): Promise<number> {
  const upload = `upload-${count++}`;
  copyFileSync(file, join(places.arriving, upload));
  const { programId, members } = change.program ?? lanterns;
  const bytes = readFileSync(file).length;
  const user = { programId, userId: members.coach.userId };
  return noteArrival({
    upload,
    name,
    kind: 'own game',
    gameId: change.gameId ?? null,
    bytes,
    keepSound: false,
    ...user,
  });
}
const rowOf = async (id: number) => (await FilmRow.findByPk(id))!;
async function prepared(file: string, name: string, change: Parameters<typeof arrive>[2] = {}): Promise<FilmRow> {
  const id = await arrive(file, name, change);
  await prepareFilm(id, places);
  return rowOf(id);
}
const localOf = (key: string | null): string => places.storage.localFile(key!);

describe('a film that comes in', () => {
  it('plays as it came when a browser shows every frame of it', async () => {
    const row = await prepared(plain, 'plain.mp4');
    const body = filmBody(row);
    expect(row.state).toBe('ready');
    expect(body).toMatchObject({ rewritten: [], facts: { frames: 60, rate: 30, even: true, codec: 'h264' } });
    expect(body.playable).toBe(body.original);
    expect(readFileSync(localOf(body.original))).toEqual(readFileSync(plain));
    expect(readFileSync(localOf(body.still)).subarray(0, 2)).toEqual(Buffer.from([0xff, 0xd8]));
    expect(existsSync(join(places.arriving, row.upload))).toBe(false);
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
    const row = await prepared(file, name);
    const body = filmBody(row);
    expect([row.state, body.problem]).toEqual(['ready', '']);
    expect(body.rewritten.join()).toContain(says);
    expect(body.facts).toMatchObject({ codec: 'h264', even: true, sound: false });
    expect(body.facts!.keyEvery).toBeLessThanOrEqual(15);
    expect(readFileSync(localOf(body.original))).toEqual(readFileSync(file));
    const before = await probeFilm(file);
    expect(before.ok && Math.abs(before.facts.duration - body.facts!.duration)).toBeLessThan(0.1);
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
    const row = await prepared(file, 'refused.mp4');
    expect(row.state).toBe('refused');
    expect(filmBody(row).problem).toContain(says);
    expect(existsSync(localOf(`p${lanterns.programId}/${row.id}-as-it-came.mp4`))).toBe(true);
    expect(readdirSync(places.writing)).toEqual([]);
  });

  it('is told from the same one in the same program only', async () => {
    await prepared(plain, 'first.mp4');
    const again = await prepared(plain, 'again.mp4');
    expect([again.state, filmBody(again).problem]).toEqual([
      'refused',
      'This is the same film as “first.mp4”, which is here already.',
    ]);
    expect((await prepared(plain, 'theirs.mp4', { program: terns })).state).toBe('ready');
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
    const id = await arrive(file, 'broken.avi');
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
    const id = await arrive(film('twice.avi', '-c:v', 'mpeg4'), 'twice.avi');
    await Promise.all([prepareFilm(id, places), prepareFilm(id, places)]);
    const row = await rowOf(id);
    expect(row.state).toBe('ready');
    expect((await probeFilm(localOf(filmBody(row).playable))).ok).toBe(true);
  });

  it('stops when somebody cancels it, and goes on when asked again', async () => {
    const long = film('long.avi', '-vf', 'loop=10:60', '-c:v', 'mpeg4');
    const id = await arrive(long, 'long.avi');
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
    const waiting = await arrive(plain, 'waiting.mp4');
    await deleteFilm(coach, waiting, false, places);
    const refused = await prepared(textFile('bad.mp4', 'no film'), 'refused.mp4');
    await deleteFilm(coach, refused.id, false, places);
    const ready = await prepared(film('gone.avi', '-c:v', 'mpeg4'), 'gone.avi');
    await deleteFilm(coach, ready.id, false, places);
    const busy = await arrive(film('busy.avi', '-vf', 'loop=10:60', '-c:v', 'mpeg4'), 'busy.avi');
    const work = prepareFilm(busy, places);
    await expect.poll(async () => (await rowOf(busy)).state, { interval: 5 }).toBe('working');
    await deleteFilm(coach, busy, false, places);
    await work;
    expect(here()).toEqual(before);
  });

  it('leaves alone what is ready, and what nobody knows', async () => {
    const row = await prepared(plain, 'ready.mp4');
    await prepareFilm(row.id, places);
    expect((await rowOf(row.id)).body).toEqual(row.body);
    await prepareFilm(999_999, places);
    await expect(steerFilm(lanterns.members.coach, row.id, 'cancel')).rejects.toMatchObject({ statusCode: 409 });
  });
});

describe('film and snaps', () => {
  const clipsOf = (snapId: number) => ClipRow.findAll({ where: { snapId }, order: [['angle', 'ASC']] });

  it('find each other by the file’s name, whichever comes first', async () => {
    const { gameId, members } = lanterns;
    const early = await prepared(plain, 'snap-07-end-zone.mp4', { gameId });
    expect(await ClipRow.findOne({ where: { filmId: early.id } })).toBeNull();
    const { added, first } = await addSnaps(members.coach, gameId, [7, 1, 7], CALL);
    expect(added).toEqual([7]);
    const late = await prepared(film('side.mp4', ...H264, '-t', '1'), 'snap 7 sideline.mp4', { gameId });
    expect((await clipsOf(first!)).map((c) => [c.angle, c.filmId])).toEqual([
      ['end zone', early.id],
      ['sideline', late.id],
    ]);
    expect((await listFilms(members.assistant)).map((f) => f.snap?.number)).toEqual([7, 7]);
  });

  it('find each other when both come at once, every time', async () => {
    const { gameId, members } = lanterns;
    for (let number = 101; number <= 110; number++) {
      const side = film(`${number}.mp4`, ...H264, '-t', '0.5', '-vf', `hue=h=${number * 3}`);
      const id = await arrive(side, `snap ${number} sideline.mp4`, { gameId });
      const shown = prepareFilm(id, places);
      await expect.poll(async () => (await rowOf(id)).state, { interval: 1 }).not.toBe('waiting');
      await new Promise((later) => setTimeout(later, (number - 101) * 25));
      await Promise.all([shown, addSnaps(members.coach, gameId, [number], CALL)]);
      expect(await ClipRow.count({ where: { filmId: id } })).toBe(1);
    }
  });

  it('an opponent’s film is never taken for our snap of that number', async () => {
    const { gameId, members } = lanterns;
    const row = await prepared(film('theirs.mp4', ...H264, '-vf', 'vflip'), 'x.mp4', { gameId });
    await row.update({ kind: 'opponent', name: 'snap 90 sideline.mp4' });
    await addSnaps(members.coach, gameId, [90], CALL);
    expect(await ClipRow.count({ where: { filmId: row.id } })).toBe(0);
  });

  it('a new snap is in the situation that follows', async () => {
    const { gameId, members } = await makeProgram('Otters');
    const { first } = await addSnaps(members.assistant, gameId, [3, 4, 5, 6], CALL);
    const rows = await SnapRow.findAll({ where: { gameId }, order: [['number', 'ASC']] });
    // The second of the program's own two gained 4 on first and ten.
    expect(rows.slice(2).map((r) => [snapBody(r).situation.down, snapBody(r).situation.distance])).toEqual([
      [2, 6],
      [3, 6],
      [4, 6],
      [1, 10],
    ]);
    expect(rows[2]!.id).toBe(first);
  });

  it('what a snap gained moves those after it that nobody has set, and no grade', async () => {
    const { gameId, members, snaps } = await makeProgram('Millers');
    await addSnaps(members.coach, gameId, [3, 4, 5], CALL);
    const rows = await SnapRow.findAll({ where: { gameId }, order: [['number', 'ASC']] });
    const downs = async () =>
      (await SnapRow.findAll({ where: { gameId }, order: [['number', 'ASC']] })).map((r) => {
        const { down, distance } = snapBody(r).situation;
        return `${down} and ${distance}`;
      });
    await writeGrades(members.coach, snaps[0]!, [{ blocker: 'C', grade: ALL_PLUS }]);
    // Both of the program's own are a first and ten, so the second was set by somebody.
    expect(await downs()).toEqual(['1 and 10', '1 and 10', '2 and 6', '3 and 6', '4 and 6']);
    const [, second, third] = rows;
    expect(await changeSituation(members.assistant, second!.id, { gain: -2 })).toMatchObject({ changed: [2, 3, 4, 5] });
    expect(await downs()).toEqual(['1 and 10', '1 and 10', '2 and 12', '3 and 12', '4 and 12']);
    await Promise.all([
      changeSituation(members.coach, third!.id, { gain: 15 }),
      changeSituation(members.assistant, rows[3]!.id, { hash: 'left' }),
    ]);
    expect((await downs()).slice(0, 4)).toEqual(['1 and 10', '1 and 10', '2 and 12', expect.any(String)]);
    expect(snapBody((await SnapRow.findByPk(rows[3]!.id))!).situation.hash).toBe('left');
    await expect(changeSituation(terns.members.coach, third!.id, { gain: 1 })).rejects.toMatchObject({
      statusCode: 404,
    });
  });

  it('a call and a situation changed at once are both kept, every time', async () => {
    const { members, snaps } = await makeProgram('Union');
    const [id] = snaps as [number];
    for (let gain = 1; gain <= 15; gain++) {
      const call = { ...CALL, frontName: `front ${gain}` };
      await Promise.all([
        changeCall(members.coach, id, call, true),
        changeSituation(members.assistant, id, { gain }),
        writeGrades(members.assistant, id, [{ blocker: 'C', grade: { ...ALL_PLUS, note: `note ${gain}` } }]),
      ]);
      const body = snapBody((await SnapRow.findByPk(id))!);
      expect([body.call.frontName, body.situation.gain]).toEqual([`front ${gain}`, gain]);
    }
  });

  it('a film in another’s place is asked about first, and frame marks stay when both count alike', async () => {
    const { members, snaps } = lanterns;
    const [snapId] = snaps as [number];
    const one = await prepared(plain, 'one.mp4');
    const other = await prepared(film('other.mp4', ...H264, '-vf', 'negate'), 'other.mp4');
    const shorter = await prepared(film('shorter.mp4', ...H264, '-t', '1'), 'shorter.mp4');
    const place = (id: number, confirmed: boolean) =>
      placeFilm(members.coach, id, { snapId, angle: 'sideline', confirmed });
    await writeGrades(members.coach, snapId, [{ blocker: 'LT', grade: ALL_PLUS }]);
    expect(await place(one.id, false)).toMatchObject({ placed: true });
    const clip = (await clipsOf(snapId)).find((c) => c.angle === 'sideline')!;
    await markFrames(members.coach, clip.id, { snapFrame: 12, contactFrame: 20, whistleFrame: 50 });
    expect(await place(other.id, false)).toEqual({ placed: false, marks: 1, keepsFrames: true });
    expect(await place(other.id, true)).toMatchObject({ placed: true });
    expect(clipBody((await ClipRow.findByPk(clip.id))!)).toMatchObject({ snapFrame: 12, whistleFrame: 50 });
    expect(await place(shorter.id, true)).toMatchObject({ placed: true, keepsFrames: false });
    expect(clipBody((await ClipRow.findByPk(clip.id))!)).toMatchObject({ snapFrame: 0, frames: 30 });
  });

  it('deleting says which marks hang on it; they and the frame numbers stay', async () => {
    const { members, snaps } = lanterns;
    const [snapId] = snaps as [number];
    const row = await prepared(plain, 'gone.mp4');
    await placeFilm(members.coach, row.id, { snapId, angle: 'end zone', confirmed: true });
    const files = Object.values({ ...filmBody(row) }).filter(
      (v): v is string => typeof v === 'string' && v.startsWith('p'),
    );
    expect(await deleteFilm(members.coach, row.id, false, places)).toEqual({ deleted: false, marks: 1 });
    expect(existsSync(localOf(files[0]!))).toBe(true);
    expect(await deleteFilm(members.coach, row.id, true, places)).toEqual({ deleted: true, marks: 1 });
    expect(files.some((f) => existsSync(localOf(f)))).toBe(false);
    const clip = (await clipsOf(snapId)).find((c) => c.angle === 'end zone')!;
    expect([clip.file, clip.filmId, clipBody(clip).frames]).toEqual(['', null, 60]);
  });

  it('frame marks follow each other within the clip', async () => {
    const { members, snaps } = lanterns;
    const row = await prepared(plain, 'marks.mp4');
    await placeFilm(members.coach, row.id, { snapId: snaps[1]!, angle: 'end zone', confirmed: true });
    const { id } = (await ClipRow.findOne({ where: { filmId: row.id } }))!;
    const { coach } = members;
    expect(await markFrames(coach, id, { snapFrame: 10 })).toMatchObject({
      snapFrame: 10,
      contactFrame: 10,
      whistleFrame: 59,
    });
    await expect(markFrames(coach, id, { whistleFrame: 60 })).rejects.toMatchObject({ statusCode: 400 });
    await expect(markFrames(coach, id, { contactFrame: 9 })).rejects.toMatchObject({ statusCode: 400 });
    await expect(markFrames(terns.members.coach, id, { snapFrame: 1 })).rejects.toMatchObject({ statusCode: 404 });
  });

  it('another program’s are not there', async () => {
    const row = await prepared(plain, 'ours.mp4');
    const stranger = terns.members.coach;
    for (const way of [
      () => steerFilm(stranger, row.id, 'retry'),
      () => deleteFilm(stranger, row.id, true, places),
      () => placeFilm(stranger, row.id, { snapId: terns.snaps[0]!, angle: 'sideline', confirmed: true }),
      () => placeFilm(lanterns.members.coach, row.id, { snapId: terns.snaps[0]!, angle: 'sideline', confirmed: true }),
      () => addSnaps(stranger, lanterns.gameId, [9], CALL),
    ])
      await expect(way()).rejects.toMatchObject({ statusCode: 404 });
    expect(await listFilms(stranger)).toEqual([]);
  });
});
