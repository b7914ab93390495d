import { onScopeDispose, ref } from 'vue';
import type { FollowJob, FromFollower, Picture, ToFollower } from '~/workers/following';
import { talkWith, type Other, type Wrong } from '~/workers/talk';

/** What follows: a worker, or a stand-in in tests. */
export type FollowerLike = Other<ToFollower, FromFollower | Wrong>;

const STOPPED = 'stopped';

/** Everybody's way, and the cameras that moved. */
type Result = Extract<FromFollower, { kind: 'tracks' }>;

/** Follows men through a film beside the screen: pictures go to a worker one after the other, and it can be stopped between any two. */
export function useFollowFilm(make: () => FollowerLike) {
  const running = ref(false);
  /** Share of the frames that are done, 0 to 1. */
  const progress = ref(0);
  const problem = ref('');
  let stop: (() => void) | null = null;
  /** A follower who is ready before anybody is followed, and how to talk with him. */
  let ready: ReturnType<typeof hired> | null = null;

  /** Has a follower start for so many angles: he is there when somebody is to be followed. */
  function prepare(angles: number): void {
    if (ready || running.value) return;
    ready = hired(make());
    // If he cannot start it is said when he is needed.
    early(ready.say({ kind: 'prepare', angles }));
  }
  onScopeDispose(() => {
    stop?.();
    ready?.worker.terminate();
  }, true);

  /** Everybody's way over so many frames; `null` when it was stopped or went wrong. `pictures` gives those of a frame, counted from 0. */
  async function follow(
    job: FollowJob,
    frames: number,
    pictures: (frame: number) => Promise<Picture[]>,
  ): Promise<Result | null> {
    stop?.();
    const { worker, say } = ready ?? hired(make());
    ready = null;
    [running.value, progress.value, problem.value] = [true, 0, ''];
    let mine: () => void = () => {};
    const stopped = new Promise<never>((_, fail) => (mine = () => fail(new Error(STOPPED))));
    stop = mine;
    const asked = (message: ToFollower, pictures: readonly Picture[] = []): Promise<FromFollower> => {
      const given = pictures.map(({ data }) => data.buffer);
      return Promise.race([say(message, given), stopped]);
    };
    const taken = (frame: number): Promise<Picture[]> => Promise.race([pictures(frame), stopped]);
    const looked = async (now: Picture[], frame: number): Promise<void> => {
      await asked(messageOf(job, frame, now), now);
      if (frame > 0) progress.value = frame / (frames - 1);
    };
    try {
      let coming = taken(0);
      let before = Promise.resolve();
      for (let f = 0; f < frames; f++) {
        // What fails is said once the frame that is looked at is done.
        const now = await coming.catch((failure: unknown) => after(before, failure));
        // While a frame is looked at, one waits beside it and the film comes to the next.
        if (f + 1 < frames) coming = early(taken(f + 1));
        const looking = early(looked(now, f));
        await before;
        before = looking;
      }
      await before;
      const answer = await asked({ kind: 'end' });
      return answer.kind === 'tracks' ? answer : null;
    } catch (failure) {
      const message = failure instanceof Error ? failure.message : String(failure);
      if (message !== STOPPED) problem.value = `Following stopped: ${message}`;
      return null;
    } finally {
      worker.terminate();
      // Another may have begun meanwhile: that one is running.
      if (stop === mine) [running.value, stop] = [false, null];
    }
  }

  return { running, progress, problem, prepare, follow, stop: () => stop?.() };
}

const hired = (worker: FollowerLike) => ({ worker, say: talkWith(worker, 'the follower could not be loaded') });

const messageOf = (job: FollowJob, frame: number, pictures: Picture[]): ToFollower =>
  frame === 0 ? { kind: 'begin', job, pictures } : { kind: 'frame', pictures };

/** What is asked for before it is needed: whether it fails is told to whoever waits for it, and to nobody when no one does. */
function early<T>(promise: Promise<T>): Promise<T> {
  promise.catch(() => {});
  return promise;
}

async function after(first: Promise<void>, failure: unknown): Promise<never> {
  await first;
  throw failure;
}
