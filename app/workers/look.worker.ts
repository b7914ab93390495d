import { carriedCamera, keepCarried, type CarriedCamera } from '#core/film/follow/carried';
import { lookAt, type Watched } from '#core/film/follow/look';
import { OpenCvEyes, type Cv } from '#eyes/opencv-eyes';
import * as opencv from '@techstark/opencv-js';
import { answerInTurn } from './answering';
import type { FollowedCamera, Picture } from './following';
import type { FromLooker, ToLooker } from './looking';

/** OpenCV once it is ready. Never the module itself out of a promise: it has a `then` of its own and would be waited for without end. */
async function ready(): Promise<{ cv: Cv }> {
  const cv = ((opencv as { default?: unknown }).default ?? opencv) as Cv & { onRuntimeInitialized?: () => void };
  if (!cv.Mat) await new Promise<void>((done) => (cv.onRuntimeInitialized = done));
  return { cv };
}

let named: FollowedCamera | null = null;
let picture: Picture | null = null;
let eyes: OpenCvEyes | null = null;
let watched: Watched | null = null;
let moving: CarriedCamera | null = null;

function watch(cv: Cv, { width, height }: Picture, { camera, ...where }: FollowedCamera): Watched {
  const size = { width, height };
  eyes = new OpenCvEyes(cv, () => picture!);
  moving = where.moves ? carriedCamera({ camera, ...where }, 0, size, eyes) : null;
  return { size, first: 0, camera: () => camera, eyes, ...moving };
}

async function hear(message: ToLooker): Promise<FromLooker> {
  if (message.kind === 'begin') {
    named = message.camera;
    return { kind: 'ready' };
  }
  if (message.kind === 'end') {
    eyes?.close();
    return { kind: 'carried', carried: moving && keepCarried(named!.angle, moving, 0, message.frames) };
  }
  picture = message.picture;
  watched ??= watch((await ready()).cv, picture, named!);
  return { kind: 'seen', seen: lookAt(watched, message.ask) };
}

answerInTurn<ToLooker, FromLooker>(self, hear);
