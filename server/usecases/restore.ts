import { execFile } from 'node:child_process';
import { mkdir, rename, rm, stat, statfs } from 'node:fs/promises';
import { join } from 'node:path';
import type { Readable } from 'node:stream';
import { promisify } from 'node:util';
import { createError } from 'h3';
import { BackupSchema, type Backup, type Restored } from '#core/model/backup';
import { bringUpBooks } from '../book/keep';
import type { BackupPlaces } from '../copy/backup-places';
import { KEPT_FREE, keepStream } from '../copy/keep-stream';
import { migrateAgain } from '../db/database';
import { UserRow } from '../db/models';
import { closedFor } from '../opening';
import type { Member } from '../session/member';
import { verifyPassword } from '../session/passwords';
import { listBackups, makeBackup, nameOfNow, requireKeeper } from './backups';
import { none } from './owned';

const run = promisify(execFile);

/** What goes on beside requests and has to stand still meanwhile. */
export interface Beside {
  readonly stop: () => Promise<void>;
  readonly start: () => Promise<void>;
}

/**
 * Puts a backup in the place of everything that is here, whole or not at all. What is here is kept as a backup first; it needs the password of
 * who keeps the installation once more. Everybody has to log in again who was not logged in when the backup was made.
 */
export async function restoreBackup(
  member: Member,
  { name, password }: { name: string; password: string },
  places: BackupPlaces,
  beside: Beside,
): Promise<Restored> {
  await requireKeeper(member);
  const file = join(places.folder, name);
  if (!BackupSchema.shape.name.safeParse(name).success || !(await stat(file).catch(() => null))) throw none('backup');
  const user = (await UserRow.findByPk(member.userId))!;
  if (!(await verifyPassword(user.passwordHash, password)))
    throw createError({ statusCode: 403, message: 'That is not your password. Nothing was changed.' });
  return closedFor('A backup is just being put back. Try again in a minute.', async () => {
    // What was taken until now is in it: from here on nothing is.
    const { name: before } = await makeBackup(member, false, places);
    await beside.stop();
    try {
      const says = await exchange(file, places);
      return { before, says };
    } finally {
      // Whatever is there now is brought up to date, and goes on.
      await migrateAgain();
      await bringUpBooks();
      await beside.start();
    }
  });
}

/** Puts the database of a backup in the place of the one that is there; what is said of it. */
async function exchange(file: string, { restoring, databaseUrl, filmDir }: BackupPlaces): Promise<string> {
  const env = { ...process.env, NUXT_DATABASE_URL: databaseUrl, NUXT_FILM_DIR: filmDir, CUT_OFF: 'true' };
  try {
    return (await run('bash', [restoring, file], { env })).stdout.trim();
  } catch (problem) {
    const says = (problem as { stderr?: string }).stderr?.trim().split('\n').at(-1);
    throw createError({ statusCode: 409, message: says || 'The backup could not be put back. Nothing was changed.' });
  }
}

/** Takes a backup from another machine, or one that was taken away, onto this one; a file that is none leaves nothing behind. */
export async function bringBackup(member: Member, stream: Readable, places: BackupPlaces): Promise<Backup> {
  await requireKeeper(member);
  await mkdir(places.folder, { recursive: true });
  const name = `brought-${nameOfNow()}`;
  const coming = join(places.folder, `.${name}`);
  try {
    const { bavail, bsize } = await statfs(places.folder);
    await keepStream(stream, coming, bavail * bsize - KEPT_FREE, 'this backup');
    await refuseOther(coming);
    await rename(coming, join(places.folder, name));
  } finally {
    await rm(coming, { force: true });
  }
  return (await listBackups(member, places)).find((b) => b.name === name)!;
}

async function refuseOther(file: string): Promise<void> {
  const { stdout } = await run('tar', ['-xOf', file, 'backup.txt'], { maxBuffer: 10_000 }).catch(() => ({
    stdout: '',
  }));
  if (!stdout.startsWith('violet-chalk-backup 1\n'))
    throw createError({ statusCode: 400, message: 'This file is no backup of Violet Chalk. Nothing was changed.' });
}
