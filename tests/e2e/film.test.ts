import { expect, test } from '@playwright/test';
import { rename } from 'node:fs/promises';
import { enter, snapsOf } from './people';

test('both angles step frame by frame together, at three speeds', async ({ page }) => {
  await enter(page, 'coach', '/film');
  const [snap] = await snapsOf(page);
  await page.goto(`/film/${snap!.id}`);
  const times = () => page.locator('video').evaluateAll((all) => all.map((v) => (v as HTMLVideoElement).currentTime));
  await expect
    .poll(() =>
      page.locator('video').evaluateAll((all) => all.filter((v) => (v as HTMLVideoElement).readyState > 1).length),
    )
    .toBe(2);
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('ArrowRight');
  await expect(page.getByText(/^frame 2,/)).toBeVisible();
  await expect.poll(times).toEqual([2.5 / 30, 2.5 / 30].map((t) => expect.closeTo(t, 3)));
  await page.keyboard.press('ArrowLeft');
  await expect(page.getByText(/^frame 1,/)).toBeVisible();
  await page.keyboard.press('v');
  await expect(page.getByRole('button', { name: /half speed/ })).toBeVisible();
  await page.keyboard.press('Space');
  await expect.poll(async () => (await times())[0]!).toBeGreaterThan(0.4);
  const [one, two] = await times();
  expect(Math.abs(one! - two!)).toBeLessThan(0.1);
  await page.keyboard.press('Space');
});

test('everybody did his job is one key, and survives a reload', async ({ page }) => {
  await enter(page, 'assistant', '/film');
  const snap = (await snapsOf(page))[9]!;
  await page.goto(`/film/${snap.id}`);
  await expect(page.getByText('Snap 10:')).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(page.getByText('Snap 11:')).toBeVisible();
  await expect(page.getByText('all marks saved')).toBeVisible();
  await page.goto(`/film/${snap.id}`);
  await expect(page.getByRole('img', { name: 'assignment right, technique plus' }).first()).toBeVisible();
  expect((await snapsOf(page))[9]!.graded).toHaveLength(snap.asked.length);
});

test('a cut connection loses nothing: marks wait on the machine, over a reload, and are sent', async ({ page }) => {
  await enter(page, 'coach', '/film');
  const snap = (await snapsOf(page))[10]!;
  await page.goto(`/film/${snap.id}`);
  await expect(page.getByText('Snap 11:')).toBeVisible();
  // The digits choose among the columns, which are there once the page knows how wide it is.
  await expect(page.getByRole('button', { name: 'Mark LG' })).toBeVisible();
  await page.route('**/api/snaps/*/grades', (route) => route.abort());
  await page.keyboard.press('2');
  await page.keyboard.press('a');
  await expect(page.getByRole('alert')).toContainText('1 mark is kept on this machine');
  await page.reload();
  await expect(page.getByRole('alert')).toContainText('1 mark is kept on this machine');
  await expect(page.getByRole('table', { name: 'Grades' }).getByRole('img', { name: /technique minus/ })).toBeVisible();
  expect((await snapsOf(page))[10]!.graded).toHaveLength(0);
  await page.unroute('**/api/snaps/*/grades');
  await expect(page.getByText('all marks saved')).toBeVisible();
  expect((await snapsOf(page))[10]!.graded.map((g) => g.blocker)).toEqual(['LG']);
});

test('what is typed while a snap is still being opened is told as not yet saved, and is saved once it is open', async ({
  page,
}) => {
  await enter(page, 'coach', '/film');
  const snap = (await snapsOf(page))[10]!;
  let letIn = (): void => undefined;
  const isLetIn = new Promise<void>((done) => (letIn = done));
  await page.route('**/api/games/*/snaps', async (route) => {
    await isLetIn;
    await route.continue();
  });
  await page.goto(`/film/${snap.id}`);
  await expect(page.getByRole('button', { name: 'Mark RT' })).toBeVisible();
  await expect(page.getByText('all marks saved')).toBeVisible();
  await page.keyboard.press('5');
  await page.keyboard.press('x');
  await expect(page.getByText('saving …')).toBeVisible();
  letIn();
  await expect(page.getByText('all marks saved')).toBeVisible();
  expect((await snapsOf(page))[10]!.graded.map((g) => g.blocker)).toContain('RT');
  await page.keyboard.press('Control+z');
  await expect.poll(async () => (await snapsOf(page))[10]!.graded.map((g) => g.blocker)).not.toContain('RT');
});

test('a snap whose film is gone says so and is graded all the same', async ({ page }) => {
  const folder = process.env.FILM_DIR;
  if (!folder) throw new Error('FILM_DIR is not set: run ./test');
  await rename(`${folder}/snap-12-end-zone.webm`, `${folder}/away.webm`);
  try {
    await enter(page, 'coach', '/film');
    await page.goto(`/film/${(await snapsOf(page))[11]!.id}`);
    await expect(page.getByRole('alert')).toContainText('The end zone film cannot be read');
    await page.keyboard.press('Enter');
    await expect(page.getByText('Snap 13:')).toBeVisible();
  } finally {
    await rename(`${folder}/away.webm`, `${folder}/snap-12-end-zone.webm`);
  }
});

test('another call under graded men is asked about, never slipped in', async ({ page }) => {
  await enter(page, 'coach', '/film');
  await page.goto(`/film/${(await snapsOf(page))[0]!.id}`);
  await page.getByRole('combobox', { name: 'Side' }).click();
  await page.getByRole('option', { name: 'left', exact: true }).click();
  await expect(page.getByRole('alertdialog')).toContainText('graded against another assignment');
  await page.getByRole('button', { name: 'Leave it' }).click();
  await expect(page.getByRole('combobox', { name: 'Side' })).toContainText('right');
});
