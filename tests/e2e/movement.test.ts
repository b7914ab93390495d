import { expect, test } from '@playwright/test';
import { enter } from './people';

test('a movement is chosen in the sentence: the columns say what was and what is', async ({ page }) => {
  await enter(page, 'coach', '/walkthrough?play=power&formation=h-back');
  await page.getByRole('combobox', { name: 'After the snap' }).click();
  await page.getByRole('option', { name: 'LE crashes, W takes his place' }).click();
  const table = page.getByRole('table', { name: 'Assignments' });
  await expect(table.getByRole('row', { name: /^Was to/ })).toContainText('Double T, then W');
  await expect(page).toHaveURL(/moves=exchange(\+|%20)LE(\+|%20)W/);
  await expect(page.getByRole('heading', { name: 'When they move' })).toBeVisible();
  await page.getByRole('combobox', { name: 'After the snap' }).click();
  await page.getByRole('option', { name: 'stand still' }).click();
  await expect(table.getByRole('row', { name: /^Was to/ })).toHaveCount(0);
});

test('the play runs in time and is stepped like film', async ({ page }) => {
  await enter(page, 'coach', '/walkthrough?play=inside-zone-z1');
  const time = page.getByRole('group', { name: 'The play in time' });
  await expect(time).toContainText('Snap');
  await page.keyboard.press('.');
  await page.keyboard.press('.');
  await expect(time).toContainText('0.03 s');
  await page.keyboard.press(',');
  await expect(time).toContainText('0.02 s');
  await time.getByRole('button', { name: /ball at the line/ }).click();
  await expect(time).toContainText('1.60 s');
  await time.getByRole('slider').fill('0');
  await page.keyboard.press('Tab');
  await time.getByRole('button', { name: 'Run it' }).click();
  await expect(time).toContainText(/[1-9]\.\d\d s/);
});

test('a formation, or a man in motion, stands beside this one by numbers and by who is left', async ({ page }) => {
  await enter(page, 'coach', '/walkthrough?play=power&formation=h-left&front=over-walked');
  await page.getByRole('combobox', { name: 'Another line-up' }).selectOption({ label: 'H in motion across' });
  await expect(page.getByText('H in motion:', { exact: false })).toBeVisible();
  await expect(page.getByText(/Read or left|Nobody free in the box|Free in the box/).first()).toBeVisible();
});

test('a protection shows on the board which pressure beats it', async ({ page }) => {
  await enter(page, 'coach', '/walkthrough?play=pro-five-back&formation=pistol&front=over-two-high');
  await page.getByRole('button', { name: 'S through the right edge' }).click();
  await expect(page.getByText(/^S free, \d\.\d s$/)).toBeVisible();
});

test('a movement of somebody who is not there is refused with his name', async ({ page }) => {
  await enter(page, 'coach', '/walkthrough?moves=XX%20slant%20left');
  await expect(page.getByRole('alert')).toContainText('XX');
});

test('cut blocks carry their caution on the board and on the sheet', async ({ page }) => {
  await enter(page, 'coach', '/walkthrough?play=pro-quick&formation=pistol&tags=cut');
  await expect(page.getByRole('heading', { name: 'Care' })).toBeVisible();
  await page.goto('/rules/pro-quick');
  await expect(page.getByText('Care: cut.')).toBeVisible();
});

test('the matrix asks every front to move', async ({ page }) => {
  await enter(page, 'coach', '/matrix');
  await page.getByRole('combobox', { name: 'Family' }).click();
  await page.getByRole('option', { name: 'every gap' }).click();
  const sum = page.getByText(/\d+ of \d+ sound/);
  const still = await sum.innerText();
  await page.getByRole('combobox', { name: 'After the snap' }).click();
  await page.getByRole('option', { name: 'the line slants left' }).click();
  await expect(sum).not.toHaveText(still);
  await expect(page.getByRole('link', { name: /^Power against Over:/ })).toHaveAttribute('href', /moves=slant/);
});
