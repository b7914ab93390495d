import { execFileSync } from 'node:child_process';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, test } from '@playwright/test';
import { enter } from './people';
import { stumbles } from './stumbles';

/** Plays of the demo one after the other, as a camera that is stopped in between writes them. */
function recording(name: string, angle: string, snaps: readonly number[]): string {
  const file = join(mkdtempSync(join(tmpdir(), 'violet-chalk-')), name);
  const inputs = snaps.flatMap((n) => ['-i', `demo/film/snap-${String(n).padStart(2, '0')}-${angle}.webm`]);
  const joined = `concat=n=${snaps.length}:v=1:a=0`;
  const coded = ['-c:v', 'libx264', '-preset', 'ultrafast', '-pix_fmt', 'yuv420p', '-g', '15'];
  execFileSync('ffmpeg', ['-v', 'error', '-nostdin', '-y', ...inputs, '-filter_complex', joined, ...coded, file]);
  return file;
}

test('a recording of both angles is cut into snaps with the keyboard, made, logged and watched', async ({ page }) => {
  test.setTimeout(240_000);
  await enter(page, 'assistant', '/film');
  const made = await page.request.post('/api/games', { data: { opponent: 'Fennick Otters again', week: 2 } });
  const game = ((await made.json()) as { id: number }).id;
  await page.goto('/film/in');
  await page.getByRole('combobox', { name: 'Game' }).selectOption(String(game));
  const plays = [1, 2, 3, 4, 5, 6, 7];
  await expect(page.getByRole('button', { name: 'Choose clips' })).toBeEnabled();
  // The sideline camera missed the first play.
  await page
    .getByLabel('Films to bring in')
    .setInputFiles([
      recording('first half end zone.mp4', 'end-zone', plays),
      recording('first half sideline.mp4', 'sideline', plays.slice(1)),
    ]);
  const row = page.getByRole('listitem').filter({ hasText: 'first half end zone.mp4' });
  await expect(page.getByRole('link', { name: 'Cut into snaps' })).toHaveCount(2, { timeout: 90_000 });
  await row.getByRole('link', { name: 'Cut into snaps' }).click();
  await expect(page.getByText(/^[67] snaps suggested$/)).toBeVisible();

  // The last one is cut by hand, the others are taken as they are suggested.
  const cuts = page.getByRole('complementary', { name: 'Cuts' });
  await page.getByLabel('Number of the first snap').fill('1');
  await page.keyboard.press('Tab');
  await page.keyboard.press('Escape');
  for (let i = 0; i < plays.length; i++) await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Backspace');
  await cuts.getByRole('button', { name: /^Take all/ }).click();
  const { frames } = (
    (await (await page.request.get('/api/films')).json()) as { films: { name: string; facts: { frames: number } }[] }
  ).films.find((f) => f.name === 'first half end zone.mp4')!.facts;
  await page.getByLabel('Frame of the recording').fill(String(frames - 80));
  await page.keyboard.press('Tab');
  await page.keyboard.press('i');
  await page.keyboard.press('Shift+ArrowRight');
  await page.keyboard.press('s');
  for (let i = 0; i < 6; i++) await page.keyboard.press('Shift+ArrowRight');
  await page.keyboard.press('o');
  await expect(cuts.getByRole('listitem').last()).toContainText(/2\.\d s/);
  const count = await cuts.getByRole('listitem').count();
  expect(await stumbles(page)).toEqual([]);

  // Both show the second play's first frame: from there the sideline is cut along.
  await cuts.getByLabel('The other recording').selectOption({ label: 'first half sideline.mp4' });
  await page.getByLabel('Frame of the recording').fill('120');
  await expect(page.getByText('frame 120')).toBeVisible();
  await cuts.getByRole('button', { name: 'both show the same moment now' }).click();
  await expect(cuts).toContainText(
    new RegExp(`It shows the same 4\\.\\d\\d s earlier; ${count - 1} of ${count} are on it`),
  );
  await cuts.getByRole('button', { name: `Make ${2 * count - 1} films` }).click();
  await cuts.getByRole('link', { name: 'See them come in, and log them' }).click();
  await page.getByRole('combobox', { name: 'Game' }).selectOption(String(game));
  const ready = page
    .getByRole('listitem')
    .filter({ hasText: /snap \d+ (end zone|sideline)\.mp4/ })
    .filter({ hasText: 'frames a second' });
  await expect(ready).toHaveCount(2 * count - 1, { timeout: 120_000 });
  await page.getByRole('button', { name: /^Log snaps 1 to/ }).click();
  await page
    .getByRole('listitem')
    .filter({ hasText: 'snap 2 end zone.mp4' })
    .getByRole('link', { name: 'Watch' })
    .click();
  await expect(page.locator('video')).toHaveCount(2);
  await page.keyboard.press('j');
  await expect(page.getByText(/^frame [1-3]\d, 0.00 s after the snap/)).toBeVisible();
});
