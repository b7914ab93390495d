import { expect, test } from '@playwright/test';
import { enter } from './people';
import { stumbles } from './stumbles';

test('a game of the next opponent’s is watched for what he shows, nobody in it is graded, and it leads to the week he comes', async ({
  page,
}) => {
  await enter(page, 'assistant', '/film');
  await page
    .getByRole('combobox', { name: 'Game', exact: true })
    .selectOption('Week 5, Quillport Terns against Graymoor Millers');
  const shown = page.getByRole('region', { name: 'What the Quillport Terns show' });
  await expect(shown).toContainText('Neither line of it is graded');
  await expect(page.getByRole('region', { name: 'Film and grades' })).not.toContainText('everybody did his job');
  const slants = shown.getByRole('row', { name: /Over, tackle slants in/ });
  await expect(slants.getByRole('cell')).toHaveText(['2', '–', '2', '–']);
  // Keys that mark men do nothing here.
  await page.keyboard.press('a');
  await page.keyboard.press('+');
  const grades = await page.request.get(`/api/snaps/${/film\/(\d+)/.exec(page.url())![1]}`);
  expect(((await grades.json()) as { grades: unknown[] }).grades).toEqual([]);
  expect(await stumbles(page)).toEqual([]);

  await slants.getByRole('button').focus();
  await page.keyboard.press('Enter');
  const list = page.getByRole('complementary', { name: 'Snaps' });
  await expect(list.getByRole('listitem')).toHaveText([/2.*Over, tackle slants in/, /5.*Over, tackle slants in/]);
  await expect(page.getByText('Snap 2:')).toBeVisible();
  await shown.getByRole('link', { name: 'Measure this front' }).click();
  await expect(page.getByRole('heading', { name: /^Measure snap 2/ })).toBeVisible();
  await page.goBack();
  await shown.getByRole('link', { name: 'To the week’s plan' }).click();
  await expect(page.getByRole('region', { name: 'Plays against looks' })).toBeVisible();
});

test('another game of an opponent’s is named where its film comes in', async ({ page }) => {
  await enter(page, 'assistant', '/film/in');
  await page.getByRole('radio', { name: 'opponent' }).check();
  await expect(page.getByText('Film of an opponent belongs to a game of his')).toBeVisible();
  await page.getByRole('button', { name: 'Another game' }).click();
  await page.getByRole('spinbutton', { name: 'Week' }).fill('4');
  await page.getByRole('textbox', { name: 'Opponent', exact: true }).fill('Saltmarsh Union');
  await page.getByRole('textbox', { name: 'Against whom they play' }).fill('Quillport Terns');
  expect(await stumbles(page)).toEqual([]);
  await page.getByRole('button', { name: 'Add the game' }).click();
  const game = page.getByRole('combobox', { name: 'Game', exact: true });
  await expect(game.locator('option:checked')).toHaveText('week 4, Saltmarsh Union against Quillport Terns');
  await expect(page.getByRole('radio', { name: 'opponent' })).toBeChecked();
  // It is none of ours, and leaves as it came.
  await page.goto('/team/season');
  await expect(page.getByText('against Quillport Terns')).toHaveCount(0);
  const games = (await (await page.request.get('/api/games')).json()) as {
    id: number;
    theirs?: string;
    week: number;
  }[];
  const made = games.find((g) => g.theirs && g.week === 4)!;
  expect((await page.request.delete(`/api/games/${made.id}`)).ok()).toBe(true);
});
