import type { Page } from '@playwright/test';
import { asCoach, DEMO } from './in-browser';

/*
 * From a key on the grade pad to the paint that shows it, in a real browser against a running demo (./start), whose marks it changes. As the
 * browser itself tells it: from the time of the key to the next paint after everything it set off; what took less than 16 ms is not told one by one.
 */

/**
 * On each snap: two men chosen and marked; then everybody else did his job, and on. Each key changes what is seen, whatever was marked before: one
 * that changes nothing would be told as long as it takes to the paint of the next one that does.
 */
const KEYS = ['2', 'a', 's', '5', 'w', 'e'];
const SNAPS = 20;
const BETWEEN = 90;

/** A key, and milliseconds from it to the paint. */
interface Timed {
  readonly key: string;
  readonly ms: number;
}

await asCoach(async (page) => {
  await page.goto(`${DEMO}/film/1`);
  await page.getByRole('button', { name: 'Mark LG' }).waitFor();
  // The page is at rest, as it is after one look at the film.
  await page.waitForLoadState('networkidle');
  await listen(page);
  for (let snap = 0; snap < SNAPS; snap++) {
    for (const key of KEYS) await press(page, key);
    await press(page, 'Enter');
    await page.waitForTimeout(500);
  }
  const keys = await page.evaluate(() => (window as unknown as { keys: Timed[] }).keys);
  const at = (share: number, of: readonly Timed[] = keys): string => {
    const all = of.map((k) => k.ms).sort((a, b) => a - b);
    const found = all[Math.floor(share * (all.length - 1))] ?? NaN;
    return found === 0 ? 'under 16' : found.toFixed(0);
  };
  console.log(
    `${keys.length} keys on the pad: median ${at(0.5)} ms, 95th percentile ${at(0.95)} ms, slowest ${at(1)} ms from key to paint (goal: 95th percentile 50)`,
  );
  const each = [...new Set(KEYS), 'Enter'].map(
    (key) =>
      `${key} ${at(
        0.5,
        keys.filter((k) => k.key === key),
      )}`,
  );
  console.log(`median of each: ${each.join(', ')} ms`);
});

async function press(page: Page, key: string): Promise<void> {
  await page.keyboard.press(key);
  await page.waitForTimeout(BETWEEN);
}

/** Collects keys, and how long each took; nothing where the browser tells of none. */
function listen(page: Page): Promise<void> {
  return page.evaluate(() => {
    const keys: { key: string; at: number; ms: number }[] = [];
    (window as unknown as { keys: typeof keys }).keys = keys;
    addEventListener('keydown', ({ key, timeStamp }) => keys.push({ key, at: timeStamp, ms: 0 }), { capture: true });
    new PerformanceObserver((list) => {
      for (const { name, startTime, duration } of list.getEntries()) {
        const own = name === 'keydown' && keys.find((k) => Math.abs(k.at - startTime) < 0.2);
        if (own) own.ms = duration;
      }
    }).observe({ type: 'event', durationThreshold: 16 } as PerformanceObserverInit);
  });
}
