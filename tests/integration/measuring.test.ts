import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { HASH } from '#core/film/calibrate/field-marks';
import type { CalibrationInput } from '#core/model/calibration';
import { NOTHING_MEASURED, type Measuring } from '#core/model/measured';
import { demoMeasured } from '#demo/measured';
import { A_SIZE, seenAt } from '#core/testing/a-calibration';
import { CalibrationRow, ClipRow, GameRow, MeasuringRow, SnapRow } from '../../server/db/models';
import { calibrateClip, readMeasuring, saveMeasuring } from '../../server/usecases/measuring';
import { readSnap } from '../../server/usecases/film';
import { addSnaps } from '../../server/usecases/add-snaps';
import { CALL, freshDatabase, makeProgram } from './fresh-database';

type Program = Awaited<ReturnType<typeof makeProgram>>;
let db: Awaited<ReturnType<typeof freshDatabase>>;
let lanterns: Program;
let terns: Program;
let snapId: number;
let clipId: number;
beforeAll(async () => {
  db = await freshDatabase();
  lanterns = await makeProgram('Lanterns');
  terns = await makeProgram('Terns');
  const { first } = await addSnaps(lanterns.members.coach, lanterns.gameId, [9], CALL);
  snapId = first!;
  const clip = await ClipRow.create({
    programId: lanterns.programId,
    snapId,
    angle: 'end zone',
    file: 'x.webm',
    body: { framesPerSecond: 30, frames: 120, snapFrame: 24, contactFrame: 36, whistleFrame: 100 },
  });
  clipId = clip.id;
});
afterAll(() => db.drop());

const input = (change: Partial<CalibrationInput> = {}): CalibrationInput => ({
  field: 'high school',
  frame: 23,
  ...A_SIZE,
  marks: [35, 40, 45].flatMap((yard) => [
    { yard, across: 'left hash' as const, pixel: seenAt(-HASH['high school'], yard * 3) },
    { yard, across: 'right hash' as const, pixel: seenAt(HASH['high school'], yard * 3) },
  ]),
  ball: seenAt(0, 99),
  ...change,
});
const feet = (id: string): Measuring => ({
  ...NOTHING_MEASURED,
  atSnap: [{ id, team: 'offence', angle: 'end zone', pixel: { x: 480, y: 270 } }],
});
const status = (code: number) => expect.objectContaining({ statusCode: code });

describe('a snap on whose film everybody was followed', () => {
  it('says so to those who grade, and not before', async () => {
    const { coach, player } = lanterns.members;
    await addSnaps(coach, lanterns.gameId, [30, 31], CALL);
    const rows = await SnapRow.findAll({ where: { gameId: lanterns.gameId, number: [30, 31] } });
    const [snap, other] = rows.map((r) => r.id) as [number, number];
    await saveMeasuring(coach, snap, 0, NOTHING_MEASURED);
    expect((await readSnap(coach, snap)).followed).toBe(false);
    const { followed } = demoMeasured(1)!;
    await saveMeasuring(coach, snap, 1, { ...NOTHING_MEASURED, followed });
    expect([(await readSnap(coach, snap)).followed, (await readSnap(coach, other)).followed]).toEqual([true, false]);
    await GameRow.update({ published: true }, { where: { id: lanterns.gameId } });
    expect((await readSnap(player, snap)).followed).toBe(false);
    await GameRow.update({ published: false }, { where: { id: lanterns.gameId } });
  });
});

describe('a camera that stood still', () => {
  it('is offered from the nearest snap before, else after, of the same angle, game and program', async () => {
    const { coach } = lanterns.members;
    const own = await makeProgram('Otters');
    const body = { framesPerSecond: 30, frames: 120, snapFrame: 24, contactFrame: 36, whistleFrame: 100 };
    await addSnaps(own.members.coach, own.gameId, [3, 5, 8], CALL);
    const rows = await SnapRow.findAll({ where: { gameId: own.gameId }, order: [['number', 'ASC']] });
    const clipOf = async (number: number, angle: string): Promise<number> => {
      const { id } = rows.find((r) => r.number === number)!;
      return (await ClipRow.create({ programId: own.programId, snapId: id, angle, file: 'x.webm', body })).id;
    };
    const clips = {
      3: await clipOf(3, 'end zone'),
      5: await clipOf(5, 'end zone'),
      8: await clipOf(8, 'end zone'),
      side: await clipOf(5, 'sideline'),
    };
    const offered = async (number: number) =>
      (await readMeasuring(own.members.coach, rows.find((r) => r.number === number)!.id)).offered;
    expect(await offered(5)).toEqual({});
    await calibrateClip(own.members.coach, clips[8], input());
    expect((await offered(5))[clips[5]]!.snap).toBe(8);
    await calibrateClip(own.members.coach, clips[3], input());
    const now = await offered(5);
    expect([now[clips[5]]!.snap, now[clips.side]]).toEqual([3, undefined]);
    expect(now[clips[5]]!.calibration.marks).toHaveLength(6);
    expect(await offered(3)).toEqual({});
    expect((await readMeasuring(coach, snapId)).offered).toEqual({});
  });
});

