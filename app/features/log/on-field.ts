import { LineupSchema, type Lineup, type SeatChange } from '#core/film/log/lineup';
import { request } from '~/features/session/request';

/** What one step made of who was on the field in a game. */
export interface FieldStep {
  readonly game: number;
  /** What was done, as the way back names it. */
  readonly says: string;
  readonly was: Lineup;
  readonly is: Lineup;
}

/** Who was on the field, with the number of times it was written. */
export interface KeptLineup {
  readonly revision: number;
  readonly lineup: Lineup;
}

/** A grade that would become another man's. */
export interface MovedGrade {
  readonly number: number;
  readonly blocker: string;
}

const spell = (lineup: Lineup): string => JSON.stringify(LineupSchema.parse(lineup));
/** Whether the field is still as a step made it: nobody has written another since. */
export const stands = ({ is }: FieldStep, now: Lineup): boolean => spell(is) === spell(now);

/** Writes who was on the field of a game; until somebody has said yes, nothing while grades would become another man's. */
export async function writeField(
  game: number,
  { revision, lineup }: KeptLineup,
  confirmed: boolean,
): Promise<{ kept: KeptLineup } | { moved: readonly MovedGrade[] }> {
  const body = { revision, lineup, confirmed };
  const answer = await request<{ saved: boolean; revision: number; moved: MovedGrade[] }>(`/api/games/${game}/lineup`, {
    method: 'PUT',
    body,
  });
  return answer.saved ? { kept: { revision: answer.revision, lineup } } : { moved: answer.moved };
}

type NameOf = (playerId: number | null) => string;
export const sayPlays = ({ from, seat, playerId }: SeatChange, nameOf: NameOf): string =>
  `from snap ${from} ${nameOf(playerId)} at ${seat}`;
export const sayWears = ({ from, playerId, number }: Lineup['jerseys'][number], nameOf: NameOf): string =>
  `from snap ${from} ${nameOf(playerId)} wears ${number}`;

export const sayMoved = (moved: readonly MovedGrade[]): string =>
  `${moved.length} ${moved.length === 1 ? 'grade goes' : 'grades go'} to another man by this: ${moved
    .map(({ number, blocker }) => `snap ${number} ${blocker}`)
    .join(', ')}.`;

export const sayFieldSince = (says: string): string =>
  `Who was on the field was changed since. What you did (${says}) stays as it is now.`;
