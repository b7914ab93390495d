import { join } from 'node:path';
import { FolderStorage, type FilmStorage } from '../storage/storage';

/** Where film goes on this machine. */
export interface FilmPlaces {
  readonly storage: FilmStorage;
  /** Uploads that are not whole yet, or have not been looked at. */
  readonly arriving: string;
  /** Files that are being written; whatever is left in it after a start is rubbish. */
  readonly writing: string;
}

export const placesIn = (folder: string): FilmPlaces => ({
  storage: new FolderStorage(folder),
  arriving: join(folder, 'arriving'),
  writing: join(folder, 'writing'),
});

export const filmPlaces = (): FilmPlaces => placesIn(String(useRuntimeConfig().filmDir));
