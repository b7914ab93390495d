import { Following } from '#core/film/follow/follow';
import type { Ask, Seen } from '#core/film/follow/look';
import { answerInTurn } from './answering';
import { askedKey, type FollowJob, type FromFollower, type Picture, type ToFollower } from './following';
import type { FromLooker, ToLooker } from './looking';
import { talkWith, type Other, type Wrong } from './talk';

/** Somebody who looks at the film of one angle, with all of OpenCV, beside the others. */
type Looker = (message: ToLooker, transfer?: Transferable[]) => Promise<FromLooker>;
const startLooker = (): Looker => {
  const worker = new Worker(new URL('./look.worker.ts', import.meta.url), { type: 'module' });
  return talkWith(worker as unknown as Other<ToLooker, FromLooker | Wrong>, 'the follower could not be loaded');
};

let following: Following | null = null;
const lookers: Looker[] = [];
let frames = 0;

/** Somebody for every angle: each has the library to start, which takes seconds. */
function prepare(angles: number): void {
  while (lookers.length < angles) lookers.push(startLooker());
}

function begin({ starts, cameras, framesPerSecond, asked }: FollowJob, pictures: readonly Picture[]): void {
  prepare(cameras.length);
  // Whoever was ready for an angle that is not followed has nothing to do.
  lookers.length = cameras.length;
  lookers.forEach((looker, i) => void looker({ kind: 'begin', camera: cameras[i]! }).catch(() => undefined));
  following = new Following(starts, pictures, {
    framesPerSecond,
    asked: (id, team, seconds) => asked[askedKey(team, id)]?.[Math.round(seconds * framesPerSecond)] ?? null,
  });
}

async function look(looker: Looker, picture: Picture, ask: Ask): Promise<Seen> {
  const answer = await looker({ kind: 'look', picture, ask }, [picture.data.buffer]);
  if (answer.kind !== 'seen') throw new Error('the follower lost count');
  return answer.seen;
}

async function end(): Promise<FromFollower> {
  const answers = await Promise.all(lookers.map((looker) => looker({ kind: 'end', frames })));
  const carried = answers.flatMap((a) => (a.kind === 'carried' && a.carried ? [a.carried] : []));
  return { kind: 'tracks', tracks: following?.tracks() ?? [], carried };
}

async function hear(message: ToFollower): Promise<FromFollower> {
  if (message.kind === 'end') return end();
  if (message.kind === 'prepare') {
    prepare(message.angles);
    return { kind: 'ready' };
  }
  const { pictures } = message;
  if (message.kind === 'begin') begin(message.job, pictures);
  const asks = following!.asks();
  const seen = await Promise.all(lookers.map((looker, i) => look(looker, pictures[i]!, asks[i]!)));
  frames = following!.take(seen);
  return { kind: 'next', done: frames };
}

answerInTurn<ToFollower, FromFollower>(self, hear);
