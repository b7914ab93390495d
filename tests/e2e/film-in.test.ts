import { readFileSync, writeFileSync } from 'node:fs';
import { expect, test, type Page } from '@playwright/test';
import { PART_BYTES } from '#core/film/incoming/part';
import { enter, snapsOf } from './people';

const demo = (snap: string, angle: string): Buffer => readFileSync(`demo/film/snap-${snap}-${angle}.webm`);
/** Chooses files once the page takes some. */
async function choose(page: Page, files: string | { name: string; buffer: Buffer }[]): Promise<void> {
  await expect(page.getByRole('button', { name: 'Choose clips' })).toBeEnabled();
  const chosen = typeof files === 'string' ? files : files.map((f) => ({ ...f, mimeType: 'video/webm' }));
  await page.getByLabel('Films to bring in').setInputFiles(chosen);
}
const cameIn = (page: Page, name: string) =>
  page.getByRole('region', { name: 'What came in' }).getByRole('listitem').filter({ hasText: name });

test('both angles of a snap come in, are logged and watched, and their frames are marked', async ({ page }) => {
  // The list of snaps is open already: what is logged afterwards has to come into it.
  await enter(page, 'assistant', '/film');
  await expect(page.getByText(/^Snap \d+:/)).toBeVisible();
  await page.getByRole('link', { name: 'Bring film in', exact: true }).click();
  await choose(page, [
    { name: 'snap 41 end zone.webm', buffer: demo('03', 'end-zone') },
    { name: 'snap 41 sideline.webm', buffer: demo('04', 'sideline') },
  ]);
  for (const angle of ['end zone', 'sideline'])
    await expect(cameIn(page, `snap 41 ${angle}.webm`)).toContainText('30 frames a second');
  await page.getByRole('button', { name: 'Log snap 41' }).click();
  await cameIn(page, 'snap 41 end zone.webm').getByRole('link', { name: 'Watch' }).click();
  await expect(page.getByText('Snap 41:')).toBeVisible();
  await expect(page.locator('video')).toHaveCount(2);
  await expect(page.getByRole('complementary', { name: 'Snaps' }).locator('[aria-current]')).toContainText('41');

  // Each angle is marked for itself; from then on both show the same moment.
  for (let i = 0; i < 7; i++) await page.keyboard.press('ArrowRight');
  await page.keyboard.press('Shift+J');
  await expect(page.getByText('frame 7, 0.00 s after the snap')).toBeVisible();
  await page.keyboard.press('t');
  await page.keyboard.press('Shift+ArrowRight');
  await page.keyboard.press('Shift+J');
  // What was there before it was marked says so of frame 0.
  const marked = page.getByText(/^frame [1-9]\d*, 0.00 s after the snap/);
  const sideline = Number(/frame (\d+)/.exec((await marked.textContent())!)![1]);
  expect(sideline).toBeGreaterThan(7);
  const times = () => page.locator('video').evaluateAll((all) => all.map((v) => (v as HTMLVideoElement).currentTime));
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('j');
  await expect.poll(times).toEqual([sideline + 0.5, 7.5].map((f) => expect.closeTo(f / 30, 3)));

  // What it gained is written down; formation and front are as the snap before.
  const written = (part: string) =>
    page.waitForResponse((r) => r.url().endsWith('/situation') && (r.request().postData() ?? '').includes(part));
  const [gain, hash] = [written('gain'), written('hash')];
  await page.getByRole('spinbutton', { name: 'Gained' }).fill('6');
  await page.keyboard.press('Tab');
  await page.getByRole('combobox', { name: 'Hash' }).selectOption('right');
  expect([(await gain).status(), (await hash).status()]).toEqual([200, 200]);
  await page.reload();
  await expect(page.getByText('Snap 41:')).toBeVisible();
  await expect(page.getByRole('spinbutton', { name: 'Gained' })).toHaveValue('6');
  await expect(page.getByRole('combobox', { name: 'Hash' })).toHaveValue('right');
  const { id } = (await snapsOf(page)).find((s) => s.number === 41)!;
  const { clips } = (await (await page.request.get(`/api/snaps/${id}`)).json()) as {
    clips: { angle: string; snapFrame: number }[];
  };
  expect(clips.map((c) => [c.angle, c.snapFrame])).toEqual([
    ['end zone', 7],
    ['sideline', sideline],
  ]);
});

