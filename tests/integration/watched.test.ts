import { appendFileSync, existsSync, mkdirSync, readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import type { FSWatcher } from 'chokidar';
import { afterAll, afterEach, beforeAll, describe, expect, it } from 'vitest';
import { FilmRow, ProgramRow } from '../../server/db/models';
import { placesIn, watchedFolder } from '../../server/film/places';
import { watchFolders } from '../../server/film/watched';
import { dropFolder } from '../../server/usecases/films';
import { folder } from './film-files';
import { freshDatabase, makeProgram } from './fresh-database';

const places = placesIn(join(folder, 'cameras'));
let db: Awaited<ReturnType<typeof freshDatabase>>;
let lanterns: Awaited<ReturnType<typeof makeProgram>>;
let drop: string;
let watcher: FSWatcher | null = null;
let arrived: number[] = [];
/** How long a file must lie still in these tests, milliseconds: a busy machine may be late with a part of it. */
const QUIET = 2000;
const start = async (): Promise<void> => {
  watcher = await watchFolders(places, async (film) => void arrived.push(film), QUIET);
  await new Promise<void>((done) => watcher!.on('ready', done));
};

beforeAll(async () => {
  db = await freshDatabase();
  lanterns = await makeProgram('Larkhollow Lanterns');
  await makeProgram('Terns');
  drop = watchedFolder(places, (await ProgramRow.findByPk(lanterns.programId))!);
});
afterEach(async () => {
  await watcher?.close();
  arrived = [];
  rmSync(places.arriving, { recursive: true, force: true });
  await FilmRow.destroy({ where: {} });
});
afterAll(async () => {
  rmSync(folder, { recursive: true, force: true });
  await db.drop();
});
const films = () => FilmRow.findAll({ order: [['id', 'ASC']] });

describe('a folder a camera drops files into', () => {
  it('is named like the program, and the page knows it', async () => {
    await start();
    expect(drop).toMatch(/larkhollow-lanterns-\d+$/);
    expect(existsSync(drop)).toBe(true);
    expect(await dropFolder(lanterns.members.assistant, places)).toBe(drop);
  });

  it('gives what is in it to the newest game, once nobody writes to it any more', async () => {
    await start();
    const file = join(drop, 'snap 5 sideline.mp4');
    writeFileSync(file, 'first ');
    for (const part of ['second ', 'third ', 'fourth ', 'fifth ']) {
      await new Promise((later) => setTimeout(later, QUIET / 3));
      appendFileSync(file, part);
    }
    expect(await FilmRow.count()).toBe(0);
    await expect.poll(() => arrived.length).toBe(1);
    const [row] = await films();
    expect(row).toMatchObject({
      name: 'snap 5 sideline.mp4',
      kind: 'own game',
      state: 'waiting',
      programId: lanterns.programId,
      gameId: lanterns.gameId,
      bytes: '32',
    });
    expect(readFileSync(join(places.arriving, row!.upload), 'utf8')).toBe('first second third fourth fifth ');
    expect(existsSync(file)).toBe(false);
  });

  it('is looked through at the start; hidden files and strangers’ folders are left alone', async () => {
    const strange = join(places.watched, 'nobody-77');
    mkdirSync(strange, { recursive: true });
    writeFileSync(join(strange, 'theirs.mp4'), 'x');
    writeFileSync(join(drop, '.half.mp4'), 'x');
    writeFileSync(join(drop, 'early.mp4'), 'early');
    await start();
    await expect.poll(() => arrived.length).toBe(1);
    // A second one right after it shows that the others had their chance.
    renameSync(join(strange, 'theirs.mp4'), join(strange, 'still theirs.mp4'));
    writeFileSync(join(drop, 'late.mp4'), 'late');
    await expect.poll(async () => (await films()).map((f) => f.name)).toEqual(['early.mp4', 'late.mp4']);
    expect(existsSync(join(strange, 'still theirs.mp4'))).toBe(true);
    expect(existsSync(join(drop, '.half.mp4'))).toBe(true);
  });
});
