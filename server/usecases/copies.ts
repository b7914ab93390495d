import { mkdir, mkdtemp, rm } from 'node:fs/promises';
import { join } from 'node:path';
import type { Readable } from 'node:stream';
import { audit } from '../audit';
import { bringIn } from '../copy/bring-in';
import { KEPT_FREE, keepStream } from '../copy/keep-stream';
import { unpackCopy } from '../copy/unpack';
import { writeCopy } from '../copy/write';
import { database } from '../db/database';
import { ProgramRow } from '../db/models';
import type { FilmPlaces } from '../film/places';
import type { Member } from '../session/member';
import { beginAnother } from './begin';

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
    await keepStream(stream, file, (await places.storage.free()) - KEPT_FREE, 'this copy');
    const copy = await unpackCopy(file, folder);
    const { programId } = await beginAnother(userId, copy.head.name);
    made = programId;
    const counts = await bringIn(db, { programId, userId }, copy, places.storage);
    await audit({ programId, userId }, 'imported', copy.head.name);
    made = null;
    return { programId, name: copy.head.name, counts };
  } finally {
    // A program that did not become whole is not left behind empty.
    if (made !== null) await ProgramRow.destroy({ where: { id: made } });
    await rm(folder, { recursive: true, force: true });
  }
}
