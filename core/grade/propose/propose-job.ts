import { readFormation } from '../../language/lineups/read-formation';
import { readFront } from '../../language/lineups/read-front';
import { wouldHave } from '../../film/follow/would-have';
import { meetingsOf } from '../../film/follow/events';
import { bentTracks } from '../../film/follow/keep';
import type { Bend, FollowedPlay } from '../../model/measured';
import type { Proposal } from '../../model/proposal';
import type { Resolution } from '../../model/resolution';
import type { Settings } from '../../model/settings';
import type { Call } from '../../model/snap';
import { askedOnFilm } from '../../film/measures/measure';
import { propose } from './propose';

/** A followed snap, asked as plain data so that it can cross to a worker. `resolution`: what was asked when it was logged. */
export interface ProposeJob {
  readonly call: Call;
  readonly resolution: Resolution;
  readonly settings: Settings;
  readonly followed: FollowedPlay;
  readonly bends: readonly Bend[];
}

/** What the film makes of every block that was asked; none when the call's texts cannot be read any more. */
export function* proposals({ call, resolution, settings, followed, bends }: ProposeJob): Generator<Proposal> {
  const formation = readFormation(call.formation, 'called', call.formationName);
  if (!formation.ok) return;
  const front = readFront(call.front, formation.value, 'called', call.frontName, settings);
  if (!front.ok) return;
  const tracks = bentTracks(followed, bends);
  const { framesPerSecond } = followed;
  const asked = { formation: formation.value, front: front.value, resolution };
  const play = {
    tracks,
    framesPerSecond,
    start: followed.start,
    meetings: meetingsOf(tracks, framesPerSecond),
    ...askedOnFilm(formation.value, resolution),
    would: wouldHave(asked, { x: 0, y: 0 }, tracks, followed),
  };
  yield* propose(play, settings.standardYards);
}
