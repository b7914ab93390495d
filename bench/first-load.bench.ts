import type { Browser } from '@playwright/test';
import { DEMO, inBrowser, logIn, median, WINDOW } from './in-browser';

/*
 * First loads with a cold cache in a real browser against a running demo (./start): from asking for the address until what one came for is
 * on the screen, and how much came over the line. The middle one of several; on an idle machine only.
 */
const ROUNDS = 7;

/** Places, what of them must be seen, and whether one is logged in. */
const PLACES = [
  { name: 'log-in', path: '/login', seen: 'input[type=password]', within: true },
  { name: 'walkthrough', path: '/walkthrough', seen: 'svg.board', within: false },
  { name: 'film', path: '/film/1', seen: 'video', within: false },
  { name: 'matrix', path: '/matrix', seen: 'tbody td', within: false },
  { name: 'matrix, all of it', path: '/matrix', seen: 'text=/\\d+ of \\d+ sound/', within: false },
] as const;

async function firstLoad(
  browser: Browser,
  { path, seen, within }: (typeof PLACES)[number],
): Promise<{ seconds: number; kB: number }> {
  const context = await browser.newContext({ viewport: WINDOW });
  if (!within) await logIn(context.request);
  const page = await context.newPage();
  let bytes = 0;
  const network = await context.newCDPSession(page);
  await network.send('Network.enable');
  network.on('Network.loadingFinished', ({ encodedDataLength }) => (bytes += encodedDataLength));
  const start = performance.now();
  await page.goto(DEMO + path, { waitUntil: 'commit' });
  await page.locator(seen).first().waitFor();
  const seconds = (performance.now() - start) / 1000;
  const loaded = bytes;
  await context.close();
  return { seconds, kB: loaded / 1000 };
}

await inBrowser(async (browser) => {
  await firstLoad(browser, PLACES[0]);
  for (const place of PLACES) {
    const loads = [];
    for (let i = 0; i < ROUNDS; i++) loads.push(await firstLoad(browser, place));
    console.log(
      `${place.name.padEnd(18)} ${median(loads.map((l) => l.seconds)).toFixed(2)} s, ${Math.round(median(loads.map((l) => l.kB)))} kB by then`,
    );
  }
});
