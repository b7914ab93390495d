import { format } from 'date-fns';
import { newestPlayed } from '#core/model/game';
import { randomUUID } from 'node:crypto';
import { mkdir, rename, stat, writeFile } from 'node:fs/promises';
import { basename, join, relative, sep } from 'node:path';
import { watch, type FSWatcher } from 'chokidar';
import type { Order } from 'sequelize';
import { GameRow, MembershipRow, ProgramRow } from '../db/models';
import { folderName, watchedFolder, type FilmPlaces } from './places';
import { keptWith, LONGEST_NAME, noteLeftOver } from './uploads';

/** A file is whole when nothing was written to it for so long, milliseconds. */
const QUIET = 3000;

/**
 * Takes in whatever a camera drops into a program's folder, as if it had been uploaded for the newest game, once nothing is written to it any
 * more. A folder that is nobody's is left alone. `arrived` is told of every film.
 */
export async function watchFolders(
  places: FilmPlaces,
  arrived: (film: number) => Promise<void>,
  quiet = QUIET,
): Promise<FSWatcher> {
  const programs = await ProgramRow.findAll();
  for (const program of programs) await mkdir(watchedFolder(places, program), { recursive: true });
  const watcher = watch(places.watched, {
    depth: 1,
    ignored: (path, stats) => (stats?.isFile() ?? false) && basename(path).startsWith('.'),
    awaitWriteFinish: { stabilityThreshold: quiet, pollInterval: Math.max(50, quiet / 10) },
  });
  // One after the other: they are moved, not copied, and that is quick.
  let last = Promise.resolve();
  watcher.on('add', (file) => {
    last = last.then(() =>
      takeIn(file, places, programs, arrived).catch((problem: Error) => console.error(`${file}:`, problem.message)),
    );
  });
  watcher.on('error', (problem) => console.error('watched folder:', problem));
  return watcher;
}

async function takeIn(
  file: string,
  places: FilmPlaces,
  programs: readonly ProgramRow[],
  arrived: (film: number) => Promise<void>,
): Promise<void> {
  const [folder, name] = relative(places.watched, file).split(sep);
  const program = programs.find((p) => folderName(p) === folder);
  if (!program || !name) return;
  const coach = await MembershipRow.findOne({
    where: { programId: program.id, role: 'coach' },
    order: [['id', 'ASC']],
  });
  if (!coach) return;
  const order: Order = [
    ['seasonId', 'ASC'],
    ['week', 'ASC'],
    ['id', 'ASC'],
  ];
  const games = await GameRow.findAll({ where: { programId: program.id, theirs: null }, order });
  const game = newestPlayed(games, format(new Date(), 'yyyy-MM-dd'));
  const upload = `p${program.id}-${randomUUID()}`;
  const { size } = await stat(file);
  // The end of a long name says more than its beginning.
  const said = {
    name: name.slice(-LONGEST_NAME),
    kind: 'own game',
    game: String(game?.id ?? ''),
    sound: 'drop',
  } as const;
  await mkdir(places.arriving, { recursive: true });
  // What is known of it is written first: a film that was moved and not noted is found at the next start.
  const note = { id: upload, size, offset: size, metadata: keptWith(said, program.id, coach.userId) };
  await writeFile(join(places.arriving, `${upload}.json`), JSON.stringify({ ...note, creation_date: new Date() }));
  await rename(file, join(places.arriving, upload));
  for (const film of await noteLeftOver(places)) await arrived(film);
}
