import { execFileSync } from 'node:child_process';
import { existsSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { cutsOf } from '#core/film/recording/marks';
import { suggestPieces } from '#core/film/recording/suggest';
import { demoClip } from '#demo/scenario';
import { clipBody, filmBody } from '../../server/db/mappers';
import { ClipRow, FilmRow, SnapRow } from '../../server/db/models';
import { lookForSnaps } from '../../server/film/look';
import { prepareFilm } from '../../server/film/prepare';
import { deleteFilm } from '../../server/usecases/films';
import { cutRecording, motionOf, playableOf } from '../../server/usecases/recordings';
import { arrive, film, folder, H264, localOf, places, prepared, rowOf } from './film-files';
import { freshDatabase, makeProgram } from './fresh-database';

type Program = Awaited<ReturnType<typeof makeProgram>>;
let db: Awaited<ReturnType<typeof freshDatabase>>;
let lanterns: Program;
let terns: Program;
/** A film in which every frame is another one. */
let counted: string;
beforeAll(async () => {
  db = await freshDatabase();
  lanterns = await makeProgram('Lanterns');
  terns = await makeProgram('Terns');
  counted = film('counted.mp4', ...H264, '-vf', 'hue=H=n/9,format=yuv420p');
});
afterAll(async () => {
  rmSync(folder, { recursive: true, force: true });
  await db.drop();
});
beforeEach(() => FilmRow.destroy({ where: {} }));

/** A frame of a film as small grey numbers. */
function pixels(file: string, frame: number): Buffer {
  const select = `select=eq(n\\,${frame}),scale=64:36`;
  const args = ['-v', 'error', '-i', file, '-vf', select, '-frames:v', '1', '-f', 'rawvideo', '-pix_fmt', 'rgb24', '-'];
  return execFileSync('ffmpeg', args);
}
const apart = (a: Buffer, b: Buffer): number => a.reduce((sum, v, i) => sum + Math.abs(v - b[i]!), 0) / a.length;

const cutAll = async (id: number, cuts: Parameters<typeof cutRecording>[2]['cuts']): Promise<FilmRow[]> => {
  const made = await cutRecording(lanterns.members.assistant, id, { angle: 'end zone', cuts });
  for (const one of made) await prepareFilm(one, places);
  return Promise.all(made.map(rowOf));
};

describe('cuts of a recording', () => {
  it('are films of their own with the very frames, shown with their snap from where it was marked', async () => {
    const recording = await prepared(lanterns, counted, 'first half.mp4', lanterns.gameId);
    const [one, two] = (await cutAll(recording.id, [
      { number: 1, from: 7, snap: 12, to: 26 },
      { number: 2, from: 31, snap: null, to: 59 },
    ])) as [FilmRow, FilmRow];
    expect([one.state, two.state, one.name]).toEqual(['ready', 'ready', 'snap 1 end zone.mp4']);
    expect([filmBody(one).facts!.frames, filmBody(two).facts!.frames]).toEqual([20, 29]);
    const cut = localOf(filmBody(one).playable);
    for (const frame of [0, 10, 19]) {
      const own = pixels(cut, frame);
      const near = [-1, 0, 1].map((by) => apart(own, pixels(counted, 7 + frame + by)));
      expect(near.indexOf(Math.min(...near)), `frame ${frame}: ${near.join()}`).toBe(1);
    }
    const clips = await ClipRow.findAll({ where: { snapId: lanterns.snaps }, order: [['filmId', 'ASC']] });
    expect(clips.map((c) => [c.filmId, c.angle, clipBody(c).snapFrame, clipBody(c).frames])).toEqual([
      [one.id, 'end zone', 5, 20],
      [two.id, 'end zone', 0, 29],
    ]);
    expect(existsSync(localOf(filmBody(one).still))).toBe(true);
  });

  it('are not made twice, and are there without the recording', async () => {
    const recording = await prepared(lanterns, counted, 'first half.mp4');
    const cuts = [{ number: 8, from: 0, snap: null, to: 20 }];
    const [made] = await cutAll(recording.id, cuts);
    expect(await cutAll(recording.id, cuts)).toEqual([]);
    await deleteFilm(lanterns.members.coach, recording.id, false, places);
    expect(existsSync(localOf(filmBody(made!).playable))).toBe(true);
    expect((await rowOf(made!.id)).state).toBe('ready');
  });

  it('say so where the recording is gone before they are written', async () => {
    const recording = await prepared(lanterns, counted, 'first half.mp4');
    const [id] = await cutRecording(lanterns.members.coach, recording.id, {
      angle: 'sideline',
      cuts: [{ number: 8, from: 0, snap: null, to: 20 }],
    });
    await deleteFilm(lanterns.members.coach, recording.id, false, places);
    await prepareFilm(id!, places);
    const row = await rowOf(id!);
    expect([row.state, filmBody(row).problem]).toEqual(['refused', 'The recording it is cut out of is gone.']);
  });

  it.each([
    ['beyond its end', { from: 50, snap: null, to: 60 }],
    ['backwards', { from: 30, snap: null, to: 20 }],
    ['with its snap before it', { from: 30, snap: 4, to: 40 }],
    ['with its snap after it', { from: 30, snap: 44, to: 40 }],
  ])('are refused %s, and none of the others is made', async (_what, wrong) => {
    const recording = await prepared(lanterns, counted, 'first half.mp4');
    await expect(
      cutRecording(lanterns.members.coach, recording.id, {
        angle: 'end zone',
        cuts: [
          { number: 1, from: 0, snap: null, to: 9 },
          { number: 2, ...wrong },
        ],
      }),
    ).rejects.toMatchObject({ statusCode: 400, message: expect.stringContaining('snap 2 is to go from') });
    expect(await FilmRow.count()).toBe(1);
  });

  it('are made by nobody of another program, and of nothing that is not ready', async () => {
    const recording = await prepared(lanterns, counted, 'first half.mp4');
    const waiting = await arrive(lanterns, counted, 'second half.mp4');
    const cuts = [{ number: 1, from: 0, snap: null, to: 9 }];
    for (const [member, id] of [
      [terns.members.coach, recording.id],
      [lanterns.members.coach, waiting],
    ] as const) {
      await expect(cutRecording(member, id, { angle: 'end zone', cuts })).rejects.toMatchObject({ statusCode: 404 });
      await expect(playableOf(member, id)).rejects.toMatchObject({ statusCode: 404 });
      await expect(motionOf(member, id, places)).rejects.toMatchObject({ statusCode: 404 });
    }
  });
});

describe('the motion of a recording', () => {
  it('finds the snaps of a camera that was stopped after each of four plays', async () => {
    const snaps = [1, 2, 3, 5];
    const inputs = snaps.flatMap((n) => ['-i', `demo/film/snap-${String(n).padStart(2, '0')}-end-zone.webm`]);
    const file = join(folder, 'four-plays.mp4');
    const joined = `concat=n=${snaps.length}:v=1:a=0`;
    execFileSync('ffmpeg', ['-v', 'error', '-nostdin', '-y', ...inputs, '-filter_complex', joined, ...H264, file]);
    const recording = await prepared(lanterns, file, 'four plays.mp4');
    const { facts } = filmBody(recording);
    expect(await motionOf(lanterns.members.coach, recording.id, places)).toBeNull();
    await lookForSnaps(recording.id, places);
    const motion = (await motionOf(lanterns.members.coach, recording.id, places))!;
    expect(motion.values.length / motion.perSecond).toBeCloseTo(facts!.duration, 0);
    const cuts = cutsOf(suggestPieces(motion), facts!.rate, facts!.frames, 1);
    const truth = snaps.map((n) => demoClip(n));
    const starts = truth.map((_, i) => truth.slice(0, i).reduce((sum, c) => sum + c.frames, 0));
    expect(cuts.map((c) => c.from)).toEqual(starts.map((s) => expect.closeTo(s, -1)));
    for (const [i, c] of cuts.entries())
      expect(Math.abs(c.snap! - (starts[i]! + truth[i]!.snapFrame))).toBeLessThan(15);
  });

  it('is gone with its film', async () => {
    const recording = await prepared(lanterns, counted, 'first half.mp4');
    await lookForSnaps(recording.id, places);
    const { motion } = filmBody(await rowOf(recording.id));
    expect(existsSync(localOf(motion))).toBe(true);
    await deleteFilm(lanterns.members.coach, recording.id, true, places);
    expect(existsSync(localOf(motion))).toBe(false);
    await lookForSnaps(recording.id, places);
    expect(await SnapRow.count({ where: { gameId: lanterns.gameId } })).toBe(2);
  });
});
