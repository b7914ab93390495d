import { randomUUID } from 'node:crypto';
import type { Transaction } from 'sequelize';
import {
  CalibrationRow,
  ClipRow,
  CutRow,
  DocumentRow,
  DocumentVersionRow,
  FilmNoteRow,
  GameRow,
  GradeRow,
  MeasuringRow,
  MembershipRow,
  PlayerRow,
  ProgramRow,
  SeasonRow,
  SnapRow,
  UserRow,
} from '../db/models';
import { database } from '../db/database';
import { findMember } from '../session/member';
import { hashPassword, verifyPassword } from '../session/passwords';
import {
  DEMO_ACCOUNTS,
  DEMO_CUTS,
  DEMO_FRONTS,
  DEMO_GRADES,
  DEMO_LINEUP,
  DEMO_NOTES,
  DEMO_PROGRAM,
  DEMO_SAID,
  DEMO_ROSTER,
  DEMO_SNAPS,
  demoClip,
  demoClipFile,
  demoPower,
} from '#demo/scenario';
import { MORE_MEN, WEIGHTS } from '#demo/week';
import { readFormation } from '#core/language/lineups/read-formation';
import { sayPersonnel } from '#core/reports/personnel';
import { playerAt, type Lineup } from '#core/film/log/lineup';
import { calibrate } from '#core/film/calibrate/calibrate';
import type { Measuring } from '#core/model/measured';
import { ANGLES } from '#core/model/angle';
import { demoMeasured } from '#demo/measured';
import { askedOf } from '#core/grade/book/marked';
import { readTree } from '#core/language/read';
import { libraryText } from '#core/library/library';
import { bringUpBooks } from '../book/keep';
import { loadScouted } from './load-scouted';
import { loadSeason } from './load-season';
import { loadWeek } from './load-week';
import { workOut } from './work-out';

/**
 * Puts the made-up program into the database: accounts, roster, one game with its film, half of it graded. Where it is already nothing is
 * made anew. `enterable`: its accounts can be entered with the passwords that are shown; otherwise nobody has a password for them.
 */
