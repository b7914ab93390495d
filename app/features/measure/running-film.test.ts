import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import fc from 'fast-check';
import { frameAt } from '#core/film/frames';
import type { ClipBody } from '#core/model/snap';
import { AHEAD, LEFT_OUT, RunningFilm } from './running-film';

const RATE = 30;
const CLIP = { framesPerSecond: RATE, frames: 400 } as ClipBody;

/** A film that shows a frame for every turn of the browser, with a script of how many frames it goes on at each; each picture is its number. */
class Film extends EventTarget {
  readyState = 2;
  videoWidth = 32;
  videoHeight = 18;
  seeking = false;
  error = null;
  playbackRate = 1;
  paused = true;
  readonly sought: number[] = [];
  readonly rates: number[] = [];
  private time = 0.5 / RATE;
  private handles = 0;
  private readonly callbacks = new Map<number, () => void>();

  constructor(private readonly goesOn: () => number = () => 1) {
    super();
  }
  get frame(): number {
    return Math.floor(this.time * RATE);
  }
  get currentTime(): number {
    return this.time;
  }
  set currentTime(time: number) {
    this.time = time;
    this.sought.push(this.frame);
    queueMicrotask(() => this.dispatchEvent(new Event('seeked')));
  }
  async play(): Promise<void> {
    this.rates.push(this.playbackRate);
    if (this.paused) void this.run();
  }
  pause(): void {
    this.paused = true;
  }
  requestVideoFrameCallback(callback: () => void): number {
    this.callbacks.set(++this.handles, callback);
    return this.handles;
  }
  cancelVideoFrameCallback(handle: number): void {
    this.callbacks.delete(handle);
  }
  private async run(): Promise<void> {
    this.paused = false;
    while (!this.paused && this.frame < CLIP.frames - 1) {
      await new Promise((turn) => setImmediate(turn));
      if (this.paused) return;
      this.time += this.goesOn() / RATE;
      const called = [...this.callbacks.values()];
      this.callbacks.clear();
      for (const one of called) one();
    }
  }
}

/** A picture taken of a film: its number is that of the frame that was shown. */
class Shown {
  readonly frame: number;
  readonly timestamp: number;
  static open = 0;
  constructor(film: Film) {
    this.frame = film.frame;
    this.timestamp = Math.round((film.frame / RATE) * 1e6);
    Shown.open++;
  }
  close(): void {
    Shown.open--;
  }
}

class Canvas {
  private drawn = -1;
  getContext() {
    return {
      drawImage: ({ frame }: { frame: number }) => void (this.drawn = frame),
      getImageData: () => ({ data: new Uint8ClampedArray([this.drawn % 256, Math.floor(this.drawn / 256)]) }),
    };
  }
}

const filmOf = (film: Film) => new RunningFilm({ clip: CLIP, video: film as unknown as HTMLVideoElement });
const numberOf = ({ data }: { data: Uint8ClampedArray }): number => data[0]! + 256 * data[1]!;
/** The pictures of frames, asked for one after the other, by somebody who takes a while over each. */
async function taken(running: RunningFilm, frames: readonly number[], turns = 0): Promise<number[]> {
  const numbers: number[] = [];
  for (const f of frames) {
    numbers.push(numberOf(await running.at(f)));
    for (let t = 0; t < turns; t++) await new Promise((turn) => setImmediate(turn));
  }
  return numbers;
}
const frames = (from: number, to: number): number[] => Array.from({ length: to - from }, (_, i) => from + i);

beforeEach(() => {
  vi.stubGlobal('OffscreenCanvas', Canvas);
  vi.stubGlobal('VideoFrame', Shown);
  Shown.open = 0;
});
afterEach(() => void vi.unstubAllGlobals());

describe('a film that runs while its pictures are taken', () => {
  it('is sent to the first frame and runs to the others', async () => {
    const film = new Film();
    expect(await taken(filmOf(film), frames(20, 60))).toEqual(frames(20, 60));
    expect(film.sought).toEqual([20]);
    expect(Shown.open).toBe(0);
  });

  it('gives the picture of the very frame that was asked for, whatever it leaves out, stays on or is asked for', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.array(fc.integer({ min: 0, max: 3 }), { minLength: 1, maxLength: 30, size: 'max' }),
        fc.array(fc.integer({ min: 0, max: 9 }), { minLength: 1, maxLength: 30, size: 'max' }),
        fc.integer({ min: 0, max: 8 }),
        async (script, steps, turns) => {
          // A film that stays for ever on a frame is another matter.
          let turn = 0;
          const film = new Film(() => script[turn++ % script.length]! || (turn % 2 ? 0 : 1));
          const asked = steps.reduce<number[]>((all, step) => [...all, (all.at(-1) ?? 5) + step], []);
          expect(await taken(filmOf(film), asked, turns)).toEqual(asked);
          expect(Shown.open).toBe(0);
        },
      ),
      { numRuns: 60 },
    );
  });

  it('goes back for a frame it has left out, and runs on more slowly', async () => {
    let turn = 0;
    const film = new Film(() => (++turn === 5 ? 3 : 1));
    expect(await taken(filmOf(film), frames(2, 40), 1)).toEqual(frames(2, 40));
    expect(film.sought).toHaveLength(2);
    expect(film.rates.at(-1)).toBeLessThan(film.rates[0]!);
  });

  it('stands still while nobody asks, a few frames ahead', async () => {
    const film = new Film();
    const running = filmOf(film);
    await taken(running, [10, 11], 60);
    expect(film.paused).toBe(true);
    expect(film.frame).toBe(10 + AHEAD.most);
    expect(await taken(running, frames(12, 30))).toEqual(frames(12, 30));
    expect(film.sought).toEqual([10]);
  });

  it('is sent to every frame once it has left out too many', async () => {
    const film = new Film(() => 2);
    const asked = frames(0, 5 * LEFT_OUT);
    expect(await taken(filmOf(film), asked)).toEqual(asked);
    const tail = film.sought.slice(-LEFT_OUT);
    expect(tail).toEqual(asked.slice(-LEFT_OUT));
  });

  it('is sent to every frame where the browser does not tell which one a picture is of', async () => {
    vi.stubGlobal('VideoFrame', undefined);
    Reflect.deleteProperty(globalThis, 'VideoFrame');
    const film = new Film();
    expect(await taken(filmOf(film), frames(3, 9))).toEqual(frames(3, 9));
    expect([film.sought, film.rates]).toEqual([frames(3, 9), []]);
  });

  it('is fetched where it does not run at all', async () => {
    const film = new Film();
    film.play = () => Promise.reject(new Error('not while the page is hidden'));
    expect(await taken(filmOf(film), [4, 5])).toEqual([4, 5]);
    expect(film.sought).toEqual([4, 5]);
  });

  it('goes back to where it was when done, at its own speed, and shows nothing to who asks then', async () => {
    const film = new Film();
    film.playbackRate = 0.5;
    film.currentTime = 77.5 / RATE;
    const running = filmOf(film);
    await taken(running, [10, 11]);
    running.close();
    expect([film.paused, film.playbackRate, film.frame]).toEqual([true, 0.5, 77]);
    await expect(running.at(300)).rejects.toThrow('Nobody looks');
    expect(frameAt(film.currentTime, RATE)).toBe(77);
  });
});
