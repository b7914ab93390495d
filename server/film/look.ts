import { mkdir, readFile, rm, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import type { Motion } from '#core/film/recording/suggest';
import { MotionSchema } from '#core/model/film';
import { database } from '../db/database';
import { filmBody } from '../db/mappers';
import { FilmRow } from '../db/models';
import { filmKeys, type FilmPlaces } from './places';
import { readMotion } from './tools';

/**
 * Reads the motion of a recording, from which cuts are suggested, and keeps it beside the film. May be run again after any interruption;
 * a film that is gone or not ready is left alone.
 */
export async function lookForSnaps(filmId: number, places: FilmPlaces): Promise<void> {
  await database();
  const row = await FilmRow.findByPk(filmId);
  if (row?.state !== 'ready' || filmBody(row).motion) return;
  const motion = await readMotion(
    await places.storage.localFile(filmBody(row).playable!),
    new AbortController().signal,
  );
  const own = join(places.writing, `look-${filmId}`);
  await mkdir(own, { recursive: true });
  const { motion: key } = filmKeys(row);
  try {
    await writeFile(join(own, 'motion.json'), JSON.stringify(motion));
    await places.storage.adopt(join(own, 'motion.json'), key);
  } finally {
    await rm(own, { recursive: true, force: true });
  }
  const now = await FilmRow.findByPk(filmId);
  if (now?.state !== 'ready') return places.storage.remove(key);
  await now.update({ body: { ...filmBody(now), motion: key } });
}

/** The motion of a recording as it was kept; `null` when nobody has looked yet. */
export async function keptMotion(row: FilmRow, { storage }: FilmPlaces): Promise<Motion | null> {
  const { motion } = filmBody(row);
  if (!motion || !(await storage.has(motion))) return null;
  return MotionSchema.parse(JSON.parse(await readFile(await storage.localFile(motion), 'utf8')));
}
