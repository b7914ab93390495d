import type { FilmView } from '../model/film';
import { howMany } from '../vocabulary/how-many';

/** A size as people say it. */
export const sayBytes = (bytes: number): string =>
  bytes < 1e6
    ? `${Math.max(1, Math.round(bytes / 1e3))} kB`
    : bytes < 1e9
      ? `${(bytes / 1e6).toFixed(bytes < 1e7 ? 1 : 0)} MB`
      : `${(bytes / 1e9).toFixed(1)} GB`;

const percent = (share: number): string => `${Math.floor(share * 100)} %`;

/** What is in a film: "1280 by 720, 30 a second, 4.2 s". */
function sayFacts({ facts }: FilmView): string {
  if (!facts) return '';
  const rate = Number.isInteger(facts.rate) ? String(facts.rate) : facts.rate.toFixed(2);
  return `${facts.width} by ${facts.height}, ${rate} frames a second, ${facts.duration.toFixed(1)} s`;
}

/** How far a film has come, and what that means for whoever waits for it. */
export function sayFilm(film: FilmView): string {
  switch (film.state) {
    case 'waiting':
      return 'Here; it is looked into next.';
    case 'working':
      return film.progress > 0
        ? `Is written anew so that every frame can be shown: ${percent(film.progress)}.`
        : 'Is looked into.';
    case 'ready':
      return film.rewritten.length === 0
        ? `${sayFacts(film)}.`
        : `${sayFacts(film)}. Written anew because ${film.rewritten.join(' and ')}; the file as it came is kept.`;
    case 'refused':
      return film.problem;
    case 'cancelled':
      return 'Stopped. The file as it came is kept.';
  }
}

/** Why the clock says that a film shows a snap: `beside` is the film of the other angle that was shot at that moment. */
export const sayByClock = (snap: number, beside: string): string => `By the clock snap ${snap}, shot beside ${beside}.`;

/** What is pressed to show so many films as the clock says. */
export const sayShowByClock = (films: number): string =>
  films === 1 ? 'Show one film by the clock' : `Show ${films} films by the clock`;

/** How much of a game its films show. */
export const sayFilmsHere = (films: number, shown: number, snaps: number): string =>
  `${howMany(films, 'film')}, ${shown} of ${howMany(snaps, 'snap')} shown by ${films === 1 ? 'it' : 'them'}`;

/** Numbers as they are read out: "3, 5 to 9 and 12". */
export function sayNumbers(numbers: readonly number[]): string {
  const runs: [first: number, last: number][] = [];
  for (const n of [...new Set(numbers)].sort((a, b) => a - b)) {
    const run = runs.at(-1);
    if (run && run[1] === n - 1) run[1] = n;
    else runs.push([n, n]);
  }
  const parts = runs.flatMap(([first, last]) =>
    last === first + 1 ? [`${first}`, `${last}`] : [first === last ? `${first}` : `${first} to ${last}`],
  );
  return parts.length < 2 ? parts.join('') : `${parts.slice(0, -1).join(', ')} and ${parts.at(-1)!}`;
}