export async function loadDemo({ enterable }: { enterable: boolean }): Promise<void> {
  const sequelize = await database();
  if (await ProgramRow.findOne({ where: { demo: true } })) return enterable ? openAccounts() : undefined;
  const hashes = await Promise.all(DEMO_ACCOUNTS.map((a) => hashPassword(enterable ? a.password : randomUUID())));
  const made = await sequelize.transaction(async (transaction) => {
    await sequelize.query(`select pg_advisory_xact_lock(${DEMO_LOCK})`, { transaction });
    if (await ProgramRow.findOne({ where: { demo: true }, transaction })) return null;
    const program = await ProgramRow.create({ name: DEMO_PROGRAM.name, demo: true }, { transaction });
    const programId = program.id;
    const season = await SeasonRow.create({ programId, name: DEMO_PROGRAM.season }, { transaction });
    const game = await GameRow.create(
      { programId, seasonId: season.id, opponent: DEMO_PROGRAM.opponent, week: DEMO_PROGRAM.week, published: true },
      { transaction },
    );
    const players = await PlayerRow.bulkCreate(
      [...DEMO_ROSTER, ...MORE_MEN.map((m) => ({ ...m, seats: [...m.seats], seat: '' }))].map((p) => ({
        ...{ programId, ...p },
        weight: WEIGHTS[p.number] ?? null,
      })),
      { transaction, returning: true },
    );
    const lineup = demoLineup(players);
    await game.update({ lineup: { ...lineup } }, { transaction });
    const users: number[] = [];
    for (const [i, account] of DEMO_ACCOUNTS.entries()) {
      const user = await UserRow.create(
        { email: account.email, name: account.name, passwordHash: hashes[i]! },
        { transaction },
      );
      users.push(user.id);
      const playerId = players.find((p) => p.number === account.number)?.id ?? null;
      await MembershipRow.create({ userId: user.id, programId, role: account.role, playerId }, { transaction });
    }
    const texts = [
      ...DEMO_FRONTS.map((f) => ({ shelf: 'fronts', ...f })),
      { shelf: 'schemes', opponent: null, text: demoPower(libraryText('schemes', 'power')!) },
    ];
    for (const { shelf, opponent, text } of texts) {
      const document = await DocumentRow.create(
        { programId, shelf, slug: readTree(text).tree!.id, opponent },
        { transaction },
      );
      await DocumentVersionRow.create(
        { programId, documentId: document.id, number: 1, text, draft: false, userId: users[0]! },
        { transaction },
      );
    }
    await CutRow.bulkCreate(
      DEMO_CUTS.map(({ name, cut }) => ({ programId, userId: users[0]!, name, body: cut })),
      { transaction },
    );
    const [coach, assistant] = users as [number, number];
    for (const [i, snap] of DEMO_SNAPS.entries()) {
      const number = i + 1;
      const resolution = workOut(snap.call);
      const row = await SnapRow.create(
        {
          programId,
          gameId: game.id,
          number,
          body: {
            call: snap.call,
            situation: snap.situation,
            resolution,
            logged: { personnel: personnelOf(snap.call.formation), said: DEMO_SAID[number] ?? '' },
          },
        },
        { transaction },
      );
      const clips = await ClipRow.bulkCreate(
        ANGLES.map((angle) => ({
          programId,
          snapId: row.id,
          angle,
          file: demoClipFile(number, angle),
          body: demoClip(number),
        })),
        { transaction, returning: true },
      );
      const written = DEMO_NOTES[number];
      if (written) {
        const { id: clipId } = clips.find((c) => c.angle === written.angle)!;
        await FilmNoteRow.create({ programId, clipId, userId: users[0]!, body: written.note }, { transaction });
      }
      await loadMeasured(number, row, clips, users[0]!, transaction);
      await GradeRow.bulkCreate(
        (DEMO_GRADES[number] ?? []).map(({ blocker, grade }) => ({
          programId,
          snapId: row.id,
          blocker,
          playerId: playerAt(lineup, players, blocker, number),
          asked: askedOf(resolution.assignments.find((a) => a.blocker === blocker)!),
          userId: coach,
          body: grade,
        })),
        { transaction },
      );
    }
    await loadSeason({ programId, seasonId: season.id, players, coach, assistant }, transaction);
    await loadScouted({ programId, seasonId: season.id }, transaction);
    return { userId: coach, programId };
  });
  await bringUpBooks();
  const member = made && (await findMember(made.userId, made.programId));
  if (member) await loadWeek(member);
}

/** Any number of our own: one at a time makes the demo. */
const DEMO_LOCK = 7_203_115;

/** Gives the demo's accounts the passwords that are shown, where they have others. */
async function openAccounts(): Promise<void> {
  for (const { email, password } of DEMO_ACCOUNTS) {
    const user = await UserRow.findOne({ where: { email } });
    if (user && !(await verifyPassword(user.passwordHash, password)))
      await user.update({ passwordHash: await hashPassword(password) });
  }
}

const personnelOf = (text: string): string => {
  const formation = readFormation(text);
  return formation.ok ? sayPersonnel(formation.value) : '';
};

/** The game's line-up, with the players as they are known here. */
function demoLineup(players: readonly PlayerRow[]): Lineup {
  const idOf = (number: number): number => players.find((p) => p.number === number)!.id;
  return {
    seats: DEMO_LINEUP.seats.map(({ from, seat, player }) => ({ from, seat, playerId: idOf(player) })),
    jerseys: DEMO_LINEUP.jerseys.map(({ from, player, number }) => ({ from, playerId: idOf(player), number })),
  };
}

/** What the demo's coach has measured on a snap already: its cameras, feet and ways. */
async function loadMeasured(
  number: number,
  { id: snapId, programId }: SnapRow,
  clips: readonly ClipRow[],
  userId: number,
  transaction: Transaction,
): Promise<void> {
  const measured = demoMeasured(number);
  if (!measured) return;
  for (const angle of ANGLES) {
    const found = calibrate(measured.cameras[angle]);
    const clip = clips.find((c) => c.angle === angle)!;
    if (!found.ok) throw new Error(`the demo's marks of snap ${number} give no camera; see "npm run measure:demo"`);
    await CalibrationRow.create({ programId, clipId: clip.id, userId, body: found.value }, { transaction });
  }
  const body: Measuring = { atSnap: [...measured.atSnap], followed: measured.followed, bends: [], stances: [] };
  await MeasuringRow.create({ programId, snapId, userId, revision: 1, body }, { transaction });
}
