import { sameMoment, seekTime } from '#core/film/frames';
import type { ClipBody } from '#core/model/snap';
import type { Picture } from '~/workers/following';

/** Film of one angle on the page. */
export interface OnPage {
  readonly clip: ClipBody;
  readonly video: HTMLVideoElement;
}

/** Pictures wider than this are made smaller for following: a pixel less tells little and costs much. */
export const WIDEST = 960;

/** The size at which a film is followed, pixels. */
export function followSize(video: Pick<HTMLVideoElement, 'videoWidth' | 'videoHeight'>): {
  width: number;
  height: number;
} {
  const share = Math.min(1, WIDEST / Math.max(1, video.videoWidth));
  return { width: Math.round(video.videoWidth * share), height: Math.round(video.videoHeight * share) };
}

/** The picture a film shows now, in its own pixels; `null` before it shows any. */
export function pictureOf(video: HTMLVideoElement): Picture | null {
  const { videoWidth: width, videoHeight: height } = video;
  if (width === 0 || height === 0) return null;
  const context = new OffscreenCanvas(width, height).getContext('2d', { willReadFrequently: true })!;
  context.drawImage(video, 0, 0);
  const { data } = context.getImageData(0, 0, width, height);
  return { data, width, height };
}

/** Takes pictures of films one after the other. */
export class Grabber {
  private readonly canvases = new Map<HTMLVideoElement, OffscreenCanvas>();

  constructor(private readonly films: readonly OnPage[]) {}

  /** The pictures of all angles at a frame of the first. */
  async at(frame: number): Promise<Picture[]> {
    await Promise.all(
      this.films.map(async ({ video, clip }) => {
        await loaded(video);
        await seek(video, seekTime(sameMoment(frame, this.films[0]!.clip, clip), clip.framesPerSecond));
      }),
    );
    return this.films.map(({ video }) => {
      const canvas = this.canvasOf(video);
      const context = canvas.getContext('2d', { willReadFrequently: true })!;
      context.drawImage(video, 0, 0, canvas.width, canvas.height);
      const { data, width, height } = context.getImageData(0, 0, canvas.width, canvas.height);
      return { data, width, height };
    });
  }

  private canvasOf(video: HTMLVideoElement): OffscreenCanvas {
    const { width, height } = followSize(video);
    const canvas = this.canvases.get(video) ?? new OffscreenCanvas(width, height);
    this.canvases.set(video, canvas);
    return canvas;
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

/** Longest a film may take to show a frame, milliseconds. */
const PATIENCE = 8000;

/** `HTMLMediaElement.HAVE_METADATA` and `HAVE_CURRENT_DATA`; a film that has had a picture has none again while it goes to another frame. */
const [HAS_A_SIZE, HAS_A_PICTURE] = [1, 2];

/** A film that is only just coming has no size yet, and can be sent to no frame. */
async function loaded(video: HTMLVideoElement): Promise<void> {
  if (video.readyState < HAS_A_SIZE) await once(video, 'loadedmetadata');
}

async function seek(video: HTMLVideoElement, time: number): Promise<void> {
  if (Math.abs(video.currentTime - time) < 1e-4 && !video.seeking && video.readyState >= HAS_A_PICTURE) return;
  const there = once(video, 'seeked');
  video.currentTime = time;
  await there;
}

/** What is said where the browser waits in vain. */
const LATE = {
  loadedmetadata: 'The film does not come.',
  seeked: 'The film does not come to the frame that was asked for.',
} as const;
const UNREADABLE = 'The film cannot be read. It may have been replaced or taken away since: open the snap again.';

/** Waits for an event of a film; fails at once where it cannot be read, and where it does not come in time. */
async function once(video: HTMLVideoElement, event: keyof typeof LATE): Promise<void> {
  if (video.error) throw new Error(UNREADABLE);
  const waiting = new AbortController();
  const { signal } = waiting;
  let late: ReturnType<typeof setTimeout> | undefined;
  try {
    await new Promise<void>((done, fail) => {
      late = setTimeout(() => fail(new Error(LATE[event])), PATIENCE);
      video.addEventListener(event, () => done(), { signal });
      video.addEventListener('error', () => fail(new Error(UNREADABLE)), { signal });
    });
  } finally {
    clearTimeout(late);
    waiting.abort();
  }
}
