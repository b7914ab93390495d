import { execFileSync } from 'node:child_process';
import { copyFileSync, mkdirSync, mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { FilmRow } from '../../server/db/models';
import { placesIn } from '../../server/film/places';
import { prepareFilm } from '../../server/film/prepare';
import { noteArrival } from '../../server/usecases/films';
import type { makeProgram } from './fresh-database';

export const folder = mkdtempSync(join(tmpdir(), 'violet-chalk-film-'));

/** Writes a film of a moving test picture with these arguments and returns where it is. */
export function film(name: string, ...args: string[]): string {
  const file = join(folder, name);
  const picture = ['-f', 'lavfi', '-i', 'testsrc=size=320x180:rate=30:duration=2'];
  execFileSync('ffmpeg', ['-v', 'error', '-nostdin', '-y', ...picture, ...args, file]);
  return file;
}

export function textFile(name: string, text: string): string {
  const file = join(folder, name);
  writeFileSync(file, text);
  return file;
}

/** The first part of a file, as a broken copy leaves it. */
export function cutOff(name: string, file: string, share: number): string {
  const bytes = readFileSync(file);
  const cut = join(folder, name);
  writeFileSync(cut, bytes.subarray(0, Math.floor(bytes.length * share)));
  return cut;
}

export const H264 = ['-c:v', 'libx264', '-pix_fmt', 'yuv420p', '-g', '15', '-preset', 'ultrafast'];

type Program = Awaited<ReturnType<typeof makeProgram>>;
let count = 0;

/** Where film of these tests goes. */
export const places = placesIn(join(folder, 'storage'));
export const localOf = (key: string | null): string => join(folder, 'storage', key!);
export const rowOf = async (id: number): Promise<FilmRow> => (await FilmRow.findByPk(id))!;

/** Lets a copy of a file arrive in a program as an upload that is whole, for a game or none. */
export async function arrive(
  { programId, members }: Program,
  file: string,
  name: string,
  gameId: number | null = null,
): Promise<number> {
  const upload = `upload-${count++}`;
  mkdirSync(places.arriving, { recursive: true });
  copyFileSync(file, join(places.arriving, upload));
  const bytes = readFileSync(file).length;
  const whose = { programId, userId: members.coach.userId };
  return noteArrival({ upload, name, kind: 'own game', gameId, bytes, keepSound: false, ...whose });
}

/** The same, and makes it ready. */
export async function prepared(
  program: Program,
  file: string,
  name: string,
  gameId: number | null = null,
): Promise<FilmRow> {
  const id = await arrive(program, file, name, gameId);
  await prepareFilm(id, places);
  return rowOf(id);
}
