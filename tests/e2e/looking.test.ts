import { readFileSync } from 'node:fs';
import { expect, test, type Page } from '@playwright/test';
import { enter, snapsOf } from './people';
import { stumbles } from './stumbles';

const loaded = (page: Page): Promise<void> =>
  expect
    .poll(() =>
      page.locator('video').evaluateAll((all) => all.filter((v) => (v as HTMLVideoElement).readyState > 1).length),
    )
    .toBe(2);
const clean = async (page: Page): Promise<void> => {
  expect(await stumbles(page)).toEqual([]);
};

test('snaps are cut by man and block, kept under a name, sent as an address, and shown one after the other', async ({
  page,
}) => {
  await enter(page, 'coach', '/film');
  const snaps = await snapsOf(page);
  await page.goto(`/film/${snaps[2]!.id}`);
  const list = page.getByRole('complementary', { name: 'Snaps' });
  const numbers = () => list.getByRole('listitem').evaluateAll((all) => all.map((li) => parseInt(li.innerText, 10)));
  await page.getByLabel('Only those by').selectOption('man');
  await page.getByLabel('man', { exact: true }).selectOption('RG');
  await page.getByLabel('Only those by').selectOption('block');
  await page.getByLabel('block', { exact: true }).selectOption({ label: 'pull and lead (4)' });
  await expect(page).toHaveURL(/man=RG&block=pull/);
  const cut = await numbers();
  expect(cut).toHaveLength(4);
  await list.getByRole('button', { name: 'keep this cut' }).click();
  await list.getByLabel('Name of the cut').fill('Pulls of the right guard');
  await list.getByRole('button', { name: 'keep', exact: true }).click();
  await expect(list.getByLabel('Kept cut')).toContainText('Pulls of the right guard');
  await list.getByRole('button', { name: 'all snaps' }).click();
  await expect.poll(async () => (await numbers()).length).toBe(snaps.length);
  await list.getByLabel('Kept cut').selectOption({ label: 'Pulls of the right guard' });
  await expect.poll(numbers).toEqual(cut);
  await expect(page).toHaveURL(/man=RG&block=pull/);
  await page.reload();
  await expect.poll(numbers).toEqual(cut);
  await list.getByRole('listitem').nth(1).getByRole('link').click();
  await expect(page.getByText(`Snap ${cut[1]}:`)).toBeVisible();
  await page.keyboard.press('ArrowDown');
  await expect(page.getByText(`Snap ${cut[2]}:`)).toBeVisible();
  await loaded(page);
  await page.keyboard.press('r');
  await expect(page.getByText(`Snap ${cut[3]}:`)).toBeVisible();
  // The last one ends it.
  await expect(page.getByRole('button', { name: 'r in a row' })).toHaveAttribute('aria-pressed', 'false');
  await list.getByRole('button', { name: 'drop it' }).click();
});

test('film is drawn and written on without a mouse, kept, and goes out as captions and as a picture', async ({
  page,
}) => {
  await enter(page, 'coach', '/film');
  const snap = (await snapsOf(page))[11]!;
  await page.goto(`/film/${snap.id}`);
  await loaded(page);
  for (let i = 0; i < 12; i++) await page.keyboard.press('ArrowRight');
  await page.keyboard.press('i');
  await page.keyboard.press('4');
  await page.keyboard.press('Shift+ArrowLeft');
  await page.keyboard.press('Enter');
  await page.keyboard.press('w');
  await page.keyboard.type('His eyes are on the ball');
  await page.keyboard.press('Enter');
  const notes = page.getByRole('region', { name: 'Written on the film' });
  await expect(notes.getByRole('button', { name: 'end zone 12 His eyes are on the ball' })).toBeVisible();
  await expect(page.locator('svg.over circle').first()).toBeVisible();
  await page.reload();
  await loaded(page);
  await expect(page.locator('svg.over circle')).toHaveCount(0);
  await notes.getByRole('button', { name: 'end zone 12 His eyes are on the ball' }).click();
  await expect(page.locator('svg.over circle').first()).toBeVisible();
  await clean(page);

  const file = async (button: string): Promise<{ name: string; bytes: Buffer }> => {
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      notes.getByRole('button', { name: button }).click(),
    ]);
    return { name: download.suggestedFilename(), bytes: readFileSync((await download.path())!) };
  };
  const captions = await file('as captions (WebVTT)');
  expect(captions.name).toBe('week 5 snap 12 end zone.vtt');
  expect(captions.bytes.toString()).toMatch(
    /^WEBVTT .*\n\nNOTE drawn \[.*"spot".*\]\n\n00:00:00.400 --> 00:00:01.433\nHis eyes/,
  );
  const picture = await file('this frame as a picture');
  expect(picture.name).toBe('week 5 snap 12 end zone frame 12.png');
  expect(picture.bytes.subarray(1, 4).toString()).toBe('PNG');
  expect(picture.bytes.readUInt32BE(16)).toBe(960);

  // Players see only what is meant for them.
  const seen = async (role: 'player' | 'coach') => {
    await enter(page, role, '/walkthrough');
    return ((await (await page.request.get(`/api/snaps/${snap.id}`)).json()) as { notes: unknown[] }).notes.length;
  };
  expect([await seen('player'), await seen('coach')]).toEqual([0, 1]);
  await page.goto(`/film/${snap.id}`);
  await notes.getByRole('button', { name: 'change' }).click();
  await page.getByLabel('players see it').check();
  await notes.getByRole('button', { name: 'Keep' }).click();
  await expect(notes).toContainText('players see it');
  expect(await seen('player')).toBe(1);
  await enter(page, 'coach', `/film/${snap.id}`);
  await notes.getByRole('button', { name: 'change' }).click();
  await notes.getByRole('button', { name: 'Delete' }).click();
  await expect(notes).toHaveCount(0);
});

