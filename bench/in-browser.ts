import { chromium, type APIRequestContext, type Browser, type Page } from '@playwright/test';

/** Where the demo runs that is measured: started with ./start, or at CHALK_URL. */
export const DEMO = process.env.CHALK_URL ?? 'http://localhost:4170';
export const WINDOW = { width: 1280, height: 800 };

export const median = (all: readonly number[]): number =>
  [...all].sort((a, b) => a - b)[Math.floor(all.length / 2)] ?? 0;

/** Measures in a browser of its own, started with these words more; says so where no demo answers. */
export async function inBrowser(measure: (browser: Browser) => Promise<void>, more: readonly string[] = []) {
  const reachable = await fetch(`${DEMO}/api/health`).then(
    (r) => r.ok,
    () => false,
  );
  if (!reachable) return console.log(`nothing answers at ${DEMO}: start the demo with ./start, or set CHALK_URL`);
  const args = ['--no-sandbox', '--disable-dev-shm-usage', ...more];
  const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args });
  await measure(browser).finally(() => browser.close());
}

/** The same on a page of the demo's coach. */
export const asCoach = (measure: (page: Page) => Promise<void>, more: readonly string[] = []) =>
  inBrowser(async (browser) => {
    const page = await browser.newPage({ viewport: WINDOW });
    await logIn(page.request);
    await measure(page);
  }, more);

export const logIn = (by: APIRequestContext) =>
  by.post(`${DEMO}/api/session`, { data: { email: 'coach@lanterns.example', password: 'lantern-coach' } });
