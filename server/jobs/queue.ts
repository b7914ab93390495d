import PgBoss from 'pg-boss';
import { ConnectionError } from 'sequelize';
import { refusalOfDriver } from '../db/refusals';
import { FilmRow } from '../db/models';
import { lookForSnaps } from '../film/look';
import { prepareFilm } from '../film/prepare';
import type { FilmPlaces } from '../film/places';
import { eraseDue } from '../usecases/keep-time';

/** The queue owns its schema in the database; several processes share it. */
const SCHEMA = 'jobs';
const PREPARE = 'prepare-film';
const LOOK = 'look-for-snaps';
const KEEP_TIME = 'keep-time';
/** Every night, by one process of all. */
const AT_NIGHT = '10 3 * * *';

/** How often it is looked for films that nobody works on though somebody should, ms. */
const LOOK_EVERY = 60_000;

let queue: PgBoss | null = null;
let looking: ReturnType<typeof setInterval> | null = null;

/** Starts taking jobs, after putting in again whatever a stopped process has left half done; what slipped by is put in after `lookEvery` ms. */
export async function startQueue(databaseUrl: string, places: FilmPlaces, lookEvery = LOOK_EVERY): Promise<void> {
  const boss = new PgBoss({ connectionString: databaseUrl, schema: SCHEMA, max: 3 });
  boss.on('error', say);
  await boss.start();
  await boss.createQueue(PREPARE, { name: PREPARE, policy: 'short', retryLimit: 2, expireInSeconds: 4 * 3600 });
  await boss.createQueue(LOOK, { name: LOOK, policy: 'short', retryLimit: 1, expireInSeconds: 4 * 3600 });
  queue = boss;
  await boss.work<{ film: number }>(LOOK, { pollingIntervalSeconds: 0.5 }, async (jobs) => {
    for (const job of jobs) await lookForSnaps(job.data.film, places);
  });
  await boss.work<{ film: number }>(PREPARE, { pollingIntervalSeconds: 0.5 }, async (jobs) => {
    for (const job of jobs) await prepareFilm(job.data.film, places);
  });
  await boss.createQueue(KEEP_TIME, { name: KEEP_TIME, policy: 'short', retryLimit: 2 });
  await boss.work(KEEP_TIME, async () => void (await eraseDue()));
  await boss.schedule(KEEP_TIME, AT_NIGHT);
  // A laptop sleeps at night: what was due then is done when it starts.
  await boss.send(KEEP_TIME, {}, { singletonKey: 'at the start' });
  await askForLeft();
  // One that was noted just before the database went away is in no queue.
  looking = setInterval(() => void askForLeft().catch(say), lookEvery);
}
const say = (problem: Error): void => console.error('job queue:', problem.message);

/** Puts in every film that is not done; one that is worked on is left alone by whoever takes it up a second time. */
async function askForLeft(): Promise<void> {
  const left = await FilmRow.findAll({ where: { state: ['waiting', 'working'] }, attributes: ['id'] });
  for (const { id } of left) await askFor(id);
}

/** A database that is away is that, whichever connection to it says so. */
async function put(name: string, film: number): Promise<void> {
  try {
    await queue?.send(name, { film }, { singletonKey: String(film) });
  } catch (problem) {
    throw refusalOfDriver(problem) ? new ConnectionError(problem as Error) : problem;
  }
}

/** Puts a film into the queue; once more while it is there changes nothing. */
export const askFor = (film: number): Promise<void> => put(PREPARE, film);

/** Lets a recording be looked at for snaps; once more while it is in the queue changes nothing. */
export const askToLook = (film: number): Promise<void> => put(LOOK, film);

export async function stopQueue(): Promise<void> {
  if (looking) clearInterval(looking);
  looking = null;
  await queue?.stop({ graceful: false, wait: true });
  queue = null;
}
