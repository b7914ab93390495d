import { setImmediate as turn } from 'node:timers/promises';
import { SnapRow } from '../db/models';
import { snapBody } from '../db/mappers';
import type { Member } from '../session/member';
import { ownGame } from './owned';
import { waysOf } from './work-out';
import { changedAnswer, type ChangedAnswer } from '#core/calls/changed-answer';

export interface ChangedSnap extends ChangedAnswer {
  readonly id: number;
  readonly number: number;
}

/** Snaps of a game that would be worked out otherwise today. Nothing is changed by looking: grades stay with the answer they were given against. */
export async function listChanged(member: Member, gameId: number): Promise<ChangedSnap[]> {
  await ownGame(member, gameId);
  const [ways, snaps] = await Promise.all([
    waysOf(member),
    SnapRow.findAll({ where: { programId: member.programId, gameId }, order: [['number', 'ASC']] }),
  ]);
  const all: ChangedSnap[] = [];
  for (const row of snaps) {
    const changed = changedAnswer(snapBody(row), ways);
    if (changed) all.push({ id: row.id, number: row.number, ...changed });
    // A game is worked out anew here: others are answered between two snaps.
    await turn();
  }
  return all;
}
