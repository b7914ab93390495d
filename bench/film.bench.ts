import type { Page } from '@playwright/test';
import { asCoach, DEMO, median } from './in-browser';

/*
 * Film in a real browser against a running demo (./start): a step by key beside a bare seek of the same element, what the place loads to
 * open, and memory over many snaps.
 */
const STEPS = 60;
const SNAPS = 200;

/** Milliseconds from asking the film for a frame to the leading picture of it: by seeking what is shown, or by the key that steps. */
const timed = (page: Page, how: 'bare seek' | 'key'): Promise<number[]> =>
  page.evaluate(
    async ([way, steps]) => {
      const video = document.querySelector('video')!;
      const shown = (): Promise<void> => new Promise((done) => video.requestVideoFrameCallback(() => done()));
      const times: number[] = [];
      for (let i = 0; i < steps; i++) {
        const picture = shown();
        const start = performance.now();
        if (way === 'key') window.dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowRight', bubbles: true }));
        else for (const one of document.querySelectorAll('video')) one.currentTime = (i + 1.5) / 30;
        await picture;
        times.push(performance.now() - start);
      }
      return times;
    },
    [how, STEPS] as const,
  );

async function measure(page: Page): Promise<void> {
  const film: { bytes: number }[] = [];
  page.on('response', (r) => {
    if (r.url().includes('/api/clips/')) film.push({ bytes: Number(r.headers()['content-length'] ?? 0) });
  });
  await page.goto(`${DEMO}/film/1`);
  await page.waitForFunction(
    () => [...document.querySelectorAll('video')].filter((v) => v.readyState > 2).length === 2,
  );
  console.log(
    `opening a game: film of ${film.length} clips asked for, ${(film.reduce((a, f) => a + f.bytes, 0) / 1e6).toFixed(2)} MB`,
  );

  // One angle alone, so that both ways seek the same element and no other.
  for (const angles of ['both angles', 'one angle'] as const) {
    if (angles === 'one angle')
      await page.evaluate(() => document.querySelectorAll('video')[1]?.removeAttribute('src'));
    const [bare, key] = [[] as number[], [] as number[]];
    for (let round = 0; round < 3; round++) {
      bare.push(...(await timed(page, 'bare seek')));
      await page.keyboard.press('j');
      await page.waitForTimeout(300);
      key.push(...(await timed(page, 'key')));
    }
    console.log(
      `${angles}: a step by key ${median(key).toFixed(1)} ms, a bare seek ${median(bare).toFixed(1)} ms, ratio ${(median(key) / median(bare)).toFixed(2)}`,
    );
  }

  await page.goto(`${DEMO}/film/1`);
  const heap = (): Promise<number> =>
    page.evaluate(() => {
      (globalThis as { gc?: () => void }).gc?.();
      return (performance as unknown as { memory: { usedJSHeapSize: number } }).memory.usedJSHeapSize / 1e6;
    });
  await page.waitForTimeout(1500);
  const start = await heap();
  const marks: string[] = [];
  for (let i = 1; i <= SNAPS; i++) {
    await page.keyboard.press(Math.floor((i - 1) / 20) % 2 === 0 ? 'ArrowDown' : 'ArrowUp');
    await page.waitForTimeout(60);
    if (i % 50 === 0) marks.push((await heap()).toFixed(1));
  }
  console.log(`memory of the page: ${start.toFixed(1)} MB at first, then after every 50 snaps ${marks.join(', ')} MB`);
}

await asCoach(measure, ['--enable-precise-memory-info', '--js-flags=--expose-gc']);