test('for the room there are no grades, and no key gives one', async ({ page }) => {
  await enter(page, 'coach', '/film');
  const snap = (await snapsOf(page))[12]!;
  await page.goto(`/film/${snap.id}`);
  await loaded(page);
  const before = (await snapsOf(page))[12]!.graded;
  await page.keyboard.press('u');
  await expect(page.getByRole('table', { name: 'Grades' })).toHaveCount(0);
  await expect(page.getByRole('complementary', { name: 'Snaps' })).toHaveCount(0);
  for (const key of ['2', 'w', 'x', 'Enter', 'Shift+J']) await page.keyboard.press(key);
  await expect(page.getByText('Snap 13:')).toBeVisible();
  await page.keyboard.press('u');
  await expect(page.getByRole('table', { name: 'Grades' })).toBeVisible();
  expect((await snapsOf(page))[12]!.graded).toEqual(before);
});

test('the board runs what was asked while the film runs what was done', async ({ page }) => {
  await enter(page, 'coach', '/film');
  await page.goto(`/film/${(await snapsOf(page))[2]!.id}`);
  await loaded(page);
  await page.keyboard.press('b');
  const board = page.getByRole('figure', { name: 'What was asked, on the board' });
  const guard = board.locator('g.blocker', { hasText: 'LG' });
  await expect(guard).toBeVisible();
  await page.keyboard.press('j');
  const stood = (await guard.boundingBox())!;
  for (let i = 0; i < 4; i++) await page.keyboard.press('Shift+ArrowRight');
  await expect.poll(async () => (await guard.boundingBox())!.x - stood.x).toBeGreaterThan(20);
  await clean(page);
  await page.keyboard.press('b');
  await expect(board).toHaveCount(0);
});

test('two reps of a man are locked at his own first contact and step together', async ({ page }) => {
  await enter(page, 'coach', '/film');
  const snaps = await snapsOf(page);
  await page.goto(`/film/${snaps[2]!.id}`);
  await loaded(page);
  await expect(page.getByRole('button', { name: 'Mark RG' })).toBeVisible();
  await page.keyboard.press('4');
  await page.keyboard.press('Shift+B');
  await expect(page.getByRole('button', { name: /held: now the other rep/ })).toBeVisible();
  await page.goto(`/film/${snaps[7]!.id}`);
  await loaded(page);
  await expect(page.getByRole('button', { name: 'Mark RG' })).toBeVisible();
  await page.keyboard.press('4');
  await page.keyboard.press('Shift+B');
  await expect(page.getByRole('heading', { name: 'RG, two reps' })).toBeVisible();
  await loaded(page);
  const after = () =>
    page
      .getByText(/s after the snap; he meets his man [\d.]+ s after it/)
      .evaluateAll((all) => all.map((p) => [...p.textContent!.matchAll(/([\d.]+) s/g)].map((m) => Number(m[1]))));
  await expect
    .poll(async () => (await after()).map(([now, meets]) => Math.abs(now! - meets!) < 0.02))
    .toEqual([true, true]);
  const [one, two] = (await after()) as [number[], number[]];
  await page.keyboard.press('Shift+ArrowRight');
  await expect
    .poll(async () => (await after()).map(([now]) => now))
    .toEqual([one, two].map(([now]) => expect.closeTo(now! + 1 / 3, 1)));
  const times = () => page.locator('video').evaluateAll((all) => all.map((v) => (v as HTMLVideoElement).currentTime));
  const [first, second] = (await times()) as [number, number];
  expect(second - first).toBeCloseTo(two[1]! - one[1]!, 1);
  await clean(page);
});