test('what is no film is told in words, and taken away again', async ({ page }) => {
  await enter(page, 'coach', '/film/in');
  await choose(page, [{ name: 'shopping.mp4', buffer: Buffer.from('bread, chalk, tape') }]);
  const row = cameIn(page, 'shopping.mp4');
  await expect(row.getByRole('alert')).toContainText('no film that can be read');
  await row.getByRole('button', { name: 'Delete' }).click();
  await expect(row).toHaveCount(0);
});

test('an upload that is broken off goes on where it was, after the page was loaded anew', async ({
  page,
}, testInfo) => {
  await enter(page, 'coach', '/film/in');
  // A file on the disk: the same one when it is chosen again.
  const file = testInfo.outputPath('long.mp4');
  writeFileSync(file, Buffer.alloc(50_000_000, 'not a film, but long '));
  const offsets: string[] = [];
  page.on('request', (r) => {
    if (r.method() === 'PATCH') offsets.push(r.headers()['upload-offset']!);
  });
  // The first part goes through; then the line is dead, until the page has been loaded anew: what hangs in it is never let through.
  let isDead = true;
  await page.route('**/api/upload/*', (route) =>
    isDead && route.request().method() === 'PATCH' && route.request().headers()['upload-offset'] !== '0'
      ? undefined
      : route.continue(),
  );
  await choose(page, file);
  await expect(page.getByRole('region', { name: 'On the way' })).toContainText('32 MB of 50 MB');
  await expect.poll(() => offsets.at(-1)).toBe(String(PART_BYTES));
  await page.reload();
  await expect(page.getByRole('status')).toContainText('long.mp4: begun and not whole');
  isDead = false;
  offsets.length = 0;
  await choose(page, file);
  await expect(cameIn(page, 'long.mp4').getByRole('alert')).toBeVisible();
  // What of the second part came before the line died is not sent again either.
  expect(Number(offsets[0])).toBeGreaterThanOrEqual(PART_BYTES);
  await expect(page.getByText('begun and not whole')).toHaveCount(0);
});

test('a film in another’s place, and one with grades on it, are asked about first', async ({ page }) => {
  await enter(page, 'coach', '/film/in');
  await choose(page, [{ name: 'spare.webm', buffer: demo('05', 'sideline') }]);
  const row = cameIn(page, 'spare.webm');
  await row.getByRole('combobox', { name: 'Snap spare.webm shows' }).selectOption('2');
  await row.getByRole('combobox', { name: 'Angle of spare.webm' }).selectOption('sideline');
  await row.getByRole('button', { name: 'Show it there' }).click();
  await expect(row.getByRole('alertdialog')).toContainText(/has a film from there already, with \d grades/);
  await row.getByRole('button', { name: 'Do it' }).click();
  await expect(row.getByRole('link', { name: 'Watch' })).toBeVisible();
  await row.getByRole('button', { name: 'Delete' }).click();
  await expect(row.getByRole('alertdialog')).toContainText('They and the numbers of its frames stay');
  await row.getByRole('button', { name: 'Do it' }).click();
  await expect(row).toHaveCount(0);
  const [, second] = await snapsOf(page);
  expect(second!.graded.length).toBeGreaterThan(0);
});

