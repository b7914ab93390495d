import { createError } from 'h3';
import { calibrate } from '#core/film/calibrate/calibrate';
import type { Calibration, CalibrationInput } from '#core/model/calibration';
import { NOTHING_MEASURED, type Measuring } from '#core/model/measured';
import { sayCalibrationProblem } from '#core/reports/calibration-lines';
import { database } from '../db/database';
import { calibrationBody, clipBody, measuringBody } from '../db/mappers';
import { CalibrationRow, ClipRow, MeasuringRow, SnapRow } from '../db/models';
import type { Member } from '../session/member';
import { ownClip, ownSnap } from './owned';

/** What was measured on a snap, by which revision, and the cameras of its clips by their id. */
export interface MeasuringView {
  readonly revision: number;
  /** The last who changed it is who asks. */
  readonly isMine: boolean;
  readonly measuring: Measuring;
  readonly calibrations: Readonly<Record<number, Calibration>>;
  /** For clips without a camera the one of the nearest snap of the game before it, else after it, from the same angle: it may not have moved. */
  readonly offered: Readonly<Record<number, { readonly snap: number; readonly calibration: Calibration }>>;
}

export async function readMeasuring(member: Member, snapId: number): Promise<MeasuringView> {
  const { programId } = member;
  const snap = await ownSnap(member, snapId);
  const [row, clips] = await Promise.all([
    MeasuringRow.findOne({ where: { programId, snapId } }),
    ClipRow.findAll({ where: { programId, snapId } }),
  ]);
  const cameras = await CalibrationRow.findAll({ where: { programId, clipId: clips.map((c) => c.id) } });
  return {
    revision: row?.revision ?? 0,
    isMine: row?.userId === member.userId,
    measuring: row ? measuringBody(row) : NOTHING_MEASURED,
    calibrations: Object.fromEntries(cameras.map((c) => [c.clipId, calibrationBody(c)])),
    offered: await offeredFor(
      snap,
      clips.filter((c) => !cameras.some((known) => known.clipId === c.id)),
    ),
  };
}

/** Cameras of other snaps of the game that clips of this one may have been filmed with too. */
async function offeredFor(
  { programId, gameId, number }: SnapRow,
  without: readonly ClipRow[],
): Promise<MeasuringView['offered']> {
  if (without.length === 0) return {};
  const snaps = await SnapRow.findAll({ where: { programId, gameId }, attributes: ['id', 'number'] });
  const clips = await ClipRow.findAll({ where: { programId, snapId: snaps.map((s) => s.id) } });
  const known = await CalibrationRow.findAll({ where: { programId, clipId: clips.map((c) => c.id) } });
  const numberOf = (clip: ClipRow): number => snaps.find((s) => s.id === clip.snapId)!.number;
  /** Those before it first, each way the nearest. */
  const distance = (of: number): number => (of < number ? number - of : 1000 + of - number);
  return Object.fromEntries(
    without.flatMap((clip) => {
      const same = clips
        .filter((c) => c.angle === clip.angle && known.some((k) => k.clipId === c.id))
        .sort((a, b) => distance(numberOf(a)) - distance(numberOf(b)))[0];
      if (!same) return [];
      const calibration = calibrationBody(known.find((k) => k.clipId === same.id)!);
      return [[clip.id, { snap: numberOf(same), calibration }]];
    }),
  );
}

/** Finds the camera of a clip from field marks and keeps it; marks that give none are refused with what is wrong with them. */
export async function calibrateClip(member: Member, clipId: number, input: CalibrationInput): Promise<Calibration> {
  const clip = await ownClip(member, clipId);
  if (input.frame >= clipBody(clip).frames)
    throw createError({
      statusCode: 400,
      message: `frame: this clip has no frame ${input.frame}. Nothing was changed.`,
    });
  const found = calibrate(input);
  if (!found.ok)
    throw createError({
      statusCode: 400,
      message: `${sayCalibrationProblem(found.problem, input.marks)} Nothing was changed.`,
    });
  const { programId, userId } = member;
  const sequelize = await database();
  await sequelize.transaction(async (transaction) => {
    // One at a time on a clip: whoever comes second replaces the first.
    await ClipRow.findOne({ where: { id: clipId, programId }, lock: transaction.LOCK.UPDATE, transaction });
    const row = await CalibrationRow.findOne({ where: { programId, clipId }, transaction });
    if (row) await row.update({ body: found.value, userId }, { transaction });
    else await CalibrationRow.create({ programId, clipId, userId, body: found.value }, { transaction });
  });
  return found.value;
}

/**
 * Keeps what was measured on a snap. `revision` is the one the change was made on: when somebody else has changed it since, nothing is
 * written and 409 says so.
 */
export async function saveMeasuring(
  member: Member,
  snapId: number,
  revision: number,
  measuring: Measuring,
): Promise<{ revision: number }> {
  const { programId, userId } = member;
  await ownSnap(member, snapId);
  const sequelize = await database();
  return sequelize.transaction(async (transaction) => {
    await SnapRow.findOne({ where: { id: snapId, programId }, lock: transaction.LOCK.UPDATE, transaction });
    const row = await MeasuringRow.findOne({ where: { programId, snapId }, transaction });
    if ((row?.revision ?? 0) !== revision)
      throw createError({
        statusCode: 409,
        message:
          'Somebody else has measured on this snap meanwhile. Open it again to see what they did; yours was not written.',
      });
    const next = revision + 1;
    const change = { body: measuring, userId, revision: next, changedAt: new Date() };
    if (row) await row.update(change, { transaction });
    else await MeasuringRow.create({ programId, snapId, ...change }, { transaction });
    return { revision: next };
  });
}
