import { frameAt, seekTime } from '#core/film/frames';
import type { ClipBody } from '#core/model/snap';
import type { Picture } from '~/workers/following';
import { loaded, seek } from './seek';

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

/** A film that runs stands still with so many pictures taken that nobody has asked for, and runs on with so few, so that it is seldom stopped. */
export const AHEAD = { most: 6, least: 2 };
/** Frames a second at which a film runs at first; every frame it leaves out makes it slower by this, down to the slowest. */
const PACE = { first: 20, slower: 0.85, slowest: 6 };
/** A film that runs shows its next frame within this, milliseconds. */
const SOON = 500;
/** A film further from a frame than this is sent there, frames. */
const NEAR = 6;
/** After so many frames left out it is not worth letting the film run: it is sent to every frame. */
export const LEFT_OUT = 24;

/** Who waits for a frame of a film that runs: he gets its picture, or `null` when the film has left it out. */
interface Waiting {
  readonly frame: number;
  readonly done: (picture: Picture | null) => void;
}

/**
 * A film whose pictures are taken frame after frame while it runs slowly: sent to each frame, the browser would read it from the last whole
 * picture on every time. Which frame a picture is of says the picture itself, and a frame that is left out is gone to. Where the browser
 * does not tell (only a safe connection does), the film is sent to every frame. `close` when done: it goes back to where it was.
 */
export class RunningFilm {
  private readonly ahead = new Map<number, Picture>();
  private waiting: Waiting | null = null;
  private canvas: OffscreenCanvas | null = null;
  /** The last frames a picture was taken of, and given. */
  private last = -Infinity;
  private given = -Infinity;
  private callback: number | null = null;
  private pace = PACE.first;
  private leftOut = 0;
  private before: { readonly time: number; readonly rate: number } | null = null;
  private isClosed = false;

  constructor(private readonly film: OnPage) {}

  /** The picture of a frame, for whoever asks to keep. Frames before one that was asked for are forgotten. */
  async at(frame: number): Promise<Picture> {
    await loaded(this.film.video);
    this.before ??= { time: this.film.video.currentTime, rate: this.film.video.playbackRate };
    for (const f of this.ahead.keys()) if (f < frame) this.ahead.delete(f);
    const picture = this.ahead.get(frame) ?? (await this.byRunning(frame)) ?? (await this.bySeeking(frame));
    this.ahead.delete(frame);
    this.given = frame;
    if (!this.isClosed && this.mayRun() && this.ahead.size <= AHEAD.least) this.run();
    return picture;
  }

  close(): void {
    this.isClosed = true;
    this.stop();
    if (!this.before) return;
    this.film.video.playbackRate = this.before.rate;
    this.film.video.currentTime = this.before.time;
  }

  private mayRun(): boolean {
    return 'VideoFrame' in globalThis && this.leftOut < LEFT_OUT;
  }

  /** Lets the film run until it shows a frame; `null` when that is too far, or when it was left out. */
  private async byRunning(frame: number): Promise<Picture | null> {
    if (!this.mayRun() || frame === this.given || Math.abs(frame - this.last) > NEAR) return null;
    const picture = frame > this.last ? await this.coming(frame) : null;
    if (picture) return picture;
    this.leftOut++;
    this.pace = Math.max(PACE.slowest, this.pace * PACE.slower);
    return null;
  }

  /** The picture of a frame that is to come; `null` when it does not. */
  private async coming(frame: number): Promise<Picture | null> {
    let late: ReturnType<typeof setTimeout> | undefined;
    const picture = await new Promise<Picture | null>((done) => {
      this.waiting = { frame, done };
      late = setTimeout(() => done(null), SOON);
      this.run();
    });
    clearTimeout(late);
    this.waiting = null;
    return picture;
  }

  private async bySeeking(frame: number): Promise<Picture> {
    const { video, clip } = this.film;
    if (this.isClosed) throw new Error('Nobody looks at the film any more.');
    this.stop();
    await seek(video, seekTime(frame, clip.framesPerSecond));
    this.last = frame;
    return this.draw(video);
  }

  private run(): void {
    const { video, clip } = this.film;
    if (this.callback !== null) return;
    video.playbackRate = Math.min(1, this.pace / clip.framesPerSecond);
    // A film that is stopped before it runs says so by failing.
    void video.play().catch(() => undefined);
    this.next();
  }

  private stop(): void {
    if (this.callback === null) return;
    this.film.video.cancelVideoFrameCallback(this.callback);
    this.callback = null;
    this.film.video.pause();
  }

  private next(): void {
    this.callback = this.film.video.requestVideoFrameCallback(() => {
      this.take();
      if (this.ahead.size >= AHEAD.most) this.stop();
      else this.next();
    });
  }

  /** Takes the picture that is to be seen, and gives it to who waits for it. */
  private take(): void {
    const { video, clip } = this.film;
    const shown = new VideoFrame(video);
    try {
      const frame = frameAt(shown.timestamp / 1e6, clip.framesPerSecond);
      if (frame <= this.last) return;
      this.last = frame;
      const picture = this.draw(shown);
      this.ahead.set(frame, picture);
      const { waiting } = this;
      if (waiting && frame >= waiting.frame) waiting.done(frame === waiting.frame ? picture : null);
    } finally {
      shown.close();
    }
  }

  private draw(from: HTMLVideoElement | VideoFrame): Picture {
    this.canvas ??= canvasFor(this.film.video);
    const { width, height } = this.canvas;
    const context = this.canvas.getContext('2d', { willReadFrequently: true })!;
    context.drawImage(from, 0, 0, width, height);
    return { data: context.getImageData(0, 0, width, height).data, width, height };
  }
}

function canvasFor(video: HTMLVideoElement): OffscreenCanvas {
  const { width, height } = followSize(video);
  return new OffscreenCanvas(width, height);
}
