/** Which clip shows which rep: clips by name, in the order of the reps; `null` where a rep was not filmed. */
export type RepFilm = readonly (string | null)[];

/** As a camera numbers its files: clip 2 before clip 10. */
const byNumber = new Intl.Collator('en', { numeric: true });
export const inOrder = (clips: readonly string[]): string[] => [...clips].sort(byNumber.compare);

/** Clips join reps in the order in which they were filmed, from the one that shows the first rep on. */
export function joinFrom(clips: readonly string[], first: string, reps: number): RepFilm {
  const ordered = inOrder(clips);
  const from = ordered.slice(Math.max(0, ordered.indexOf(first)));
  return Array.from({ length: reps }, (_, i) => from[i] ?? null);
}

/** A rep was not filmed: its clip shows the next one, and all after it move one on; what moves past the last rep shows none. */
export const notFilmed = (film: RepFilm, rep: number): RepFilm =>
  [...film.slice(0, rep), null, ...film.slice(rep)].slice(0, film.length);

/** A clip shows no rep (a water break, a coach talking): all after it move one back, and the next clip there is shows the last rep. */
export function noRep(film: RepFilm, rep: number, clips: readonly string[]): RepFilm {
  const shown = film.filter((f): f is string => f !== null);
  const ordered = inOrder(clips);
  const next = ordered[ordered.indexOf(shown.at(-1) ?? '') + 1] ?? null;
  return [...film.slice(0, rep), ...film.slice(rep + 1), next];
}
