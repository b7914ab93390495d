import { execFile } from 'node:child_process';
import { createReadStream, type ReadStream } from 'node:fs';
import { readdir, stat } from 'node:fs/promises';
import { join } from 'node:path';
import { promisify } from 'node:util';
import { createError } from 'h3';
import { Op } from 'sequelize';
import { BackupSchema, type Backup } from '#core/model/backup';
import type { BackupPlaces } from '../copy/backup-places';
import { database } from '../db/database';
import { PlayerRow, UserRow } from '../db/models';
import type { Member } from '../session/member';
import { none } from './owned';

/** A backup holds every program of the installation: only who keeps it may see or make one. */
export async function requireKeeper({ userId }: Member): Promise<void> {
  await database();
  const user = await UserRow.findByPk(userId);
  if (!user?.keeper)
    throw createError({
      statusCode: 403,
      message: 'A backup holds every program here: only who keeps this installation may have one.',
    });
}

/** The backups on this machine, the newest first, each with how many people were erased since. */
export async function listBackups(member: Member, { folder }: BackupPlaces): Promise<Backup[]> {
  await requireKeeper(member);
  const names = (await readdir(folder).catch(() => [])).filter((n) => BackupSchema.shape.name.safeParse(n).success);
  const found = await Promise.all(
    names.map(async (name) => {
      const { size, mtime } = await stat(join(folder, name));
      const erasedSince = await PlayerRow.count({ where: { erasedAt: { [Op.gt]: mtime } } });
      return { name, bytes: size, made: mtime.toISOString(), erasedSince };
    }),
  );
  return found.sort((a, b) => b.made.localeCompare(a.made));
}

/** What a backup that is made now is called. */
export const nameOfNow = (): string =>
  `${new Date().toISOString().slice(0, -1).replace('T', '-').replace(/[:.]/g, '')}.tar`;

/** Makes a backup, whole or not at all; with the film itself where wanted. */
export async function makeBackup(member: Member, film: boolean, places: BackupPlaces): Promise<Backup> {
  await requireKeeper(member);
  const name = nameOfNow();
  const env = { ...process.env, NUXT_DATABASE_URL: places.databaseUrl, NUXT_FILM_DIR: places.filmDir };
  try {
    await promisify(execFile)('bash', [places.script, join(places.folder, name), String(film)], { env });
  } catch (problem) {
    const says = (problem as { stderr?: string }).stderr?.trim().split('\n').at(-1);
    throw createError({ statusCode: 503, message: says || 'The backup could not be made. Nothing was written.' });
  }
  return (await listBackups(member, places)).find((b) => b.name === name)!;
}

/** A backup to be taken away. */
export async function readBackup(member: Member, name: string, { folder }: BackupPlaces): Promise<ReadStream> {
  await requireKeeper(member);
  if (!BackupSchema.shape.name.safeParse(name).success) throw none('backup');
  const file = join(folder, name);
  if (!(await stat(file).catch(() => null))) throw none('backup');
  return createReadStream(file);
}
