import { ref } from 'vue';
import type { FollowJob, FromFollower, Picture, ToFollower } from '~/workers/following';

/** What follows: a worker, or a stand-in in tests. */
export interface FollowerLike {
  onmessage: ((event: { data: FromFollower }) => void) | null;
  onerror: ((event: { message?: string }) => void) | null;
  postMessage: (message: ToFollower) => void;
  terminate: () => void;
}

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

  /** Everybody's way over so many frames; `null` when it was stopped or went wrong. `pictures` gives those of a frame, counted from 0. */
  async function follow(
    job: FollowJob,
    frames: number,
    pictures: (frame: number) => Promise<Picture[]>,
  ): Promise<Result | null> {
    stop?.();
    const worker = make();
    [running.value, progress.value, problem.value] = [true, 0, ''];
    let mine: () => void = () => {};
    const stopped = new Promise<never>((_, fail) => (mine = () => fail(new Error(STOPPED))));
    stop = mine;
    const asked = (message: ToFollower): Promise<FromFollower> => Promise.race([ask(worker, message), stopped]);
    const taken = (frame: number): Promise<Picture[]> => Promise.race([pictures(frame), stopped]);
    try {
      let coming = taken(0);
      for (let f = 0; f < frames; f++) {
        const message = messageOf(job, f, await coming);
        // The film comes to the next frame while this one is looked at.
        if (f + 1 < frames) coming = early(taken(f + 1));
        await asked(message);
        if (f > 0) progress.value = f / (frames - 1);
      }
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

  return { running, progress, problem, follow, stop: () => stop?.() };
}

const messageOf = (job: FollowJob, frame: number, pictures: Picture[]): ToFollower =>
  frame === 0 ? { kind: 'begin', job, pictures } : { kind: 'frame', pictures };

/** What is asked for before it is needed: whether it fails is told to whoever waits for it, and to nobody when no one does. */
function early<T>(promise: Promise<T>): Promise<T> {
  promise.catch(() => {});
  return promise;
}

/** Says something to the worker and waits for what it says next. */
function ask(worker: FollowerLike, message: ToFollower): Promise<FromFollower> {
  return new Promise((done, fail) => {
    worker.onmessage = ({ data }) => (data.kind === 'wrong' ? fail(new Error(data.message)) : done(data));
    worker.onerror = ({ message: said }) => fail(new Error(said ?? 'the follower could not be loaded'));
    worker.postMessage(message);
  });
}
