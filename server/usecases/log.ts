import { howMany } from '#core/vocabulary/how-many';
import { createError } from 'h3';
import type { Transaction } from 'sequelize';
import type { Ways } from '#core/calls/resolve-call';
import { differs } from '#core/calls/changed-answer';
import { correctSituation } from '#core/film/log/series';
import type { LogEntry } from '#core/model/game';
import type { Resolution } from '#core/model/resolution';
import type { Call } from '#core/model/snap';
import type { SnapBody } from '#core/model/snap-body';
import { database } from '../db/database';
import { snapBody } from '../db/mappers';
import { ClipRow, GradeRow, SnapRow } from '../db/models';
import type { Member } from '../session/member';
import { ownGame, ownSnap } from './owned';
import { lockGame, showSnaps } from './films';
import { waysOf, workOut } from './work-out';

export interface LogWritten {
  readonly written: boolean;
  readonly added: readonly number[];
  readonly changed: readonly number[];
  /** Men who were graded against another assignment than they would have now, by snap. */
  readonly affected: readonly { readonly number: number; readonly men: readonly string[] }[];
}

/** What is written into a log at once. */
export interface LogSent {
  readonly entries: readonly LogEntry[];
  /** Snaps that are taken out, by their numbers. */
  readonly without?: readonly number[];
  readonly confirmed: boolean;
  readonly dryRun: boolean;
}

/**
 * Writes entries of a game's log, all or none: snaps that are not there are added, others changed, and some taken out. What follows from a
 * corrected situation follows again. When graded men would have been asked something else nothing is written until somebody says `confirmed`; a trial
 * (`dryRun`) never writes. A call that cannot be worked out is refused with the snap it is of.
 */
export async function writeLog(
  member: Member,
  gameId: number,
  { entries, without = [], confirmed, dryRun }: LogSent,
): Promise<LogWritten> {
  const { programId } = member;
  await ownGame(member, gameId);
  const sorted = [...entries].sort((a, b) => a.number - b.number);
  refuseTwins(sorted);
  // Before the transaction: one that asks for a second connection can wait for others that do the same.
  const ways = await waysOf(member);
  const sequelize = await database();
  return sequelize.transaction(async (transaction) => {
    const rows = await lockedLog(member, gameId, transaction);
    const staying = rows.filter((row) => !without.includes(row.number));
    const log = new Map(staying.map((row) => [row.number, snapBody(row)]));
    const answers = workAllOut(ways, sorted, log);
    const affected = await affectedBy(answers, log, staying, transaction);
    const added = sorted.map((e) => e.number).filter((n) => !log.has(n));
    const after = enter(sorted, answers, log);
    const changed = [...log].flatMap(([n, was]) => (JSON.stringify(was) === JSON.stringify(after.get(n)) ? [] : [n]));
    const written = !dryRun && (confirmed || affected.length === 0);
    if (written) {
      for (const row of rows.filter((r) => without.includes(r.number))) await takeOut(row, transaction);
      for (const row of staying.filter((row) => changed.includes(row.number)))
        await row.update(
          { body: after.get(row.number)!, revision: row.revision + (answers.has(row.number) ? 1 : 0) },
          { transaction },
        );
      for (const number of added)
        await SnapRow.create({ programId, gameId, number, body: after.get(number)! }, { transaction });
      await showSnaps(programId, gameId, transaction);
    }
    return { written, added, changed, affected };
  });
}

/** A game's snaps in order, for one writer at a time: what follows from what hangs on all of them. */
export async function lockedLog({ programId }: Member, gameId: number, transaction: Transaction): Promise<SnapRow[]> {
  await lockGame(gameId, transaction);
  return SnapRow.findAll({
    where: { programId, gameId },
    order: [['number', 'ASC']],
    lock: transaction.LOCK.UPDATE,
    transaction,
  });
}

function refuseTwins(sorted: readonly LogEntry[]): void {
  const twin = sorted.find((e, i) => sorted[i + 1]?.number === e.number);
  if (twin)
    throw createError({
      statusCode: 400,
      message: `Snap ${twin.number} is said twice. Nothing was changed.`,
    });
}

