import { expect, test } from '@playwright/test';
import type { ChildProcess } from 'node:child_process';
import { answerQuiz } from './answer-quiz';
import { freePort, startProcess } from './another-process';

/*
 * A process of its own that can be taken away: what the browser calls offline does not reach what runs beside the page.
 */
test.use({ serviceWorkers: 'allow' });

let server: ChildProcess;
let at: string;
test.beforeEach(async () => {
  const port = await freePort();
  at = `http://localhost:${port}`;
  server = await startProcess(port);
});
test.afterEach(() => {
  server.kill('SIGKILL');
});
const gone = async (): Promise<void> => {
  server.kill('SIGKILL');
  await expect(async () => expect(await fetch(`${at}/api/health`).catch(() => null)).toBeNull()).toPass();
};

test('a phone that has had the quiz opens it without a connection and sends its answers later', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 780 });
  await page.request.post(`${at}/api/session`, {
    data: { email: 'player@lanterns.example', password: 'lantern-player' },
  });
  await page.goto(`${at}/quiz`);
  await expect(page.getByText('Whom do you block?')).toBeVisible();
  const has = (name: string, part: string): Promise<boolean> =>
    page.evaluate(
      async ([cache, path]) => (await (await caches.open(cache!)).keys()).some((k) => k.url.includes(path!)),
      [name, part],
    );
  // The first visit puts the files aside, the second one the answers and the page.
  await expect.poll(() => has('violet-chalk-files', '/_nuxt/')).toBe(true);
  await page.waitForFunction(() => navigator.serviceWorker.controller !== null);
  await page.reload();
  await expect(page.getByText('Whom do you block?')).toBeVisible();
  await expect.poll(() => has('violet-chalk-data', '/api/quiz')).toBe(true);
  await expect.poll(() => has('violet-chalk-page', at)).toBe(true);
  expect(await has('violet-chalk-data', '/api/book')).toBe(false);

  await gone();
  await page.goto(`${at}/quiz`);
  await answerQuiz(page);
  await expect(page.getByText('1 answer waits here to be sent.')).toBeVisible();
  // Looked at again, still without a connection, the answer is still there; with one it is sent.
  await page.goto(`${at}/quiz`);
  await expect(page.getByText('1 answer waits here to be sent.')).toBeVisible();
  server = await startProcess(Number(new URL(at).port));
  await page.reload();
  await expect(page.getByText('Whom do you block?')).toBeVisible();
  await expect(page.getByText(/answers? waits? here/)).toHaveCount(0);
});

test('who logs out leaves nothing on the device, and without a connection nobody is logged in', async ({ page }) => {
  await page.request.post(`${at}/api/session`, {
    data: { email: 'coach@lanterns.example', password: 'lantern-coach' },
  });
  await page.goto(`${at}/walkthrough`);
  await page.waitForFunction(() => navigator.serviceWorker.controller !== null);
  await page.reload();
  const kept = (): Promise<string[]> =>
    page.evaluate(async () => {
      if (!(await caches.has('violet-chalk-data'))) return [];
      return (await (await caches.open('violet-chalk-data')).keys()).map((k) => new URL(k.url).pathname);
    });
  await expect.poll(kept).toContain('/api/playbook');
  await page.getByRole('button', { name: 'Log out' }).click();
  await expect(page).toHaveURL(/\/login/);
  await expect(page.getByRole('button', { name: 'Log in' })).toBeVisible();
  expect(await kept()).toEqual([]);
  await gone();
  await page.goto(`${at}/walkthrough`);
  await expect(page.getByText('The server cannot be reached.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Log out' })).toHaveCount(0);
});

test('it can be installed: a name, a page to begin with, pictures of both sizes', async ({ page }) => {
  await page.goto(`${at}/login`);
  const address = await page.locator('link[rel=manifest]').getAttribute('href');
  const answer = await page.request.get(`${at}${address}`);
  expect(answer.status()).toBe(200);
  const manifest = (await answer.json()) as {
    name: string;
    start_url: string;
    icons: { src: string; sizes: string }[];
  };
  expect(manifest).toMatchObject({ name: 'Violet Chalk', start_url: '/', display: 'standalone' });
  expect(manifest.icons.map((i) => i.sizes)).toEqual(['192x192', '512x512']);
  for (const { src } of manifest.icons) {
    const icon = await page.request.get(`${at}${src}`);
    expect([icon.status(), icon.headers()['content-type']]).toEqual([200, 'image/png']);
  }
});
