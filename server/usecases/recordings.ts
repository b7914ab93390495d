import { createError } from 'h3';
import type { Cut } from '#core/film/recording/marks';
import type { Motion } from '#core/film/recording/suggest';
import type { FilmBody, FilmFacts } from '#core/model/film';
import type { Angle } from '#core/model/angle';
import { database } from '../db/database';
import { filmBody } from '../db/mappers';
import { FilmRow } from '../db/models';
import { keptMotion } from '../film/look';
import type { FilmPlaces } from '../film/places';
import type { Member } from '../session/member';
import { ownFilm } from './films';

/** A film of the member's program that can be played, with what is in it. */
async function readyFilm(member: Member, id: number): Promise<{ row: FilmRow; facts: FilmFacts; playable: string }> {
  const row = await ownFilm(member, id);
  const { facts, playable } = filmBody(row);
  if (row.state !== 'ready' || !facts || !playable)
    throw createError({ statusCode: 404, message: 'There is nothing of this film to be played yet.' });
  return { row, facts, playable };
}

/** Where a film that can be played is in the storage. */
export const playableOf = async (member: Member, id: number): Promise<string> => (await readyFilm(member, id)).playable;

/** The motion of a recording, `null` when nobody has looked yet. */
export async function motionOf(member: Member, id: number, places: FilmPlaces): Promise<Motion | null> {
  return keptMotion((await readyFilm(member, id)).row, places);
}

/**
 * Cuts a recording: every cut becomes a film of its own, named by its snap and angle, that is made ready like others. The same cut asked for
 * again is the one there is. Gives the new films, which are still to be written; all are noted or none.
 */
export async function cutRecording(
  member: Member,
  id: number,
  { angle, cuts }: { angle: Angle; cuts: readonly Cut[] },
): Promise<number[]> {
  const { row, facts } = await readyFilm(member, id);
  const wrong = cuts.find(
    (c) => c.to >= facts.frames || c.from >= c.to || (c.snap ?? c.from) < c.from || (c.snap ?? c.to) > c.to,
  );
  if (wrong)
    throw createError({
      statusCode: 400,
      message: `cuts: snap ${wrong.number} is to go from frame ${wrong.from} to ${wrong.to} of 0 to ${facts.frames - 1}. Nothing was changed.`,
    });
  const { programId, kind, gameId } = row;
  const { keepSound } = filmBody(row);
  const sequelize = await database();
  return sequelize.transaction(async (transaction) => {
    const made: number[] = [];
    for (const { number, from, snap, to } of cuts) {
      const body: Partial<FilmBody> = { keepSound, cutOut: { film: id, from, to, snap } };
      const upload = `cut-${id}-${number}-${from}-${to}-${snap ?? 'none'}-${angle.replace(' ', '-')}`;
      const defaults = {
        ...{ programId, kind, gameId, upload, bytes: '0', state: 'waiting', userId: member.userId, body },
        name: `snap ${number} ${angle}.mp4`,
      };
      const [film, isNew] = await FilmRow.findOrCreate({ where: { upload }, defaults, transaction });
      if (isNew) made.push(film.id);
    }
    return made;
  });
}
