import type { Page } from '@playwright/test';
import { asCoach, DEMO, median } from './in-browser';

/*
 * Film in a real browser against a running demo (./start): a step by key beside a bare seek of the same elements, what the place loads to
 * open, and memory over many snaps.
 */
const STEPS = 60;
const SNAPS = 200;

/** By the key that steps, which seeks both angles; by seeking both, or the leading one, and nothing else. */
const WAYS = ['key', 'both', 'leading'] as const;
type Way = (typeof WAYS)[number];

/** Milliseconds from asking the film for a frame to the leading picture of it. */
const timed = (page: Page, how: Way): Promise<number[]> =>
  page.evaluate(
    async ([way, steps]) => {
      const videos = [...document.querySelectorAll('video')];
      const sought = way === 'both' ? videos : videos.slice(0, 1);
      const shown = (): Promise<void> => new Promise((done) => videos[0]!.requestVideoFrameCallback(() => done()));
      const times: number[] = [];
      for (let i = 0; i < steps; i++) {
        const picture = shown();
        const start = performance.now();
        if (way === 'key') window.dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowRight', bubbles: true }));
        else for (const one of sought) one.currentTime = (i + 1.5) / 30;
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

  const all: Record<Way, number[]> = { key: [], both: [], leading: [] };
  for (let round = 0; round < 3; round++)
    for (const way of WAYS) {
      all[way].push(...(await timed(page, way)));
      await page.keyboard.press('j');
      await page.waitForTimeout(300);
    }
  const [key, both, leading] = WAYS.map((way) => median(all[way])) as [number, number, number];
  console.log(
    `a step by key ${key.toFixed(1)} ms, a bare seek of both angles ${both.toFixed(1)} ms, ratio ${(key / both).toFixed(2)} (goal 1.5); of the leading one alone ${leading.toFixed(1)} ms`,
  );

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
