import { rm } from 'node:fs/promises';
import { extname, join } from 'node:path';
import { S3Storage } from '../storage/s3';
import { FolderStorage, type FilmStorage } from '../storage/storage';

/** Where film goes on this machine. */
export interface FilmPlaces {
  readonly storage: FilmStorage;
  /** Uploads that are not whole yet, or have not been looked at. */
  readonly arriving: string;
  /** A folder a program, for cameras that drop files. */
  readonly watched: string;
  /** Files that are being written; whatever is left in it after a start is rubbish. */
  readonly writing: string;
}

export const placesIn = (folder: string, storage: FilmStorage = new FolderStorage(folder)): FilmPlaces => ({
  storage,
  arriving: join(folder, 'arriving'),
  watched: join(folder, 'watched'),
  writing: join(folder, 'writing'),
});

let shared: FilmStorage | null = null;

/** As this machine is set up: film in its folder, or in a bucket when one is named. */
export function filmPlaces(): FilmPlaces {
  const { filmDir, filmS3 } = useRuntimeConfig();
  const folder = String(filmDir);
  if (filmS3.bucket) shared ??= new S3Storage(filmS3, folder);
  return placesIn(folder, shared ?? undefined);
}

interface Named {
  readonly id: number;
  readonly name: string;
}

/** Name of a program's folder: what people recognise, and the id that tells it from another of that name. */
export function folderName({ id, name }: Named): string {
  const said = name
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '');
  return `${said || 'program'}-${id}`;
}

/** Where a program's cameras drop their files. */
export const watchedFolder = ({ watched }: FilmPlaces, program: Named): string => join(watched, folderName(program));

interface Kept {
  readonly id: number;
  readonly programId: number;
  readonly name: string;
}

/** Where a film's files are in the storage, whether they are there yet or not: as it came, written anew, a still, its motion. */
export function filmKeys({ id, programId, name }: Kept): {
  original: string;
  written: string;
  still: string;
  motion: string;
} {
  const own = `p${programId}/${id}`;
  return {
    original: `${own}-as-it-came${extname(name).toLowerCase().slice(0, 6)}`,
    written: `${own}.mp4`,
    still: `${own}.jpg`,
    motion: `${own}-motion.json`,
  };
}

/** Takes everything of a film off this machine, also what has not been looked into or was left half done. */
export async function removeFiles(film: Kept & { readonly upload: string }, places: FilmPlaces): Promise<void> {
  for (const key of Object.values(filmKeys(film))) await places.storage.remove(key);
  for (const file of [film.upload, `${film.upload}.json`]) await rm(join(places.arriving, file), { force: true });
}
