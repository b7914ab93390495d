import Papa from 'papaparse';
import { readRoster, type ReadRoster } from '#core/roster/read-roster';
import type { Player } from '#core/roster/player';

export interface Tried extends ReadRoster {
  /** How many of them are on the roster already; they are left out. */
  readonly known: number;
}

/** Reads what was typed or pasted, values between commas, semicolons, tabs or spaces, and leaves out who is there already. Nothing is written. */
export function tryRoster(text: string, there: readonly Pick<Player, 'number' | 'name'>[]): Tried {
  const lines = text.split(/\r\n|\r|\n/).map((line) => {
    const { data } = Papa.parse<string[]>(line, { delimiter: /[,;\t]/.exec(line)?.[0] ?? ',' });
    return data[0] ?? [];
  });
  const { players, problems } = readRoster(lines);
  const fresh = players.filter((p) => !there.some((o) => o.number === p.number && o.name === p.name));
  return { players: fresh, problems, known: players.length - fresh.length };
}
