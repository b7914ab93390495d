import { createWriteStream } from 'node:fs';
import type { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { createError } from 'h3';

/** What has to stay free on the disk while something large comes in, bytes. */
export const KEPT_FREE = 500_000_000;

/** Keeps what comes in as a file, no more than there is room for, counted as it comes; `what` it is is said where there is none. */
export async function keepStream(stream: Readable, file: string, most: number, what: string): Promise<void> {
  let size = 0;
  await pipeline(
    stream,
    async function* (parts: AsyncIterable<Buffer>) {
      for await (const part of parts) {
        size += part.length;
        if (size > most)
          throw createError({
            statusCode: 507,
            message: `There is no room on the disk for ${what}. Nothing was changed.`,
          });
        yield part;
      }
    },
    createWriteStream(file, { mode: 0o600 }),
  );
}
