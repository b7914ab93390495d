import { expect, test } from '@playwright/test';
import { enter } from './people';
import { stumbles } from './stumbles';

test('a game is tapped with three taps a snap, without a connection too, and becomes the log', async ({ browser }) => {
  const context = await browser.newContext({ viewport: { width: 820, height: 1100 }, hasTouch: true });
  const page = await context.newPage();
  await enter(page, 'assistant', '/week/game');
  await expect(page.getByRole('group', { name: 'Call' }).getByRole('button').first()).toBeVisible();
  await context.setOffline(true);
  let taps = 0;
  const tap = async (group: string, name: string | RegExp): Promise<void> => {
    await page.getByRole('group', { name: group }).getByRole('button', { name, exact: true }).tap();
    taps++;
  };
  const signs = page.getByRole('group', { name: 'Their signs' });
  for (const [call, look, lost] of [
    ['Power right', 'Over', 'nobody'],
    ['Power right', 'Bear', 'C'],
    ['Duo right', 'Bear', 'nobody'],
  ] as const) {
    await tap('Call', call);
    await tap('Look', look);
    // Only where one of their signs was seen is there a fourth.
    if (look === 'Bear') await signs.getByRole('button', { name: 'cover both guards' }).tap();
    await tap('Who lost', lost);
  }
  expect(taps).toBe(9);
  await expect(page.getByText('3 snaps so far. 3 of them only on this device.')).toBeVisible();
  await expect(page.getByRole('region', { name: 'So far' })).toContainText('2 of 3');
  await expect(page.getByRole('region', { name: 'So far' })).toContainText('let go 1 time');
  // They show something else: two choices, and the men who do something else stand there.
  const other = page.getByRole('region', { name: 'They show something else' });
  await page.getByRole('combobox', { name: 'Which call' }).selectOption({ label: 'Duo right' });
  await page.getByRole('combobox', { name: 'What they show now' }).selectOption({ label: 'Odd' });
  await expect(other).toContainText(/\d do something else/);
  // The same by a word: "their linebackers are stacked now". Who does something else is drawn, and nobody else's way.
  await other.getByRole('button', { name: 'turned around' }).tap();
  await expect(other.getByRole('status')).toContainText(/\d do something else than against/);
  const changed = await other.locator('dt').allTextContents();
  expect(changed.length).toBeGreaterThan(0);
  await expect(other.locator('.blocker:not(.idle)')).toHaveCount(changed.length);
  await expect(other.locator('.path')).toHaveCount(changed.length);
  await context.setOffline(false);
  await page.getByRole('button', { name: 'Put them into the log' }).click();
  await expect(page.getByText('3 snaps so far.', { exact: false })).not.toContainText('only on this device');
  const game = Number(await page.getByRole('combobox', { name: 'Whose week' }).inputValue());
  const snaps = (await (await page.request.get(`/api/games/${game}/snaps`)).json()) as {
    id: number;
    number: number;
    logged: { said: string };
  }[];
  // The demo's next game is ahead again, for whoever asks for it.
  for (const { id } of snaps) expect((await page.request.delete(`/api/snaps/${id}`)).ok()).toBe(true);
  expect(snaps.map((s) => [s.number, s.logged.said])).toEqual([
    [1, ''],
    [2, 'Lost at the game: C. Seen before it: cover both guards'],
    [3, 'Seen before it: cover both guards'],
  ]);
  expect(await stumbles(page)).toEqual([]);
  await context.close();
});
