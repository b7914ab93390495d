import { basename } from 'node:path';
import { FilmBodySchema } from '#core/model/film';
import { filmKeys } from '../film/places';
import type { Row } from './tables';

/** The fields of a film's body that name a file. */
const NAMING = ['original', 'playable', 'still', 'motion'] as const;

const named = (film: Row): { id: number; programId: number; name: string } => ({
  id: film.id!,
  programId: Number(film.program_id),
  name: String(film.name),
});

/** Every file that clips and films of a program name. */
export function filesOf(clips: readonly Row[], films: readonly Row[]): string[] {
  const ofFilms = films.flatMap((f) => {
    const body = FilmBodySchema.parse(f.body);
    return NAMING.flatMap((key) => body[key] ?? []);
  });
  return [...new Set([...clips.map((c) => String(c.file)), ...ofFilms])].filter(Boolean);
}

/** Where the files of a film lie once it is another one, by where they lay. */
export function movedKeys(before: Row, after: Row): Map<string, string> {
  const [was, is] = [filmKeys(named(before)), filmKeys(named(after))];
  return new Map((Object.keys(was) as (keyof typeof was)[]).map((role) => [was[role], is[role]]));
}

/** Where a file lies that no film stands behind. */
export const looseKey = (programId: number, key: string): string => `p${programId}/from-copy-${basename(key)}`;

/** A film's body with its files where they lie now; a file that did not come is none. */
export function withMoved(body: unknown, moved: ReadonlyMap<string, string>): unknown {
  const film = FilmBodySchema.parse(body);
  const names = Object.fromEntries(
    NAMING.map((key) => [key, film[key] === null ? null : (moved.get(film[key]) ?? null)]),
  );
  return { ...film, ...names };
}