test('films no name tells anything of go where the clocks of two cameras put them', async ({ page }) => {
  await enter(page, 'assistant', '/film');
  const made = await page.request.post('/api/games', { data: { opponent: 'Saltmarsh Union by the clock', week: 2 } });
  const { id: game } = (await made.json()) as { id: number };
  await page.goto('/film/in');
  await page.getByRole('combobox', { name: 'Game', exact: true }).selectOption(String(game));
  // The sideline's clock is a quarter of an hour behind, and it was pressed a moment earlier or later each time.
  const ends = ['14-01-10', '14-02-05', '14-02-51'];
  const sides = ['13-46-12', '13-47-04', '13-47-52'];
  const plays = ['12', '13', '14'];
  await choose(page, [
    ...plays.map((p, i) => ({
      name: `snap ${i + 1} end zone 2026-11-08 ${ends[i]}.webm`,
      buffer: demo(p, 'end-zone'),
    })),
    ...plays.map((p, i) => ({ name: `DSC_04${p} 2026-11-08 ${sides[i]}.webm`, buffer: demo(p, 'sideline') })),
  ]);
  for (const p of plays) await expect(cameIn(page, `DSC_04${p}`)).toContainText('30 frames a second');
  await page.getByRole('button', { name: /^Log snaps 1 to 3/ }).click();
  await page.getByRole('region', { name: 'Films the clock places' }).getByRole('button').click();
  for (const p of plays) await expect(cameIn(page, `DSC_04${p}`).getByRole('link', { name: 'Watch' })).toBeVisible();
  const snaps = (await (await page.request.get(`/api/games/${game}/snaps`)).json()) as { id: number; number: number }[];
  const { films } = (await (await page.request.get('/api/films')).json()) as {
    films: { name: string; snap: { id: number; angle: string } | null }[];
  };
  expect(
    plays.map((p) => {
      const shown = films.find((f) => f.name.startsWith(`DSC_04${p}`))!.snap!;
      return [snaps.find((s) => s.id === shown.id)!.number, shown.angle];
    }),
  ).toEqual([1, 2, 3].map((n) => [n, 'sideline']));
});

test('a game of one’s own begins here', async ({ page }) => {
  await enter(page, 'coach', '/film/in');
  await page.getByRole('button', { name: 'Another game' }).click();
  await page.getByRole('spinbutton', { name: 'Week' }).fill('1');
  await page.getByRole('textbox', { name: 'Opponent' }).fill('Saltmarsh Union');
  await page.getByRole('button', { name: 'Add the game' }).click();
  await expect(page.getByText('Nothing has come in for week 1, Saltmarsh Union')).toBeVisible();
  await choose(page, [{ name: 'play 1 EZ.webm', buffer: demo('06', 'end-zone') }]);
  await page.getByRole('button', { name: 'Log snap 1' }).click();
  await cameIn(page, 'play 1 EZ.webm').getByRole('link', { name: 'Watch' }).click();
  await expect(page.getByText('Snap 1:')).toBeVisible();
  const game = page.getByRole('combobox', { name: 'Game' });
  await expect(game.locator('option:checked')).toHaveText('Week 1, Saltmarsh Union');
  await game.selectOption('Week 5, Fennick Otters');
  await expect(page.getByRole('complementary', { name: 'Snaps' })).toContainText('graded');
  await expect(page.getByText(/^Snap \d+:/)).not.toHaveText('Snap 1:');
});

test('the keys are shown, and wait while they are', async ({ page }) => {
  await enter(page, 'coach', '/film');
  await page.goto(`/film/${(await snapsOf(page))[12]!.id}`);
  await expect(page.getByText('Snap 13:')).toBeVisible();
  await page.keyboard.press('Shift+?');
  const keys = page.getByRole('dialog', { name: 'Keys' });
  await expect(keys).toContainText('here is the snap');
  await page.keyboard.press('2');
  await page.keyboard.press('Escape');
  await expect(keys).toBeHidden();
  await expect(page.getByRole('region', { name: 'Marks of LG' })).toHaveCount(0);
});