describe('calibrating a clip', () => {
  it('keeps the camera the server itself has found, the last one of several', async () => {
    const { assistant, coach } = lanterns.members;
    await calibrateClip(assistant, clipId, input());
    const second = await calibrateClip(coach, clipId, input({ frame: 22 }));
    expect(second.spot.y).toBeCloseTo(97.7, 0);
    expect(await CalibrationRow.count({ where: { clipId } })).toBe(1);
    const { calibrations } = await readMeasuring(coach, snapId);
    expect(calibrations[clipId]).toMatchObject({ frame: 22, residual: second.residual });
  });
  it('keeps one camera when two people name marks at once', async () => {
    const { assistant, coach } = lanterns.members;
    await CalibrationRow.destroy({ where: {} });
    await Promise.all(
      [1, 2, 3, 4].map((frame) => calibrateClip(frame % 2 ? coach : assistant, clipId, input({ frame }))),
    );
    expect(await CalibrationRow.count({ where: { clipId } })).toBe(1);
  });
  it('says what is wrong with marks that give no camera, and changes nothing', async () => {
    const { coach } = lanterns.members;
    const before = await readMeasuring(coach, snapId);
    const { marks } = input();
    const wrong = marks.map((m, i) => (i === 1 ? { ...m, yard: 60 } : m));
    await expect(calibrateClip(coach, clipId, input({ marks: wrong }))).rejects.toMatchObject({
      statusCode: 400,
      message: expect.stringMatching(/do not fit together.*Nothing was changed/),
    });
    await expect(calibrateClip(coach, clipId, input({ frame: 120 }))).rejects.toMatchObject({
      statusCode: 400,
      message: 'frame: this clip has no frame 120. Nothing was changed.',
    });
    expect(await readMeasuring(coach, snapId)).toEqual(before);
  });
  it('is of one’s own film only', async () => {
    await expect(calibrateClip(terns.members.coach, clipId, input())).rejects.toEqual(status(404));
  });
});

describe('what was measured', () => {
  it('is nothing before anybody has, and grows by revisions', async () => {
    const { coach, assistant } = lanterns.members;
    const nothing = { revision: 0, isMine: false, measuring: NOTHING_MEASURED };
    expect(await readMeasuring(coach, snapId)).toMatchObject(nothing);
    expect(await saveMeasuring(coach, snapId, 0, feet('C'))).toEqual({ revision: 1 });
    expect(await saveMeasuring(assistant, snapId, 1, feet('LG'))).toEqual({ revision: 2 });
    expect(await readMeasuring(coach, snapId)).toMatchObject({ revision: 2, isMine: false, measuring: feet('LG') });
    expect(await readMeasuring(assistant, snapId)).toMatchObject({ isMine: true });
  });
  it('is never written over what somebody has not seen', async () => {
    const { coach } = lanterns.members;
    await expect(saveMeasuring(coach, snapId, 1, feet('RT'))).rejects.toEqual(status(409));
    expect((await readMeasuring(coach, snapId)).measuring).toEqual(feet('LG'));
  });
  it('has one winner when two save at once, every time', async () => {
    const { coach, assistant } = lanterns.members;
    for (let round = 0; round < 10; round++) {
      const { revision } = await readMeasuring(coach, snapId);
      const both = await Promise.allSettled([
        saveMeasuring(coach, snapId, revision, feet('C')),
        saveMeasuring(assistant, snapId, revision, feet('RG')),
      ]);
      expect(both.filter((b) => b.status === 'fulfilled')).toHaveLength(1);
    }
    expect(await MeasuringRow.count({ where: { snapId } })).toBe(1);
  });
  it('is of one’s own snaps only, and goes with the snap', async () => {
    await expect(readMeasuring(terns.members.coach, snapId)).rejects.toEqual(status(404));
    await expect(saveMeasuring(terns.members.coach, snapId, 0, feet('C'))).rejects.toEqual(status(404));
    await SnapRow.destroy({ where: { id: snapId } });
    expect([await MeasuringRow.count({ where: { snapId } }), await CalibrationRow.count()]).toEqual([0, 0]);
  });
});
