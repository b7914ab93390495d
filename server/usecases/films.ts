import { createError } from 'h3';
import type { Transaction } from 'sequelize';
import { readClipName } from '#core/film/incoming/name';
import { showsItsGame, type FilmBody, type FilmKind, type FilmState, type FilmView } from '#core/model/film';
import type { ClipBody } from '#core/model/snap';
import type { Angle } from '#core/model/angle';
import { database } from '../db/database';
import { filmBody } from '../db/mappers';
import { ClipRow, FilmRow, GameRow, GradeRow, ProgramRow, SnapRow } from '../db/models';
import { removeFiles, watchedFolder, type FilmPlaces } from '../film/places';
import type { Member } from '../session/member';
import { ownSnap } from './owned';

/** An upload as it arrived. */
export interface Arrival {
  readonly upload: string;
  readonly name: string;
  readonly kind: FilmKind;
  readonly gameId: number | null;
  readonly bytes: number;
  readonly keepSound: boolean;
  readonly programId: number;
  readonly userId: number;
}

/** Notes an upload that is whole; the same one noted twice is one film. A game that is gone meanwhile is none. */
export async function noteArrival({ upload, bytes, keepSound, ...arrival }: Arrival): Promise<number> {
  await database();
  const game = arrival.gameId === null ? null : await GameRow.findByPk(arrival.gameId, { attributes: ['id'] });
  const [row] = await FilmRow.findOrCreate({
    where: { upload },
    defaults: {
      ...arrival,
      gameId: game?.id ?? null,
      upload,
      bytes: String(bytes),
      state: 'waiting',
      body: { keepSound },
    },
  });
  return row.id;
}

/** Everything that came in, newest first. */
export async function listFilms(member: Member): Promise<FilmView[]> {
  await database();
  const scope = { programId: member.programId };
  const rows = await FilmRow.findAll({ where: scope, order: [['id', 'DESC']] });
  const clips = await ClipRow.findAll({ where: { ...scope, filmId: rows.map((r) => r.id) } });
  const snaps = await SnapRow.findAll({
    where: { ...scope, id: clips.map((c) => c.snapId) },
    attributes: ['id', 'number'],
  });
  return rows.map((row) => {
    const clip = clips.find((c) => c.filmId === row.id);
    const snap = snaps.find((s) => s.id === clip?.snapId);
    const { progress, problem, facts, rewritten, cutOut } = filmBody(row);
    return {
      id: row.id,
      name: row.name,
      kind: row.kind as FilmKind,
      state: row.state as FilmState,
      bytes: Number(row.bytes),
      gameId: row.gameId,
      progress,
      problem,
      facts,
      rewritten,
      cut: cutOut !== null,
      snap: clip && snap ? { id: snap.id, number: snap.number, angle: clip.angle } : null,
    };
  });
}

/** The folder a camera of the member's program drops its files into. */
export async function dropFolder(member: Member, places: FilmPlaces): Promise<string> {
  await database();
  return watchedFolder(places, (await ProgramRow.findByPk(member.programId))!);
}

/** A film's row, if it belongs to the member's program. */
export async function ownFilm(member: Member, id: number): Promise<FilmRow> {
  await database();
  const row = await FilmRow.findOne({ where: { id, programId: member.programId } });
  if (!row) throw createError({ statusCode: 404, message: 'There is no such film in your program.' });
  return row;
}

/** Where a film's still is in the storage. */
export async function stillOf(member: Member, id: number): Promise<string> {
  const { still } = filmBody(await ownFilm(member, id));
  if (!still) throw createError({ statusCode: 404, message: 'There is no still of this film yet.' });
  return still;
}

/** Where the file as it came is in the storage, and what it was called. */
export async function originalOf(member: Member, id: number): Promise<{ key: string; name: string }> {
  const row = await ownFilm(member, id);
  const { original } = filmBody(row);
  if (!original) throw createError({ statusCode: 404, message: 'Of this film nothing was kept as it came.' });
  return { key: original, name: row.name };
}

const conflict = (message: string) => createError({ statusCode: 409, message: `${message} Nothing was changed.` });

/** Stops the work on a film, or begins it again; what is in neither state for it is refused. Says whether there is work to do. */
export async function steerFilm(member: Member, id: number, what: 'cancel' | 'retry'): Promise<boolean> {
  const row = await ownFilm(member, id);
  const [from, to]: [FilmState[], FilmState] =
    what === 'cancel' ? [['waiting', 'working'], 'cancelled'] : [['refused', 'cancelled'], 'waiting'];
  const body: FilmBody = { ...filmBody(row), problem: '', progress: 0 };
  const [count] = await FilmRow.update(
    { state: to, body },
    { where: { id, programId: member.programId, state: from } },
  );
  if (count === 0)
    throw conflict(
      what === 'cancel'
        ? 'There is nothing to stop: this film is ready or has been stopped.'
        : 'This film is on its way or ready already.',
    );
  return what === 'retry';
}

