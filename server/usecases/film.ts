import { createError } from 'h3';
import { Op } from 'sequelize';
import { ClipRow, GameRow, GradeRow, MeasuringRow, SeasonRow, SnapRow } from '../db/models';
import { PROGRAM_SHEET } from '#core/model/grade';
import { clipBody, gradeAsked, gradeBody, gradedSnap, snapBody } from '../db/mappers';
import type { Member } from '../session/member';
import { menOnField } from './field';
import { notesOf } from './notes';
import { none, ownClip, ownGame, ownSnap } from './owned';
import type { SnapItem } from '#core/model/game';
import type { SnapView } from '#core/model/snap-view';
import type { FRAME_OF, Moment } from '#core/film/frames';
import type { ClipBody } from '#core/model/snap';
import type { Angle } from '#core/model/angle';

export async function listSnaps(member: Member, gameId: number): Promise<SnapItem[]> {
  const scope = { programId: member.programId, gameId };
  await ownGame(member, gameId);
  const snaps = await SnapRow.findAll({ where: scope, order: [['number', 'ASC']] });
  const where = { programId: member.programId, snapId: snaps.map((s) => s.id) };
  const [grades, clips] = await Promise.all([
    GradeRow.findAll({ where: { ...where, sheet: PROGRAM_SHEET } }),
    ClipRow.findAll({ where, attributes: ['snapId', 'angle'] }),
  ]);
  return snaps.map((row) => {
    const { call, situation, logged, resolution } = gradedSnap(row);
    return {
      id: row.id,
      number: row.number,
      call,
      situation,
      logged,
      asked: resolution.assignments.map(({ blocker, block, partners }) => ({ blocker, block, partners })),
      graded: grades.filter((g) => g.snapId === row.id).map((g) => ({ blocker: g.blocker, grade: gradeBody(g) })),
      angles: clips.filter((c) => c.snapId === row.id).map((c) => c.angle as Angle),
    };
  });
}

const ownOnly = ({ role, playerId }: Member) => (role === 'player' ? { playerId: playerId ?? 0 } : {});

const marksOn = (sheet: number, grades: readonly GradeRow[]): SnapView['grades'] =>
  grades
    .filter((g) => g.sheet === sheet)
    .map((g) => ({ blocker: g.blocker, grade: gradeBody(g), revision: g.revision, asked: gradeAsked(g) }));

/** With what a game is graded now. */
async function rubricOfGame(gameId: number): Promise<string> {
  const game = await GameRow.findByPk(gameId, { attributes: ['seasonId'] });
  return (await SeasonRow.findByPk(game!.seasonId))!.rubric;
}

/** Players see a snap only once its game is published, and of its grades only their own. */
export async function readSnap(member: Member, snapId: number): Promise<SnapView> {
  const row = await ownSnap(member, snapId);
  const game = await openGame(member, row.gameId);
  const body = snapBody(row);
  const where = { programId: member.programId, snapId };
  const [clips, followed, grades] = await Promise.all([
    ClipRow.findAll({ where, order: [['angle', 'ASC']] }),
    member.role === 'player' ? false : isFollowed(where),
    GradeRow.findAll({ where: { ...where, sheet: [PROGRAM_SHEET, member.userId], ...ownOnly(member) } }),
  ]);
  const seats = body.resolution.assignments.map((a) => a.blocker);
  return {
    ...body,
    id: row.id,
    number: row.number,
    gameId: row.gameId,
    clips: clips.map((c) => ({ ...clipBody(c), id: c.id, angle: c.angle })),
    revision: row.revision,
    rubric: await rubricOfGame(row.gameId),
    grades: member.role === 'player' && !game.published ? [] : marksOn(PROGRAM_SHEET, grades),
    ownGrades: (game.ownGrades ?? false) && !game.published,
    followed,
    own: marksOn(member.userId, grades),
    notes: await notesOf(
      member,
      clips.map((c) => c.id),
    ),
    field: await menOnField(member, row.gameId, row.number, seats),
  };
}

/** Was everybody followed on this snap? Asked of the database: the ways themselves are long. */
const isFollowed = async (where: { programId: number; snapId: number }): Promise<boolean> =>
  (await MeasuringRow.count({ where: { ...where, body: { followed: { [Op.ne]: null } } } })) > 0;

/** The game of a snap, if it is open to the member: to a player once it is published, or while he is to grade himself. */
async function openGame({ role, programId }: Member, gameId: number): Promise<GameRow> {
  const game = await GameRow.findOne({ where: { id: gameId, programId } });
  if (!game || (role === 'player' && !game.published && !game.ownGrades)) throw none('snap');
  return game;
}

/** Says which frames are the snap, the first contact, the throw and the whistle; those not given stay. Frames that are not in the clip, or in another order, are refused. */
export async function markFrames(
  member: Member,
  clipId: number,
  change: Partial<Pick<ClipBody, (typeof FRAME_OF)[Moment]>>,
): Promise<ClipBody> {
  const clip = await ownClip(member, clipId);
  const body = { ...clipBody(clip), ...change };
  // Whoever marks the snap later than a contact nobody has marked moves that along.
  body.contactFrame = Math.max(body.contactFrame, change.contactFrame === undefined ? body.snapFrame : 0);
  const { snapFrame, contactFrame, whistleFrame, frames } = body;
  if (whistleFrame >= frames || snapFrame > contactFrame || contactFrame > whistleFrame)
    throw createError({
      statusCode: 400,
      message: `Snap, contact and whistle follow each other within frames 0 to ${frames - 1}; these are ${snapFrame}, ${contactFrame} and ${whistleFrame}. Nothing was changed.`,
    });
  const thrown = body.throwFrame;
  if (thrown !== undefined && (thrown < snapFrame || thrown > whistleFrame))
    throw createError({
      statusCode: 400,
      message: `The ball is thrown between the snap and the whistle, within frames ${snapFrame} to ${whistleFrame}; this is ${thrown}. Nothing was changed.`,
    });
  await clip.update({ body });
  return body;
}

/** Where a clip is in the storage; empty when its film was deleted. */
export async function clipFile(member: Member, clipId: number): Promise<string> {
  const clip = await ownClip(member, clipId);
  await openGame(member, (await ownSnap(member, clip.snapId)).gameId);
  return clip.file;
}
