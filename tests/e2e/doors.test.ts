import { expect, test } from '@playwright/test';
import { enter, snapsOf } from './people';

test('nothing is open without logging in', async ({ page }) => {
  for (const path of ['/api/games', '/api/book?by=man', '/api/roster', '/api/snaps/1', '/api/clips/1']) {
    expect((await page.request.get(path)).status(), path).toBe(401);
  }
  await page.goto('/book');
  await expect(page).toHaveURL(/login\?next=\/book|login\?next=%2Fbook/);
});

test('a wrong password says so, and guessing is slowed down', async ({ page }) => {
  await page.goto('/login');
  await page.getByLabel('Address').fill('guess@lanterns.example');
  await page.getByLabel('Password', { exact: true }).fill('wrong');
  await page.getByRole('button', { name: 'Log in' }).click();
  await expect(page.getByRole('alert')).toContainText('do not belong together');
  const statuses: number[] = [];
  for (let i = 0; i < 12; i++)
    statuses.push(
      (await page.request.post('/api/session', { data: { email: 'guess@lanterns.example', password: 'x' } })).status(),
    );
  expect(statuses.at(-1)).toBe(429);
});

test('film comes in byte ranges, to members only', async ({ page }) => {
  await enter(page, 'coach', '/walkthrough');
  const [first] = await snapsOf(page);
  const snap = (await (await page.request.get(`/api/snaps/${first!.id}`)).json()) as { clips: { id: number }[] };
  const url = `/api/clips/${snap.clips[0]!.id}`;
  const part = await page.request.get(url, { headers: { Range: 'bytes=100-199' } });
  expect([part.status(), (await part.body()).length, part.headers()['content-range']]).toEqual([
    206,
    100,
    expect.stringMatching(/^bytes 100-199\/\d+$/),
  ]);
  // Nothing of it is shown again without asking, and the log-out empties what the browser has kept.
  expect(part.headers()['cache-control']).toBe('private, no-cache');
  expect((await page.request.delete('/api/session')).headers()['clear-site-data']).toBe('"cache"');
  expect((await page.request.get(url)).status()).toBe(401);
  await enter(page, 'coach', '/walkthrough');
  expect((await page.request.get(url, { headers: { Range: 'bytes=99999999-' } })).status()).toBe(416);
  expect((await page.request.get('/api/clips/999999')).status()).toBe(404);
});

test('requests that make no sense get a sentence and change nothing', async ({ page }) => {
  await enter(page, 'coach', '/walkthrough');
  const [first] = await snapsOf(page);
  const put = async (data: unknown): Promise<string> => {
    const answer = await page.request.put(`/api/snaps/${first!.id}/grades`, { data: data as object });
    expect(answer.status()).toBe(400);
    return ((await answer.json()) as { message: string }).message;
  };
  const entry = (grade: object) => ({
    snapRevision: 1,
    entries: [{ entry: '00000000-0000-4000-8000-000000000001', blocker: 'LT', base: 0, grade }],
  });
  expect(await put({ snapRevision: 1, entries: [] })).toContain('entries');
  expect(await put(entry({ assignment: 'maybe', technique: 'plus', note: '' }))).toContain(
    'entries.0.grade.assignment',
  );
  expect(await put(entry({ assignment: 'right', technique: 'plus', note: 'x'.repeat(501) }))).toContain('note');
  expect((await page.request.get('/api/snaps/12abc')).status()).toBe(404);
  expect((await snapsOf(page))[0]!.graded).toHaveLength(first!.graded.length);
});

const SENT = {
  snapRevision: 1,
  entries: [
    {
      ...{ entry: '00000000-0000-4000-8000-000000000002', blocker: 'C', base: 0 },
      grade: { assignment: 'right', technique: 'plus', note: '' },
    },
  ],
};

test('a player sees his own grades and nobody else’s, also on a phone', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 780 });
  await enter(page, 'player', '/book');
  await expect(page.getByRole('heading', { name: 'Your grades' })).toBeVisible();
  await expect(page.getByRole('rowheader', { name: 'All together' })).toBeVisible();
  await expect(page.getByText('Bram Wicken')).toHaveCount(0);
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  const { snaps: marks } = (await (await page.request.get('/api/book/snaps?take=200')).json()) as {
    snaps: { man: string; snapId: number }[];
  };
  expect(new Set(marks.map((m) => m.man))).toEqual(new Set(['55 Jory Pell']));
  expect((await page.request.get('/api/games/1/snaps')).status()).toBe(403);
  expect((await page.request.put(`/api/snaps/${marks[0]!.snapId}/grades`, { data: SENT })).status()).toBe(403);
  expect((await page.request.get(`/api/snaps/${marks[0]!.snapId}/history`)).status()).toBe(403);
});