/** What a snap's clip begins with: its frames, and marks nobody has set yet; the snap where it was cut out with it. */
function newClip({ facts, cutOut }: FilmBody): ClipBody {
  if (!facts) throw conflict('This film is not ready yet.');
  const last = facts.frames - 1;
  const snap = cutOut?.snap == null ? 0 : Math.min(last, cutOut.snap - cutOut.from);
  return { framesPerSecond: facts.rate, frames: facts.frames, snapFrame: snap, contactFrame: snap, whistleFrame: last };
}

/** Films and snaps of a game find each other one at a time, so that neither misses the other. */
export const lockGame = (gameId: number, transaction: Transaction): Promise<GameRow | null> =>
  GameRow.findByPk(gameId, { lock: transaction.LOCK.UPDATE, transaction });

/** A film is ready: it can be watched from now on, and is with its snap from the same moment. Nothing when it was cancelled meanwhile. */
export async function filmIsReady(row: FilmRow, checksum: string, body: FilmBody): Promise<void> {
  const sequelize = await database();
  const ready: FilmState = 'ready';
  await sequelize.transaction(async (transaction) => {
    if (row.gameId) await lockGame(row.gameId, transaction);
    const where = { id: row.id, state: 'working' };
    const [count] = await FilmRow.update({ state: ready, checksum, body }, { where, transaction });
    if (count > 0) await showSnap(row.id, transaction);
  });
}

/** Shows with its snaps whatever film of a game is ready and says in its name what it shows. The game is locked. */
export async function showSnaps(programId: number, gameId: number, transaction: Transaction): Promise<void> {
  const where = { programId, gameId, state: 'ready' };
  const films = await FilmRow.findAll({ where, attributes: ['id'], transaction });
  for (const { id } of films) await showSnap(id, transaction);
}

/** Shows a snap that has no film from that angle yet what its film's name says; nothing when it does not say, or the place is taken. The game is locked. */
export async function showSnap(filmId: number, transaction: Transaction): Promise<void> {
  const row = await FilmRow.findByPk(filmId, { transaction });
  if (!row?.gameId || row.state !== 'ready') return;
  const game = await GameRow.findByPk(row.gameId, { attributes: ['theirs'], transaction });
  // One of practice, or an opponent's in a game of ours, shows snaps of its own however it is called.
  if (!game || !showsItsGame(row.kind as FilmKind, game)) return;
  const { snap, angle } = readClipName(row.name);
  if (snap === null || angle === null) return;
  const { programId, gameId } = row;
  const found = await SnapRow.findOne({ where: { programId, gameId, number: snap }, transaction });
  if (!found) return;
  const taken = await ClipRow.findOne({ where: { programId, snapId: found.id, angle }, transaction });
  if (taken) return;
  const film = filmBody(row);
  const clip = { file: film.playable!, filmId, body: newClip(film) };
  await ClipRow.create({ programId, snapId: found.id, angle, ...clip }, { transaction });
}

/**
 * Says which snap a film shows, and from where. A film that is there already is replaced only when `confirmed`: its frame marks stay when
 * both have as many frames, and the answer says what hangs on it.
 */
export async function placeFilm(
  member: Member,
  id: number,
  { snapId, angle, confirmed }: { snapId: number; angle: Angle; confirmed: boolean },
): Promise<{ placed: boolean; marks: number; keepsFrames: boolean }> {
  const row = await ownFilm(member, id);
  const { programId } = member;
  await ownSnap(member, snapId);
  const film = filmBody(row);
  const body = newClip(film);
  const sequelize = await database();
  return sequelize.transaction(async (transaction) => {
    await SnapRow.findOne({ where: { id: snapId, programId }, lock: transaction.LOCK.UPDATE, transaction });
    const there = await ClipRow.findOne({ where: { programId, snapId, angle }, transaction });
    const marks = await GradeRow.count({ where: { programId, snapId }, transaction });
    const keepsFrames = (there?.body as ClipBody | undefined)?.frames === body.frames;
    if (there?.file && there.filmId !== id && !confirmed) return { placed: false, marks, keepsFrames };
    await ClipRow.destroy({ where: { programId, filmId: id }, transaction });
    const clip = { file: film.playable!, filmId: id, body: keepsFrames ? there!.body : body };
    if (there && there.filmId !== id) await there.update(clip, { transaction });
    else await ClipRow.create({ programId, snapId, angle, ...clip }, { transaction });
    return { placed: true, marks, keepsFrames };
  });
}

/**
 * Deletes a film for good: its files, and what a snap shows of it. The snap, its marks and the numbers of its frames stay; how many marks
 * hang on it is said first, unless `confirmed`.
 */
export async function deleteFilm(
  member: Member,
  id: number,
  confirmed: boolean,
  places: FilmPlaces,
): Promise<{ deleted: boolean; marks: number }> {
  const row = await ownFilm(member, id);
  const { programId } = member;
  const clip = await ClipRow.findOne({ where: { programId, filmId: id } });
  const marks = clip ? await GradeRow.count({ where: { programId, snapId: clip.snapId } }) : 0;
  if (marks > 0 && !confirmed) return { deleted: false, marks };
  const sequelize = await database();
  await sequelize.transaction(async (transaction) => {
    await ClipRow.update({ file: '' }, { where: { programId, filmId: id }, transaction });
    await row.destroy({ transaction });
  });
  await removeFiles(row, places);
  return { deleted: true, marks };
}
