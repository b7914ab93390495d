import { existsSync, rmSync } from 'node:fs';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { ALL_PLUS } from '#core/model/grade';
import { clipBody, filmBody, snapBody } from '../../server/db/mappers';
import { ClipRow, FilmRow, SnapRow } from '../../server/db/models';
import { prepareFilm } from '../../server/film/prepare';
import { addSnaps } from '../../server/usecases/add-snaps';
import { changeCall } from '../../server/usecases/change-call';
import { markFrames } from '../../server/usecases/film';
import { deleteFilm, listFilms, placeFilm, steerFilm } from '../../server/usecases/films';
import { changeSituation } from '../../server/usecases/situations';
import { arrive, film, folder, H264, localOf, places, prepared, rowOf } from './film-files';
import { CALL, freshDatabase, makeProgram } from './fresh-database';
import { markAs } from './marking';

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

describe('film and snaps', () => {
  const clipsOf = (snapId: number) => ClipRow.findAll({ where: { snapId }, order: [['angle', 'ASC']] });

  it('find each other by the file’s name, whichever comes first', async () => {
    const { gameId, members } = lanterns;
    const early = await prepared(lanterns, plain, 'snap-07-end-zone.mp4', gameId);
    expect(await ClipRow.findOne({ where: { filmId: early.id } })).toBeNull();
    const { added, first } = await addSnaps(members.coach, gameId, [7, 1, 7], CALL);
    expect(added).toEqual([7]);
    const late = await prepared(lanterns, film('side.mp4', ...H264, '-t', '1'), 'snap 7 sideline.mp4', gameId);
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
      const id = await arrive(lanterns, side, `snap ${number} sideline.mp4`, gameId);
      const shown = prepareFilm(id, places);
      await expect.poll(async () => (await rowOf(id)).state, { interval: 1 }).not.toBe('waiting');
      await new Promise((later) => setTimeout(later, (number - 101) * 25));
      await Promise.all([shown, addSnaps(members.coach, gameId, [number], CALL)]);
      expect(await ClipRow.count({ where: { filmId: id } })).toBe(1);
    }
  });

  it('an opponent’s film is never taken for our snap of that number', async () => {
    const { gameId, members } = lanterns;
    const row = await prepared(lanterns, film('theirs.mp4', ...H264, '-vf', 'vflip'), 'x.mp4', gameId);
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
    await markAs(members.coach, snaps[0]!, [{ blocker: 'C', grade: ALL_PLUS }]);
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
        markAs(members.assistant, id, [{ blocker: 'C', grade: { ...ALL_PLUS, note: `note ${gain}` } }]).catch(
          (problem: { statusCode?: number }) => expect(problem.statusCode).toBe(409),
        ),
      ]);
      const body = snapBody((await SnapRow.findByPk(id))!);
      expect([body.call.frontName, body.situation.gain]).toEqual([`front ${gain}`, gain]);
    }
  });

  it('a film in another’s place is asked about first, and frame marks stay when both count alike', async () => {
    const { members, snaps } = lanterns;
    const [snapId] = snaps as [number];
    const one = await prepared(lanterns, plain, 'one.mp4');
    const other = await prepared(lanterns, film('other.mp4', ...H264, '-vf', 'negate'), 'other.mp4');
    const shorter = await prepared(lanterns, film('shorter.mp4', ...H264, '-t', '1'), 'shorter.mp4');
    const place = (id: number, confirmed: boolean) =>
      placeFilm(members.coach, id, { snapId, angle: 'sideline', confirmed });
    await markAs(members.coach, snapId, [{ blocker: 'LT', grade: ALL_PLUS }]);
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
    const row = await prepared(lanterns, plain, 'gone.mp4');
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
    const row = await prepared(lanterns, plain, 'marks.mp4');
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
    expect(await markFrames(coach, id, { throwFrame: 59 })).toMatchObject({ snapFrame: 10, throwFrame: 59 });
    await expect(markFrames(coach, id, { throwFrame: 9 })).rejects.toMatchObject({
      message:
        'The ball is thrown between the snap and the whistle, within frames 10 to 59; this is 9. Nothing was changed.',
    });
    await expect(markFrames(coach, id, { whistleFrame: 58 })).rejects.toMatchObject({ statusCode: 400 });
    expect(clipBody((await ClipRow.findByPk(id))!)).toMatchObject({ whistleFrame: 59, throwFrame: 59 });
    await expect(markFrames(terns.members.coach, id, { snapFrame: 1 })).rejects.toMatchObject({ statusCode: 404 });
  });

  it('another program’s are not there', async () => {
    const row = await prepared(lanterns, plain, 'ours.mp4');
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
