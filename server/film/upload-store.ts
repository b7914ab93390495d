import { close, createWriteStream, open, writev } from 'node:fs';
import { join } from 'node:path';
import type { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { callbackify } from 'node:util';
import { FileStore } from '@tus/file-store';
import { ERRORS } from '@tus/utils';
import { giveBack } from './give-back';

/** Bytes that are written at once: what comes meanwhile waits, and is lost when the process is killed. */
const AT_ONCE = 1_000_000;

const bytesOf = (pieces: readonly Uint8Array[]): number => pieces.reduce((sum, piece) => sum + piece.length, 0);

/** Bytes the disk took of them. */
const writeSome = (file: number, pieces: readonly Uint8Array[], at: number): Promise<number> =>
  new Promise((taken, failed) =>
    writev(file, pieces, at, (problem, bytes) => (problem ? failed(problem) : taken(bytes))),
  );

/**
 * Writes all of them, however little the disk takes at once, and gives their memory back. The stream of Node 20 that begins somewhere
 * in a file puts the rest of a write that was cut short in the wrong place.
 */
async function writeAll(file: number, pieces: readonly Uint8Array[], at: number): Promise<number> {
  const bytes = bytesOf(pieces);
  let written = await writeSome(file, pieces, at);
  while (written < bytes) {
    const rest = Buffer.concat(pieces).subarray(written);
    const more = await writeSome(file, [rest], at + written);
    if (more === 0) throw ERRORS.FILE_WRITE_ERROR;
    written += more;
  }
  giveBack(pieces);
  return bytes;
}

type Written = (problem: Error | null, bytes: number) => void;

/** What the stream of a file writes with. */
const writing = {
  open,
  close,
  write: (file: number, piece: Uint8Array, _from: number, _bytes: number, at: number, done: Written) =>
    writing.writev(file, [piece], at, done),
  writev: callbackify(writeAll),
};

/** Files of uploads; a part is written in large pieces, which takes a quarter less of the processor than each piece as it comes. */
export class UploadStore extends FileStore {
  override async write(readable: Readable, upload: string, offset: number): Promise<number> {
    const file = createWriteStream(join(this.directory, upload), {
      flags: 'r+',
      start: offset,
      highWaterMark: AT_ONCE,
      fs: writing,
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
