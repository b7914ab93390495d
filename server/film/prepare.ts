import { createHash } from 'node:crypto';
import { createReadStream, existsSync } from 'node:fs';
import { mkdir, rm, stat } from 'node:fs/promises';
import { join } from 'node:path';
import { pipeline } from 'node:stream/promises';
import { Op } from 'sequelize';
import { planFilm } from '#core/film/incoming/plan';
import type { CutOut, FilmBody, FilmFacts } from '#core/model/film';
import { database } from '../db/database';
import { filmBody } from '../db/mappers';
import { FilmRow } from '../db/models';
import { filmIsReady } from '../usecases/films';
import { filmKeys, removeFiles, type FilmPlaces } from './places';
import { Cancelled, probeFilm, takeStill, writeFilm } from './tools';

/** How often it is told how far the work has come, and asked whether anybody has cancelled it. Milliseconds. */
const TELL_EVERY = 500;

/** Any number; the same for every process, so that one of them at a time works on a film. */
const FILM_LOCK = 7_203_115;

class Refused extends Error {}

/**
 * Makes a film that has arrived ready to be watched: known once, looked into, written anew where no browser plays it frame by frame, with a
 * still. May be run again after any interruption: what is on show changes once, at the end. A film that was cancelled or is ready already is
 * left alone.
 */
export async function prepareFilm(filmId: number, places: FilmPlaces): Promise<void> {
  const sequelize = await database();
  // Held as long as this process works on it, and let go of by the database itself when the process dies.
  await sequelize.transaction(async (transaction) => {
    const [rows] = await sequelize.query(`select pg_try_advisory_xact_lock(${FILM_LOCK}, :filmId) as mine`, {
      replacements: { filmId },
      transaction,
    });
    if ((rows as { mine: boolean }[])[0]?.mine) await prepareAlone(filmId, places);
  });
}

async function prepareAlone(filmId: number, places: FilmPlaces): Promise<void> {
  const [started] = await FilmRow.update(
    { state: 'working' },
    { where: { id: filmId, state: ['waiting', 'working'] } },
  );
  const row = await FilmRow.findByPk(filmId);
  if (!row || started === 0) return;
  const abort = new AbortController();
  const watch = setInterval(() => void stopWhenCancelled(filmId, abort), TELL_EVERY);
  try {
    await work(row, places, abort);
  } catch (problem) {
    if (problem instanceof Cancelled || abort.signal.aborted) return;
    await refuse(row, problem instanceof Refused ? problem.message : inWords(problem as Error));
    if (!(problem instanceof Refused)) console.error(`film ${filmId}:`, problem);
  } finally {
    clearInterval(watch);
    await rm(join(places.writing, String(filmId)), { recursive: true, force: true });
    // Whoever deleted it meanwhile meant what is written since then too.
    if ((await FilmRow.count({ where: { id: filmId } })) === 0) await removeFiles(row, places);
  }
}

/** Cancelled, or deleted; while the database does not answer nobody knows. */
async function stopWhenCancelled(filmId: number, abort: AbortController): Promise<void> {
  const row = await FilmRow.findByPk(filmId, { attributes: ['state'] }).catch(() => undefined);
  if (row !== undefined && row?.state !== 'working') abort.abort();
}

const inWords = (problem: Error): string =>
  (problem as { code?: string }).code === 'ENOSPC'
    ? 'The disk is full. Make room on the machine that serves the application and try again'
    : `It could not be made ready: ${problem.message}`;

async function refuse(row: FilmRow, problem: string): Promise<void> {
  const body: FilmBody = { ...filmBody(row), problem: `${problem}.`, progress: 0 };
  await FilmRow.update({ state: 'refused', body }, { where: { id: row.id, state: 'working' } });
}

async function work(row: FilmRow, places: FilmPlaces, abort: AbortController): Promise<void> {
  const { cutOut } = filmBody(row);
  return cutOut ? cut(row, cutOut, places, abort) : takeIn(row, places, abort);
}

/** Writes what is cut out of a recording as a film of its own: the same frames, the first of them being frame 0. */
async function cut(
  row: FilmRow,
  { film, from, to }: CutOut,
  places: FilmPlaces,
  abort: AbortController,
): Promise<void> {
  const recording = await FilmRow.findOne({ where: { id: film, programId: row.programId, state: 'ready' } });
  const source = recording && filmBody(recording);
  if (!source?.facts || !source.playable) throw new Refused('The recording it is cut out of is gone');
  const { facts, playable } = source;
  const own = join(places.writing, String(row.id));
  await mkdir(own, { recursive: true });
  const written = join(own, 'written.mp4');
  const plan = { ...planFilm(facts), why: [] };
  const part = { from, frames: to - from + 1, rate: facts.rate };
  const sound = filmBody(row).keepSound;
  const file = await places.storage.localFile(playable);
  await writeFilm(file, written, { plan, sound, part }, () => undefined, abort.signal);
  const probed = await probeFilm(written);
  if (!probed.ok) throw new Error(`what was cut out cannot be read: ${probed.problem}`);
  if (probed.facts.frames !== part.frames)
    throw new Error(`${part.frames} frames were to be cut out, ${probed.facts.frames} came`);
  const key = filmKeys(row).written;
  const { size } = await stat(written);
  const checksum = await checksumOf(written, abort.signal);
  await places.storage.adopt(written, key);
  await FilmRow.update({ bytes: String(size) }, { where: { id: row.id } });
  await show(row, places, { playable: key, original: null, facts: probed.facts, why: [], checksum, own }, abort);
}

