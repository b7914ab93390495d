import type { Transaction } from 'sequelize';
import { sayPersonnel } from '#core/reports/personnel';
import { ANGLES } from '#core/model/angle';
import { readFormation } from '#core/language/lineups/read-formation';
import { SCOUTED_GAME, SCOUTED_SNAPS, scoutedClip, scoutedClipFile } from '#demo/scouted';
import { ClipRow, GameRow, SnapRow } from '../db/models';
import { workOut } from './work-out';

/** Puts the game of the next opponent's into the database that the Lanterns have filmed to see what he does. */
export async function loadScouted(
  { programId, seasonId }: { programId: number; seasonId: number },
  transaction: Transaction,
): Promise<void> {
  const game = await GameRow.create({ programId, seasonId, published: false, ...SCOUTED_GAME }, { transaction });
  for (const [i, { call, situation }] of SCOUTED_SNAPS.entries()) {
    const number = i + 1;
    const formation = readFormation(call.formation);
    const logged = { personnel: formation.ok ? sayPersonnel(formation.value) : '', said: '' };
    const row = await SnapRow.create(
      { programId, gameId: game.id, number, body: { call, situation, resolution: workOut(call), logged } },
      { transaction },
    );
    await ClipRow.bulkCreate(
      ANGLES.map((angle) => ({
        ...{ programId, snapId: row.id, angle, file: scoutedClipFile(number, angle), body: scoutedClip(number) },
      })),
      { transaction },
    );
  }
}
