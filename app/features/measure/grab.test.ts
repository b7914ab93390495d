import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { ClipBody } from '#core/model/snap';
import { Grabber } from './grab';
import { followSize, type OnPage } from './running-film';

/** A film on a page: it has no size until it comes, and shows a frame a while after it was asked for. */
class Film extends EventTarget {
  readyState = 0;
  videoWidth = 0;
  videoHeight = 0;
  seeking = false;
  error: { code: number } | null = null;
  readonly asked: number[] = [];
  private time = 0;
  get currentTime(): number {
    return this.time;
  }
  set currentTime(time: number) {
    this.asked.push(time);
    Object.assign(this, { time, readyState: 1 });
    setTimeout(() => {
      this.readyState = 2;
      this.dispatchEvent(new Event('seeked'));
    }, 1);
  }
  come(width: number, height: number): void {
    Object.assign(this, { readyState: 1, videoWidth: width, videoHeight: height });
    this.dispatchEvent(new Event('loadedmetadata'));
  }
  break(): void {
    this.error = { code: 4 };
    this.dispatchEvent(new Event('error'));
  }
}

const drawn: { width: number; height: number }[] = [];
class Canvas {
  constructor(
    readonly width: number,
    readonly height: number,
  ) {
    if (width === 0 || height === 0) throw new Error('The source width is 0.');
    drawn.push({ width, height });
  }
  getContext() {
    const { width, height } = this;
    return {
      drawImage: () => undefined,
      getImageData: () => ({ width, height, data: new Uint8ClampedArray(width * height * 4) }),
    };
  }
}

const CLIP = { framesPerSecond: 30, frames: 90, snapFrame: 30, contactFrame: 40, whistleFrame: 80 } as ClipBody;
const onPage = (film: Film, clip: Partial<ClipBody> = {}): OnPage => ({
  clip: { ...CLIP, ...clip },
  video: film as unknown as HTMLVideoElement,
});

beforeEach(() => {
  drawn.length = 0;
  vi.stubGlobal('OffscreenCanvas', Canvas);
});
afterEach(() => {
  vi.unstubAllGlobals();
});

describe('taking pictures of films', () => {
  it('waits for a film that is only just coming, and knows its size then', async () => {
    const films = [new Film(), new Film()];
    const taking = new Grabber(films.map((film) => onPage(film))).at(12);
    let isDone = false;
    void taking.finally(() => (isDone = true));
    films[0]!.come(1920, 1080);
    await new Promise((done) => setTimeout(done, 5));
    expect([isDone, films[1]!.asked]).toEqual([false, []]);
    films[1]!.come(640, 360);
    expect((await taking).map(({ width, height }) => [width, height])).toEqual([
      [960, 540],
      [640, 360],
    ]);
  });

  it('does not wait for one to come that has come and is on its way to a frame', async () => {
    const film = new Film();
    film.come(96, 54);
    const grabber = new Grabber([onPage(film)]);
    film.currentTime = 20.5 / 30;
    expect(film.readyState).toBe(1);
    expect(await grabber.at(20)).toHaveLength(1);
    expect(film.readyState).toBe(2);
    await grabber.at(20);
    expect(film.asked.length).toBeLessThanOrEqual(2);
  });

  it('says at once that a film cannot be read, whether it broke before or meanwhile', async () => {
    const [there, gone] = [new Film(), new Film()];
    there.come(96, 54);
    const taking = new Grabber([onPage(there), onPage(gone)]).at(12);
    gone.break();
    await expect(taking).rejects.toThrow('The film cannot be read.');
    await expect(new Grabber([onPage(gone)]).at(12)).rejects.toThrow('open the snap again');
  });

  it('says of a film that never comes that it does not, and of one that stays away from a frame that it does', async () => {
    vi.useFakeTimers();
    try {
      const [never, stuck] = [new Film(), new Film()];
      stuck.come(96, 54);
      const said = Promise.allSettled([
        new Grabber([onPage(never)]).at(12),
        new Grabber([onPage(Object.assign(stuck, { dispatchEvent: () => true }))]).at(12),
      ]);
      await vi.runAllTimersAsync();
      expect((await said).map((one) => String(one.status === 'rejected' && one.reason))).toEqual([
        'Error: The film does not come.',
        'Error: The film does not come to the frame that was asked for.',
      ]);
    } finally {
      vi.useRealTimers();
    }
  });

  it('shows the same moment in every angle, and needs one canvas for all frames', async () => {
    const [lead, other] = [new Film(), new Film()];
    for (const film of [lead, other]) film.come(96, 54);
    const grabber = new Grabber([onPage(lead), onPage(other, { snapFrame: 33, framesPerSecond: 60 })]);
    await grabber.at(30);
    await grabber.at(36);
    expect(lead.asked.map((time) => Math.floor(time * 30))).toEqual([30, 36]);
    expect(other.asked.map((time) => Math.floor(time * 60))).toEqual([33, 45]);
    expect(drawn).toHaveLength(2);
  });

  it('makes pictures that are wider than is followed smaller, and leaves others', () => {
    expect(followSize({ videoWidth: 3840, videoHeight: 2160 })).toEqual({ width: 960, height: 540 });
    expect(followSize({ videoWidth: 800, videoHeight: 600 })).toEqual({ width: 800, height: 600 });
  });
});