async function takeIn(row: FilmRow, places: FilmPlaces, abort: AbortController): Promise<void> {
  const original = await keepOriginal(row, places);
  const file = await places.storage.localFile(original);
  const checksum = await checksumOf(file, abort.signal);
  await refuseTwin(row, checksum, original, places);
  const probed = await probeFilm(file);
  if (!probed.ok) throw new Refused(probed.problem);
  const own = join(places.writing, String(row.id));
  await mkdir(own, { recursive: true });
  const { playable, facts, why } = await makePlayable(row, places, { file, original, facts: probed.facts, own }, abort);
  await show(row, places, { playable, original, facts, why, checksum, own }, abort);
}

interface Made {
  readonly playable: string;
  readonly original: string | null;
  readonly facts: FilmFacts;
  readonly why: string[];
  readonly checksum: string;
  readonly own: string;
}

/** The film can be watched from now on. */
async function show(row: FilmRow, places: FilmPlaces, made: Made, { signal }: AbortController): Promise<void> {
  const { playable, original, facts, why, checksum, own } = made;
  const { still } = filmKeys(row);
  await takeStill(await places.storage.localFile(playable), facts.duration / 2, join(own, 'still.jpg'), signal);
  await places.storage.adopt(join(own, 'still.jpg'), still);
  const kept = { ...filmBody(row), progress: 1, problem: '', facts };
  const body: FilmBody = { ...kept, rewritten: why, original, playable, still };
  await filmIsReady(row, checksum, body);
}

/** Takes the whole upload into the storage, where its bytes stay as they came. */
async function keepOriginal(row: FilmRow, places: FilmPlaces): Promise<string> {
  const key = filmKeys(row).original;
  const arrived = join(places.arriving, row.upload);
  if (existsSync(arrived)) await places.storage.adopt(arrived, key);
  await rm(`${arrived}.json`, { force: true });
  if (!(await places.storage.has(key)))
    throw new Refused('What was uploaded is not on this machine any more; upload it again');
  return key;
}

async function checksumOf(file: string, signal: AbortSignal): Promise<string> {
  const hash = createHash('sha256');
  await pipeline(createReadStream(file), hash, { signal });
  return hash.digest('hex');
}

async function refuseTwin(row: FilmRow, checksum: string, original: string, places: FilmPlaces): Promise<void> {
  const twin = await FilmRow.findOne({ where: { programId: row.programId, checksum, id: { [Op.ne]: row.id } } });
  if (!twin) return;
  await places.storage.remove(original);
  throw new Refused(`This is the same film as “${twin.name}”, which is here already`);
}

interface Source {
  readonly file: string;
  readonly original: string;
  readonly facts: FilmFacts;
  readonly own: string;
}

/** The film as browsers play it: as it came, or written anew with what it is then. */
async function makePlayable(
  row: FilmRow,
  { storage }: FilmPlaces,
  { file, original, facts, own }: Source,
  { signal }: AbortController,
): Promise<{ playable: string; facts: FilmFacts; why: string[] }> {
  const plan = planFilm(facts);
  if (plan.why.length === 0) return { playable: original, facts, why: [] };
  const body = filmBody(row);
  let toldAt = 0;
  const told = (seconds: number): void => {
    if (Date.now() - toldAt < TELL_EVERY) return;
    toldAt = Date.now();
    const progress = Math.min(0.99, seconds / facts.duration);
    // How far it is may be missed once; the work goes on.
    void FilmRow.update({ body: { ...body, progress } }, { where: { id: row.id, state: 'working' } }).catch(() => null);
  };
  const written = join(own, 'written.mp4');
  await writeFilm(file, written, { plan, sound: body.keepSound }, told, signal);
  const probed = await probeFilm(written);
  if (!probed.ok) throw new Error(`what was written cannot be read: ${probed.problem}`);
  const playable = filmKeys(row).written;
  await storage.adopt(written, playable);
  // What is written anew does not say any more when it was shot.
  return { playable, facts: { ...probed.facts, shot: facts.shot }, why: [...plan.why] };
}
