import { sameMoment, seekTime } from '#core/film/frames';
import type { ClipBody } from '#core/model/snap';
import type { Picture } from '~/workers/following';
import { RunningFilm, type OnPage } from './running-film';
import { loaded, seek } from './seek';

/** The picture a film shows now, in its own pixels; `null` before it shows any. */
export function pictureOf(video: HTMLVideoElement): Picture | null {
  const { videoWidth: width, videoHeight: height } = video;
  if (width === 0 || height === 0) return null;
  const context = new OffscreenCanvas(width, height).getContext('2d', { willReadFrequently: true })!;
  context.drawImage(video, 0, 0);
  const { data } = context.getImageData(0, 0, width, height);
  return { data, width, height };
}

/** Takes pictures of films one frame after the other. `close` when done: the films go back to where they were. */
export class Grabber {
  private readonly running: readonly RunningFilm[];

  constructor(private readonly films: readonly OnPage[]) {
    this.running = films.map((film) => new RunningFilm(film));
  }

  /** The pictures of all angles at a frame of the first. */
  at(frame: number): Promise<Picture[]> {
    const [lead] = this.films;
    return Promise.all(this.running.map((film, i) => film.at(sameMoment(frame, lead!.clip, this.films[i]!.clip))));
  }

  close(): void {
    for (const film of this.running) film.close();
  }
}

/** Pictures of a film at some of its frames, in its own pixels, taken beside the one on the page. */
export async function picturesOf(
  url: string,
  clip: Pick<ClipBody, 'framesPerSecond'>,
  frames: readonly number[],
): Promise<Picture[]> {
  const video = document.createElement('video');
  Object.assign(video, { muted: true, preload: 'auto', src: url });
  try {
    await loaded(video);
    const pictures: Picture[] = [];
    for (const frame of frames) {
      await seek(video, seekTime(frame, clip.framesPerSecond));
      const picture = pictureOf(video);
      if (picture) pictures.push(picture);
    }
    return pictures;
  } finally {
    // Nothing of it is fetched any more.
    video.removeAttribute('src');
    video.load();
  }
}
