import { createError } from 'h3';
import { ClipRow, GameRow, GradeRow, SeasonRow, SnapRow } from '../db/models';
import { clipBody, gradeBody, snapBody } from '../db/mappers';
import type { Member } from '../session/member';
import type { Grade } from '#core/model/grade';
import type { ClipBody, SnapBody } from '#core/model/snap';

export interface GameView {
  id: number;
  opponent: string;
  week: number;
  published: boolean;
  snaps: number;
}
export interface SnapListItem {
  id: number;
  number: number;
  scheme: string;
  side: string;
  asked: string[];
  graded: { blocker: string; grade: Grade }[];
}
export interface SnapView extends SnapBody {
  id: number;
  number: number;
  gameId: number;
  clips: (ClipBody & { id: number; angle: string })[];
  grades: { blocker: string; grade: Grade }[];
}

const none = (what: string) => createError({ statusCode: 404, message: `There is no such ${what} in your program.` });

/** Games of the program; a player sees those whose grades were published. */
export async function listGames(member: Member): Promise<GameView[]> {
  const games = await GameRow.findAll({
    where: { programId: member.programId, ...(member.role === 'player' ? { published: true } : {}) },
    order: [['week', 'ASC']],
  });
  return Promise.all(
    games.map(async (g) => ({
      id: g.id,
      opponent: g.opponent,
      week: g.week,
      published: g.published,
      snaps: await SnapRow.count({ where: { programId: member.programId, gameId: g.id } }),
    })),
  );
}

/** Opens a game's grades to its players, or closes them again. */
export async function publishGame(member: Member, gameId: number, published: boolean): Promise<void> {
  const [count] = await GameRow.update({ published }, { where: { id: gameId, programId: member.programId } });
  if (count === 0) throw none('game');
}

export async function listSnaps(member: Member, gameId: number): Promise<SnapListItem[]> {
  const scope = { programId: member.programId, gameId };
  await ownGame(member, gameId);
  const snaps = await SnapRow.findAll({ where: scope, order: [['number', 'ASC']] });
  const grades = await GradeRow.findAll({ where: { programId: member.programId, snapId: snaps.map((s) => s.id) } });
  return snaps.map((row) => {
    const { call, resolution } = snapBody(row);
    return {
      id: row.id,
      number: row.number,
      scheme: call.scheme,
      side: call.side,
      asked: resolution.assignments.map((a) => a.blocker),
      graded: grades.filter((g) => g.snapId === row.id).map((g) => ({ blocker: g.blocker, grade: gradeBody(g) })),
    };
  });
}

/** A game's row, if it belongs to the member's program. */
export async function ownGame(member: Member, gameId: number): Promise<GameRow> {
  const row = await GameRow.findOne({ where: { id: gameId, programId: member.programId } });
  if (!row) throw none('game');
  return row;
}

/** A snap's row, if it belongs to the member's program. */
export async function ownSnap(member: Member, snapId: number): Promise<SnapRow> {
  const row = await SnapRow.findOne({ where: { id: snapId, programId: member.programId } });
  if (!row) throw none('snap');
  return row;
}

/** A clip's row, if it belongs to the member's program. */
export async function ownClip(member: Member, clipId: number): Promise<ClipRow> {
  const row = await ClipRow.findOne({ where: { id: clipId, programId: member.programId } });
  if (!row) throw none('clip');
  return row;
}

/** Players see a snap only once its game is published, and of its grades only their own. */
export async function readSnap(member: Member, snapId: number): Promise<SnapView> {
  const row = await ownSnap(member, snapId);
  await requirePublished(member, row.gameId);
  const where = { programId: member.programId, snapId };
  const [clips, grades] = await Promise.all([
    ClipRow.findAll({ where, order: [['angle', 'ASC']] }),
    GradeRow.findAll({ where: { ...where, ...(member.role === 'player' ? { playerId: member.playerId ?? 0 } : {}) } }),
  ]);
  return {
    ...snapBody(row),
    id: row.id,
    number: row.number,
    gameId: row.gameId,
    clips: clips.map((c) => ({ ...clipBody(c), id: c.id, angle: c.angle })),
    grades: grades.map((g) => ({ blocker: g.blocker, grade: gradeBody(g) })),
  };
}

async function requirePublished(member: Member, gameId: number): Promise<void> {
  if (member.role !== 'player') return;
  if (!(await GameRow.findOne({ where: { id: gameId, programId: member.programId, published: true } })))
    throw none('snap');
}

/** Says which frames are the snap, the first contact and the whistle; those not given stay. Frames that are not in the clip, or in another order, are refused. */
export async function markFrames(
  member: Member,
  clipId: number,
  change: Partial<Pick<ClipBody, 'snapFrame' | 'contactFrame' | 'whistleFrame'>>,
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
  await clip.update({ body });
  return body;
}

/** Adds a game to the newest season. */
export async function addGame(
  member: Member,
  { opponent, week }: { opponent: string; week: number },
): Promise<GameView> {
  const { programId } = member;
  const season =
    (await SeasonRow.findOne({ where: { programId }, order: [['id', 'DESC']] })) ??
    (await SeasonRow.create({ programId, name: 'Season' }));
  const row = await GameRow.create({ programId, seasonId: season.id, opponent, week, published: false });
  return { id: row.id, opponent, week, published: false, snaps: 0 };
}

/** Where a clip is in the storage; empty when its film was deleted. */
export async function clipFile(member: Member, clipId: number): Promise<string> {
  const clip = await ownClip(member, clipId);
  await requirePublished(member, (await ownSnap(member, clip.snapId)).gameId);
  return clip.file;
}
