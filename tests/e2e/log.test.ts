import { readFileSync } from 'node:fs';
import { expect, test, type Page } from '@playwright/test';
import { enter } from './people';
import { stumbles } from './stumbles';

/** A game of its own, before the demo's. */
async function newGame(page: Page, opponent: string): Promise<number> {
  const made = await page.request.post('/api/games', { data: { opponent, week: 1 } });
  return ((await made.json()) as { id: number }).id;
}
interface Logged {
  number: number;
  call: { scheme: string; side: string; front: string };
  situation: Record<string, unknown>;
  logged: { said: string };
}
const logOf = async (page: Page, game: number): Promise<Logged[]> =>
  (await (await page.request.get(`/api/games/${game}/snaps`)).json()) as Logged[];

test('a game is logged snap by snap with the keyboard alone: what follows is there already', async ({ page }) => {
  await enter(page, 'assistant', '/film');
  const game = await newGame(page, 'Quillport Terns');
  await page.goto(`/film/log/${game}`);
  const call = page.getByLabel('The call as you say it');
  await expect(call).toBeFocused();
  await expect(page.getByText('No snap of week 1, Quillport Terns is logged.')).toBeVisible();

  await page.keyboard.type('Plough right');
  await page.keyboard.press('Tab');
  await expect(page.getByRole('combobox', { name: 'Play' })).toHaveValue('power');
  await page.getByLabel('Gained').fill('4');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('form', { name: 'Snap 2, new' })).toBeVisible();
  await expect(page.getByRole('spinbutton', { name: 'Distance' })).toHaveValue('6');
  await expect(page.getByRole('combobox', { name: 'Down' })).toHaveValue('2');

  // What cannot be read is said, and nothing is logged.
  await call.fill('Plogh right');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert')).toContainText('did you mean "plough"?');
  expect(await logOf(page, game)).toHaveLength(1);

  await call.fill('Ivy left');
  await page.getByLabel('Movement seen').selectOption({ label: 'the line slants left' });
  await page.getByLabel('Ball on').fill('own 35');
  await page.getByLabel('Gained').fill('9');
  const said = page.getByRole('textbox', { name: 'said' });
  await said.fill('Granite');
  await said.blur();
  // What was begun is still there after a reload.
  await page.reload();
  await expect(page.getByRole('form', { name: 'Snap 2, new' })).toBeVisible();
  await expect(page.getByRole('spinbutton', { name: 'Gained' })).toHaveValue('9');
  await expect(said).toHaveValue('Granite');
  await said.press('Enter');
  await expect(page.getByRole('form', { name: 'Snap 3, new' })).toBeVisible();
  await expect(page.getByLabel('Ball on')).toHaveValue('own 44');
  // Taken back it is in hand again as it was written, and logged once more.
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('form', { name: 'Snap 2, new' })).toBeVisible();
  await expect(said).toHaveValue('Granite');
  expect(await logOf(page, game)).toHaveLength(1);
  await said.press('Enter');
  await expect(page.getByRole('form', { name: 'Snap 3, new' })).toBeVisible();
  const [first, second] = await logOf(page, game);
  expect(first).toMatchObject({ call: { scheme: 'power', side: 'right' }, situation: { gain: 4, down: 1 } });
  expect(second).toMatchObject({ situation: { toGoal: 65, down: 2, gain: 9 }, logged: { said: 'Granite' } });
  expect(second!.call.front).toContain('slant left');

  // A correction runs on through what followed.
  await page.getByRole('button', { name: 'Change snap 1' }).click();
  await page.getByLabel('Gained').fill('7');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('row', { name: /^Change snap 2|^2 / })).toContainText('2nd and 3');
  expect(await stumbles(page)).toEqual([]);
});

