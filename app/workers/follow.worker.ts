import { carriedCamera, keepCarried, type CarriedCamera } from '#core/film/follow/carried';
import { Following } from '#core/film/follow/follow';
import type { Angle } from '#core/model/angle';
import { OpenCvEyes, type Cv } from '#eyes/opencv-eyes';
import * as opencv from '@techstark/opencv-js';
import { askedKey, type FollowJob, type FromFollower, type Picture, type ToFollower } from './following';

/** OpenCV once it is ready. Never the module itself out of a promise: it has a `then` of its own and would be waited for without end. */
async function ready(): Promise<{ cv: Cv }> {
  const cv = ((opencv as { default?: unknown }).default ?? opencv) as Cv & { onRuntimeInitialized?: () => void };
  if (!cv.Mat) await new Promise<void>((done) => (cv.onRuntimeInitialized = done));
  return { cv };
}

const say = (message: FromFollower): void => self.postMessage(message);
let pictures: readonly Picture[] = [];
let eyes: OpenCvEyes[] = [];
let following: Following | null = null;
let moving: { angle: Angle; camera: CarriedCamera }[] = [];
let frames = 1;

async function begin({ starts, cameras, framesPerSecond, asked }: FollowJob): Promise<void> {
  const { cv } = await ready();
  eyes = pictures.map((_, i) => new OpenCvEyes(cv, () => pictures[i]!));
  moving = [];
  const watched = pictures.map(({ width, height }, i) => {
    const size = { width, height };
    const { angle, moves, ...named } = cameras[i]!;
    const still = { size, first: 0, camera: () => named.camera, eyes: eyes[i]! };
    if (!moves) return still;
    const camera = carriedCamera(named, 0, size, eyes[i]!);
    moving.push({ angle, camera });
    return { ...still, ...camera };
  });
  following = new Following(starts, watched, {
    framesPerSecond,
    asked: (id, team, seconds) => asked[askedKey(team, id)]?.[Math.round(seconds * framesPerSecond)] ?? null,
  });
  say({ kind: 'next', done: 1 });
}

function end(): void {
  const carried = moving.map(({ angle, camera }) => keepCarried(angle, camera, 0, frames));
  say({ kind: 'tracks', tracks: following?.tracks() ?? [], carried });
  for (const eye of eyes) eye.close();
}

async function hear(message: ToFollower): Promise<void> {
  if (message.kind === 'end') return end();
  pictures = message.pictures;
  if (message.kind === 'begin') await begin(message.job);
  else say({ kind: 'next', done: (frames = following!.step()) });
}

self.addEventListener('message', ({ data }: MessageEvent<ToFollower>) => {
  hear(data).catch((failure: unknown) =>
    say({ kind: 'wrong', message: failure instanceof Error ? failure.message : String(failure) }),
  );
});
