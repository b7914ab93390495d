import type { Page } from '@playwright/test';
import { asCoach, DEMO } from './in-browser';

/*
 * How long a snap takes to be followed, decoding and all, in a real browser against a running demo (./start): from the click to the ways that
 * are kept. Once from a click as soon as the page is there, once from one by somebody who has been on it for a while, as whoever clicks
 * feet has: what follows has started meanwhile. What is followed here takes the place of what the demo had.
 */

/** Of those the demo has measured, this many. */
const SNAPS = 4;
/** Longest that is waited for one, and how long somebody has been on the page, milliseconds. */
const PATIENCE = 120_000;
const A_WHILE = 5000;

interface Measured {
  readonly revision: number;
  readonly measuring: { readonly followed: object | null };
}
interface Numbered {
  readonly id: number;
  readonly number: number;
}

/** Seconds from the click to the ways of a snap that has none. */
async function follow(page: Page, snap: number, after: number): Promise<number> {
  const address = `${DEMO}/api/snaps/${snap}/measuring`;
  const { revision, measuring } = (await (await page.request.get(address)).json()) as Measured;
  const put = await page.request.put(address, { data: { revision, measuring: { ...measuring, followed: null } } });
  if (!put.ok()) throw new Error(await put.text());
  await page.goto(`${DEMO}/film/measure/${snap}`);
  await page.getByRole('button', { name: /Ways through the play/ }).click();
  const button = page.getByRole('button', { name: /^Follow everybody/ });
  await button.waitFor();
  await page.waitForTimeout(after);
  const kept = page.waitForResponse((r) => r.request().method() === 'PUT' && r.url() === address, {
    timeout: PATIENCE,
  });
  const stopped = page.getByRole('alert').filter({ hasText: 'Following stopped' });
  const failed = stopped.waitFor({ timeout: PATIENCE }).then(async () => {
    throw new Error(`${await stopped.textContent()}`);
  });
  const begun = performance.now();
  await button.click();
  await Promise.race([kept, failed]);
  failed.catch(() => undefined);
  return (performance.now() - begun) / 1000;
}

await asCoach(async (page) => {
  const games = (await (await page.request.get(`${DEMO}/api/games`)).json()) as { id: number; opponent: string }[];
  const filmed = games.find((g) => g.opponent === 'Fennick Otters')!;
  const snaps = (await (await page.request.get(`${DEMO}/api/games/${filmed.id}/snaps`)).json()) as Numbered[];
  let left = SNAPS;
  for (const { id, number } of snaps) {
    const { measuring } = (await (await page.request.get(`${DEMO}/api/snaps/${id}/measuring`)).json()) as Measured;
    if (!measuring.followed || left-- <= 0) continue;
    const [atOnce, later] = [await follow(page, id, 0), await follow(page, id, A_WHILE)];
    console.log(`snap ${number}: ${later.toFixed(1)} s (goal 10); ${atOnce.toFixed(1)} s as soon as the page is there`);
  }
});