test('who was on the field is said from a snap on, and a number two men wear is doubted', async ({ page }) => {
  await enter(page, 'coach', '/film');
  const game = await newGame(page, 'Graymoor Millers');
  await page.goto(`/film/log/${game}`);
  await expect(page.getByLabel('The call as you say it')).toBeFocused();
  for (const snap of [1, 2, 3]) {
    await page.keyboard.press('Enter');
    await expect(page.getByRole('form', { name: `Snap ${snap + 1}, new` })).toBeVisible();
  }
  const series = page.getByRole('region', { name: 'Series 1' });
  await series.getByRole('button', { name: 'somebody else' }).click();
  await series.getByLabel('from snap').fill('2');
  await series.getByLabel('Player').selectOption({ label: '66 Hale Corrin' });
  await series.getByLabel('Place').selectOption('LG');
  await series.getByRole('button', { name: 'He plays there' }).click();
  await expect(series).toContainText('from snap 2 Hale Corrin at LG');
  await series.getByRole('button', { name: 'somebody else' }).click();
  await series.getByLabel('Player').selectOption({ label: '66 Hale Corrin' });
  await series.getByLabel('Jersey number').fill('72');
  await series.getByRole('button', { name: 'He wears that' }).click();
  await expect(series.getByRole('status')).toContainText('Osric Tallow (LT) and Hale Corrin (LG) both wear 72.');

  // Taken back one after the other, also after a reload what is left is what was there.
  await page.locator('body').press('Control+z');
  await expect(series).not.toContainText('wears 72');
  await expect(series.getByRole('status')).toHaveCount(0);
  await expect(series).toContainText('from snap 2 Hale Corrin at LG');
  await page.locator('body').press('Control+z');
  await expect(series).not.toContainText('Hale Corrin at LG');
  await page.reload();
  await expect(series.getByRole('button', { name: 'somebody else' })).toBeVisible();
  await expect(series).not.toContainText('Hale Corrin');
  expect(await logOf(page, game)).toHaveLength(3);
});

test('a table is tried before it is written, and comes out as it went in', async ({ page }) => {
  await enter(page, 'coach', '/film');
  const game = await newGame(page, 'Saltmarsh Union');
  await page.goto(`/film/log/${game}`);
  await page.getByRole('button', { name: 'From a table' }).click();
  const table = 'Play No,Qtr,Weather,Play,Down,Yards\n1,1,rain,Power,1,4\n2,1,rain,Powr,2,3\n3,2,sun,duo,1,-2\n';
  await page
    .getByLabel('Log as a table')
    .setInputFiles({ name: 'log.csv', mimeType: 'text/csv', buffer: Buffer.from(table) });
  await expect(page.getByText('Row 3, Play: there is no play "Powr"; did you mean "Power".')).toBeVisible();
  await page.getByRole('button', { name: 'Try 2 snaps' }).click();
  await expect(page.getByText('2 snaps would be added, 0 snaps changed. Nothing is written yet.')).toBeVisible();
  expect(await logOf(page, game)).toHaveLength(0);
  await page.getByRole('button', { name: 'Write 2 snaps' }).click();
  await expect(page.getByRole('button', { name: 'Change snap 3' })).toBeVisible();
  const before = await logOf(page, game);
  expect(before.map((s) => [s.number, s.call.scheme, s.situation.gain])).toEqual([
    [1, 'power', 4],
    [3, 'duo', -2],
  ]);

  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'As a table (CSV)' }).click(),
  ]);
  expect(file.suggestedFilename()).toBe('log week 1 Saltmarsh Union.csv');
  const path = (await file.path())!;
  expect(readFileSync(path, 'utf8').split('\r\n')[0]).toContain('Snap,Series,Quarter,Down,Distance');
  await page.getByRole('button', { name: 'From a table' }).click();
  await page.getByLabel('Log as a table').setInputFiles(path);
  await page.getByRole('button', { name: 'Try 2 snaps' }).click();
  await expect(page.getByText('0 snaps would be added, 0 snaps changed.')).toBeVisible();

  // While something is being typed the key takes back letters; after that the whole table.
  const call = page.getByLabel('The call as you say it');
  await call.fill('Iv');
  await call.press('Control+z');
  await call.press('Escape');
  expect(await logOf(page, game)).toHaveLength(2);
  await expect(page.getByRole('button', { name: 'take back: 2 snaps of a table written' })).toBeVisible();
  await call.press('Control+z');
  await expect(page.getByText('No snap of week 1, Saltmarsh Union is logged.')).toBeVisible();
  expect(await logOf(page, game)).toHaveLength(0);
});
