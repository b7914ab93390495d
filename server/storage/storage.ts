import { mkdir, rename, rm, stat, statfs } from 'node:fs/promises';
import { dirname, join, normalize } from 'node:path';

/** Where film lies. Keys are relative paths that begin with the program's folder; nothing outside the storage has one. */
export interface FilmStorage {
  /** Takes a file of this machine over under a key, all of it or nothing. */
  adopt(file: string, key: string): Promise<void>;
  /** A file of this machine with what is under the key, for programs that read files; where there is nothing under it, one that is not there. */
  localFile(key: string): Promise<string>;
  has(key: string): Promise<boolean>;
  remove(key: string): Promise<void>;
  /** Bytes that still fit. */
  free(): Promise<number>;
}

/** Film in a folder of this machine. */
export class FolderStorage implements FilmStorage {
  constructor(private readonly root: string) {}

  /** Where what is under a key lies in the folder. */
  place(key: string): string {
    const path = normalize(key);
    if (path.startsWith('..') || path.startsWith('/')) throw new Error(`"${key}" is no key of the film storage`);
    return join(this.root, path);
  }
  localFile = async (key: string): Promise<string> => this.place(key);

  async adopt(file: string, key: string): Promise<void> {
    const to = this.place(key);
    await mkdir(dirname(to), { recursive: true });
    // Both lie on one disk, so that this happens at once or not at all.
    await rename(file, to);
  }

  has(key: string): Promise<boolean> {
    return stat(this.place(key)).then(
      () => true,
      () => false,
    );
  }

  async remove(key: string): Promise<void> {
    await rm(this.place(key), { force: true });
  }

  async free(): Promise<number> {
    await mkdir(this.root, { recursive: true });
    const { bavail, bsize } = await statfs(this.root);
    return bavail * bsize;
  }
}
