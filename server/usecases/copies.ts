import { createWriteStream } from 'node:fs';
import { mkdir, mkdtemp, rm } from 'node:fs/promises';
import { join } from 'node:path';
import type { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { createError } from 'h3';
import { audit } from '../audit';
import { fillBook } from '../book/keep';
import { bringIn } from '../copy/bring-in';
import { unpackCopy } from '../copy/unpack';
import { writeCopy } from '../copy/write';
import { database } from '../db/database';
import { ProgramRow } from '../db/models';
import type { FilmPlaces } from '../film/places';
import type { Member } from '../session/member';
import { beginAnother } from './begin';

/** What has to stay free on the disk while a copy comes in, bytes. */
const KEPT_FREE = 500_000_000;

/** The member's program as one file of open files. */
export async function takeCopy(member: Member, film: boolean, places: FilmPlaces): Promise<Readable> {
  const copy = await writeCopy(await database(), member.programId, { film, storage: places.storage });
  await audit(member, 'exported', film ? 'with film' : 'without film');
  return copy;
}

/** Makes another program of a copy, all or nothing, with whoever brings it in as its line coach. */
export async function bringCopyIn(
  userId: number,
  stream: Readable,
  places: FilmPlaces,
): Promise<{ programId: number; name: string; counts: Record<string, number> }> {
  const db = await database();
  await mkdir(places.writing, { recursive: true });
  const folder = await mkdtemp(join(places.writing, 'copy-'));
  let made: number | null = null;
  try {
    const file = join(folder, 'copy.zip');
    await keep(stream, file, (await places.storage.free()) - KEPT_FREE);
    const copy = await unpackCopy(file, folder);
    const { programId } = await beginAnother(userId, copy.head.name);
    made = programId;
    const counts = await bringIn(db, { programId, userId }, copy, places.storage);
    await fillBook();
    await audit({ programId, userId }, 'imported', copy.head.name);
    made = null;
    return { programId, name: copy.head.name, counts };
  } finally {
    // A program that did not become whole is not left behind empty.
    if (made !== null) await ProgramRow.destroy({ where: { id: made } });
    await rm(folder, { recursive: true, force: true });
  }
}

/** Keeps what comes in as a file, no more than there is room for. */
async function keep(stream: Readable, file: string, most: number): Promise<void> {
  let size = 0;
  await pipeline(
    stream,
    async function* (parts: AsyncIterable<Buffer>) {
      for await (const part of parts) {
        size += part.length;
        if (size > most)
          throw createError({
            statusCode: 507,
            message: 'There is no room on the disk for this copy. Nothing was changed.',
          });
        yield part;
      }
    },
    createWriteStream(file),
  );
}
