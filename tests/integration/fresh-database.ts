import { Sequelize } from 'sequelize';
import pg from 'pg';
import { closeDatabase, openDatabase } from '../../server/db/database';
import { GameRow, MembershipRow, PlayerRow, ProgramRow, SeasonRow, SnapRow, UserRow } from '../../server/db/models';
import { workOut } from '../../server/usecases/work-out';
import type { Member, Role } from '../../server/session/member';
import { A_CALL } from '#core/testing/a-call';

const server = process.env.TEST_DATABASE_URL;
let count = 0;

/**
 * A database of its own for one test file, `filled` with what a dump says before it is opened; `TEST_DATABASE_URL` names a server whose
 * tests may make databases.
 */
export async function freshDatabase(
  filled = '',
): Promise<{ url: string; sequelize: Sequelize; drop: () => Promise<void> }> {
  if (!server) throw new Error('TEST_DATABASE_URL is not set: run ./test, or start a PostgreSQL and set it');
  const admin = new Sequelize(server, { dialect: 'postgres', dialectModule: pg, logging: false });
  const name = `test_${process.pid}_${count++}`;
  await admin.query(`create database ${name}`);
  const url = server.replace(/\/[^/]*$/, `/${name}`);
  if (filled) {
    const client = new pg.Client(url);
    await client.connect();
    await client.query(filled);
    await client.end();
  }
  const sequelize = await openDatabase(url);
  return {
    url,
    sequelize,
    drop: async () => {
      await closeDatabase();
      await admin.query(`drop database ${name}`);
      await admin.close();
    },
  };
}

/** What every snap of a program for tests was called as. */
export const CALL = A_CALL;
export const SITUATION = { quarter: 1, down: 1, distance: 10, hash: 'left', gain: 4 } as const;

/** A small program: one game with two snaps, one user of each role, a player for every lineman. */
export async function makeProgram(
  name: string,
): Promise<{ programId: number; gameId: number; snaps: number[]; members: Record<Role, Member> }> {
  const program = await ProgramRow.create({ name });
  const programId = program.id;
  const season = await SeasonRow.create({ programId, name: 'Season' });
  const game = await GameRow.create({
    programId,
    seasonId: season.id,
    opponent: 'Quillport Terns',
    week: 1,
    published: false,
  });
  const snaps = await Promise.all(
    [1, 2].map((number) =>
      SnapRow.create({
        programId,
        gameId: game.id,
        number,
        body: { call: CALL, situation: SITUATION, resolution: workOut(CALL) },
      }),
    ),
  );
  const players = await PlayerRow.bulkCreate(
    ['LT', 'LG', 'C', 'RG', 'RT', 'H'].map((seat, i) => ({ programId, name: `${name} ${seat}`, number: 60 + i, seat })),
    { returning: true },
  );
  const members = {} as Record<Role, Member>;
  for (const role of ['coach', 'assistant', 'player'] as const) {
    const playerId = role === 'player' ? players.find((p) => p.seat === 'C')!.id : null;
    const user = await UserRow.create({
      email: `${role}@${name.toLowerCase()}.example`,
      name: `${name} ${role}`,
      passwordHash: 'x',
    });
    await MembershipRow.create({ userId: user.id, programId, role, playerId });
    members[role] = { userId: user.id, userName: user.name, programId, programName: name, role, playerId };
  }
  return { programId, gameId: game.id, snaps: snaps.map((s) => s.id), members };
}