const sameCall = (a: Call, b: Call): boolean => JSON.stringify(a) === JSON.stringify(b);

/** What men are asked by the calls that are new; all calls that cannot be worked out are named together. */
function workAllOut(
  ways: Ways,
  entries: readonly LogEntry[],
  log: ReadonlyMap<number, SnapBody>,
): ReadonlyMap<number, Resolution> {
  const answers = new Map<number, Resolution>();
  const known = new Map<string, Resolution>();
  const problems: string[] = [];
  for (const { number, call } of entries) {
    const there = log.get(number);
    if (there && sameCall(there.call, call)) continue;
    const key = JSON.stringify(call);
    try {
      const answer = known.get(key) ?? workOut(call, ways);
      known.set(key, answer);
      answers.set(number, answer);
    } catch (problem) {
      if ((problem as { statusCode?: number }).statusCode !== 400) throw problem;
      problems.push(`snap ${number}: ${(problem as Error).message.replace(/ Nothing was changed\.$/, '')}`);
    }
  }
  if (problems.length) throw createError({ statusCode: 400, message: `${problems.join(' ')} Nothing was changed.` });
  return answers;
}

async function affectedBy(
  answers: ReadonlyMap<number, Resolution>,
  log: ReadonlyMap<number, SnapBody>,
  rows: readonly SnapRow[],
  transaction: Transaction,
): Promise<LogWritten['affected']> {
  const touched = rows.filter((row) => answers.has(row.number));
  const grades = await GradeRow.findAll({ where: { snapId: touched.map((row) => row.id) }, transaction });
  return touched.flatMap(({ id, number }) => {
    const graded = [...new Set(grades.filter((g) => g.snapId === id).map((g) => g.blocker))];
    const men = graded.filter((blocker) => differs(log.get(number)!.resolution, answers.get(number)!, blocker));
    return men.length ? [{ number, men }] : [];
  });
}

/** The log after the entries were put in, in order, each with what follows from it. */
function enter(
  entries: readonly LogEntry[],
  answers: ReadonlyMap<number, Resolution>,
  log: ReadonlyMap<number, SnapBody>,
): ReadonlyMap<number, SnapBody> {
  const after = new Map(log);
  for (const { number, call, situation, logged } of entries) {
    const resolution = answers.get(number) ?? log.get(number)!.resolution;
    const there = after.get(number);
    if (there) {
      const numbers = [...after.keys()].sort((a, b) => a - b);
      const corrected = correctSituation(
        numbers.map((n) => after.get(n)!.situation),
        numbers.indexOf(number),
        situation,
      );
      for (const [i, n] of numbers.entries()) after.set(n, { ...after.get(n)!, situation: corrected[i]! });
    }
    after.set(number, { call, situation, resolution, logged });
  }
  return after;
}

/** Takes a snap out of its game. One that was graded stays: its marks are somebody's record. Its films stay too, shown with no snap. */
export async function removeSnap(member: Member, snapId: number): Promise<void> {
  const { programId } = member;
  const { gameId } = await ownSnap(member, snapId);
  const sequelize = await database();
  await sequelize.transaction(async (transaction) => {
    await lockGame(gameId, transaction);
    const row = await SnapRow.findOne({ where: { id: snapId, programId }, lock: transaction.LOCK.UPDATE, transaction });
    await takeOut(row!, transaction);
  });
}

async function takeOut(row: SnapRow, transaction: Transaction): Promise<void> {
  const where = { programId: row.programId, snapId: row.id };
  const grades = await GradeRow.count({ where, transaction });
  if (grades > 0)
    throw createError({
      statusCode: 409,
      message: `Snap ${row.number} has ${howMany(grades, 'grade')}: take them away first, or say that it does not count. Nothing was changed.`,
    });
  await ClipRow.destroy({ where, transaction });
  await row.destroy({ transaction });
}
