import { createError } from 'h3';
import { ClipRow, GameRow, SnapRow } from '../db/models';
import type { Member } from '../session/member';

/** Nothing of the kind in the member's program: what belongs to others is as if it were not there. */
export const none = (what: string) =>
  createError({ statusCode: 404, message: `There is no such ${what} in your program.` });

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
