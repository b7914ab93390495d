import { howMany } from '../../vocabulary/how-many';
import { sayGame, type GameItem, type LogEntry } from '../../model/game';

/** One front as an opponent showed it, movement and all: on which snaps, and how many of them on first, second, and third or fourth down. */
export interface ShownFront {
  readonly frontName: string;
  readonly snaps: readonly number[];
  readonly downs: readonly [first: number, second: number, later: number];
}

/** What an opponent shows in a log, the most frequent first; snaps that do not count are left out. */
export function shownFronts(log: readonly Pick<LogEntry, 'number' | 'call' | 'situation' | 'logged'>[]): ShownFront[] {
  const counted = log.filter((s) => !s.logged.notCounted);
  const names = [...new Set(counted.map((s) => s.call.frontName))];
  const shown = names.map((frontName): ShownFront => {
    const own = counted.filter((s) => s.call.frontName === frontName);
    const on = (is: (down: number) => boolean): number => own.filter((s) => is(s.situation.down)).length;
    const downs = [on((d) => d === 1), on((d) => d === 2), on((d) => d > 2)] as const;
    return { frontName, snaps: own.map((s) => s.number), downs };
  });
  return shown.sort((a, b) => b.snaps.length - a.snaps.length || a.frontName.localeCompare(b.frontName, 'en'));
}

/** What is said above what they show: "6 snaps of week 5, Quillport Terns against Graymoor Millers. Neither line ..." */
export const sayShown = (game: GameItem, snaps: number): string =>
  `${howMany(snaps, 'snap')} of ${sayGame(game)}. Neither line of it is graded; what they show is offered as a look in the week they come.`;
