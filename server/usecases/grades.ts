import { createError } from 'h3';
import type { Transaction } from 'sequelize';
import { findRubric } from '#core/grade/rubrics/index';
import { PROGRAM_SHEET, type Grade } from '#core/model/grade';
import type { GradeEntry, GradesConflict, GradesKept, GradesSent, OtherMark } from '#core/model/grade-entry';
import { database } from '../db/database';
import { GameRow, GradeChangeRow, UserRow } from '../db/models';
import type { Member } from '../session/member';
import { fieldOf } from './field';
import { holdSnap, writeMarks, type HeldSnap, type KeptMark } from './marks-of-snap';
import { none, ownSnap } from './owned';

/** An entry beside the row it would change. */
interface Meant {
  readonly entry: GradeEntry;
  readonly row: KeptMark | null;
  readonly before: Grade | null;
}

/**
 * Keeps marks of one snap, all or none, and what each was before, with who and when. Sent again they change nothing. A blocker who has no
 * assignment on this snap is refused. 409 with both versions when the call was changed since the grader saw it, or when a mark would replace
 * one that its grader has not seen: nothing is overwritten silently.
 */
export async function writeGrades(member: Member, snapId: number, sent: GradesSent): Promise<GradesKept> {
  const { programId, userId } = member;
  const sheet = sent.sheet === 'program' ? PROGRAM_SHEET : userId;
  refuseUnknownRubric(sent.entries);
  const sequelize = await database();
  return sequelize.transaction(async (transaction) => {
    // One grader at a time on a snap, so that every change is recorded against what it really replaced.
    const held = await holdSnap(sequelize, { programId, snapId, sheet }, transaction);
    if (!held) throw none('snap');
    const { snap, kept: rows } = held;
    refuseStrangers(sent.entries, snap.asked);
    const isNew = sent.entries.some((e) => !rows.some((r) => r.blocker === e.blocker));
    const playerAt = isNew || member.role === 'player' ? await fieldOf(member, snap.gameId, transaction) : null;
    if (member.role === 'player') await refuseOthers(member, snap, sent, playerAt!, transaction);
    const meant = sent.entries.map((entry): Meant => {
      const row = rows.find((r) => r.blocker === entry.blocker) ?? null;
      return { entry, row, before: row?.grade ?? null };
    });
    await refuseStale(snap, sent, meant, transaction);
    const changing = meant.filter(({ entry, before }) => !same(before, entry.grade));
    const kept: GradesKept = { revisions: {} };
    for (const { entry, row } of meant) kept.revisions[entry.blocker] = row?.revision ?? 0;
    const marks = changing.map(({ entry: { blocker, entry, grade }, row, before }) => ({
      ...{ blocker, entry, grade, before },
      asked: snap.asked.get(blocker)!,
      playerId: row ? row.playerId : playerAt!(blocker, snap.number),
      revision: grade === null ? 0 : (row?.revision ?? 0) + 1,
    }));
    if (marks.length > 0) await writeMarks(sequelize, { programId, snapId, sheet }, userId, marks, transaction);
    for (const { blocker, revision } of marks) kept.revisions[blocker] = revision;
    return kept;
  });
}

/** Both as they are kept, so that the order of their words does not matter. */
const same = (one: Grade | null, other: Grade | null): boolean => JSON.stringify(one) === JSON.stringify(other);

function refuse(message: string): never {
  throw createError({ statusCode: 400, message: `${message} Nothing was changed.` });
}

function refuseUnknownRubric(entries: readonly GradeEntry[]): void {
  const unknown = entries.find((e) => e.grade && !findRubric(e.grade.rubric));
  if (unknown) refuse(`rubric: there is no rubric "${unknown.grade!.rubric}".`);
}

function refuseStrangers(entries: readonly GradeEntry[], asked: ReadonlyMap<string, unknown>): void {
  const stranger = entries.find((e) => !asked.has(e.blocker));
  if (stranger) refuse(`blocker: ${stranger.blocker} has no assignment on this snap.`);
  const twin = entries.find((e, i) => entries.findIndex((o) => o.blocker === e.blocker) !== i);
  if (twin) refuse(`blocker: ${twin.blocker} is marked twice.`);
}

/** A player marks himself, on a sheet of his own, where his coach wants it and only until the grades are published. */
async function refuseOthers(
  { programId, playerId }: Member,
  { gameId, number }: HeldSnap,
  { sheet, entries }: GradesSent,
  playerAt: (seat: string, snap: number) => number | null,
  transaction: Transaction,
): Promise<void> {
  const game = await GameRow.findOne({ where: { id: gameId, programId }, transaction });
  if (!game?.ownGrades || game.published) throw none('snap');
  const isOwn = sheet === 'own' && entries.every((e) => playerAt(e.blocker, number) === playerId);
  if (!isOwn) throw createError({ statusCode: 403, message: 'A player grades himself only. Nothing was changed.' });
}

/** 409 with both versions where something else stands there by now than the grader saw. */
async function refuseStale(
  snap: HeldSnap,
  sent: GradesSent,
  meant: readonly Meant[],
  transaction: Transaction,
): Promise<void> {
  const arrived = meant.every(({ entry, row, before }) => row?.entry === entry.entry || same(before, entry.grade));
  if (arrived) return;
  const isStale = ({ entry, row, before }: Meant): boolean =>
    !same(before, entry.grade) &&
    (row?.revision ?? 0) !== entry.base &&
    !(row?.entry && entry.follows.includes(row.entry));
  const stale = meant.filter(isStale);
  const callChanged = sent.snapRevision !== snap.revision;
  if (!callChanged && stale.length === 0) return;
  const conflict: GradesConflict = {
    kind: callChanged ? 'call' : 'marks',
    snapRevision: snap.revision,
    others: await othersOf(callChanged ? meant : stale, transaction),
  };
  throw createError({
    statusCode: 409,
    message: callChanged
      ? `The call of snap ${snap.number} was changed since: look at what is asked now. Nothing was changed.`
      : `Somebody else has marked ${stale.map((s) => s.entry.blocker).join(', ')} on snap ${snap.number} meanwhile. Nothing was changed.`,
    data: conflict,
  });
}

async function othersOf(meant: readonly Meant[], transaction: Transaction): Promise<OtherMark[]> {
  const ids = meant.flatMap(({ row }) => (row?.userId ? [row.userId] : []));
  const users = await UserRow.findAll({ where: { id: ids }, transaction });
  return meant.map(({ entry, row, before }) => ({
    blocker: entry.blocker,
    grade: before,
    revision: row?.revision ?? 0,
    by: users.find((u) => u.id === row?.userId)?.name ?? 'somebody else',
    at: (row?.changedAt ?? new Date()).toISOString(),
  }));
}

export interface GradeChange {
  blocker: string;
  by: string;
  at: string;
  before: Grade | null;
  after: Grade | null;
}

/** Every change of the program's marks of a snap, newest first. */
export async function gradeHistory(member: Member, snapId: number): Promise<GradeChange[]> {
  await ownSnap(member, snapId);
  const rows = await GradeChangeRow.findAll({
    where: { programId: member.programId, snapId, sheet: PROGRAM_SHEET },
    order: [['id', 'DESC']],
  });
  const users = await UserRow.findAll({ where: { id: rows.map((r) => r.userId) } });
  return rows.map((r) => ({
    blocker: r.blocker,
    by: users.find((u) => u.id === r.userId)?.name ?? 'a former user',
    at: r.createdAt.toISOString(),
    before: r.before as Grade | null,
    after: r.after as Grade | null,
  }));
}
