import { expect, test } from '@playwright/test';
import { enter } from './people';

const columns = (page: import('@playwright/test').Page) => page.getByRole('table', { name: 'Who has whom' });

test('a protection says what beats it, shows it on the board, and a mend is one click', async ({ page }) => {
  await enter(page, 'coach', '/protection?play=pro-half-slide&front=over-walked');
  await expect(columns(page).getByRole('row', { name: /^Has/ })).toContainText('LE');
  const side = page.getByRole('complementary', { name: 'What beats it and what mends it' });
  await expect(side.getByRole('heading', { name: 'What beats it' })).toBeVisible();
  const before = await page.getByText(/short against \d+ of/).innerText();
  await side.getByRole('button', { name: /^call it left/i }).click();
  await expect(page).toHaveURL(/side=left/);
  await expect(page.getByText(/short against \d+ of/)).not.toHaveText(before);
});

test('who comes is chosen by hand: the board says who takes him, or that he is free', async ({ page }) => {
  await enter(page, 'coach', '/protection?play=pro-five-back&front=over&rush=LE,N,T,RE');
  const rush = page.getByRole('group', { name: 'Who comes' });
  await expect(rush).toContainText('4 come');
  await expect(rush).toContainText('held');
  await rush.getByRole('button', { name: 'W', exact: true }).click();
  await expect(rush).toContainText('5 come');
  await expect(columns(page).getByRole('row', { name: /^Now takes/ })).toContainText('W');
  await rush.getByLabel('twist').selectOption('T,RE');
  await expect(rush).toContainText('RG and RT pass the twist off');
  await expect(page).toHaveURL(/twist=T(,|%2C)RE/);
  await page.reload();
  await expect(rush).toContainText('pass the twist off');
});

test('protections are compared on the same pressures, and one of them opens', async ({ page }) => {
  await enter(page, 'coach', '/protection');
  const table = page.getByRole('region', { name: 'Compared' });
  await expect(table.getByRole('row', { name: /^Everybody stays, left/ })).toContainText('holds');
  await table.getByLabel('their best rusher').selectOption('T');
  await expect(table.getByRole('columnheader', { name: 'On T' })).toBeVisible();
  await expect(table.getByRole('row', { name: /^Half slide, half man, right/ })).toContainText(/and|One man/);
  await table.getByRole('button', { name: 'fronts' }).click();
  await expect(table.getByRole('row', { name: /^Bear/ }).first()).toBeVisible();
  await table.getByRole('button', { name: 'protections' }).click();
  await table.getByRole('button', { name: 'Full slide, left' }).click();
  await expect(page).toHaveURL(/play=pro-full-slide&side=left/);
});

test('a run is no protection, and a front nobody can read leaves the board as it was', async ({ page }) => {
  await enter(page, 'coach', '/protection?play=power');
  await expect(page.getByRole('alert')).toContainText('protection "power"');
  await page.goto('/protection?front=T%203');
  await expect(page.getByRole('alert')).toContainText('needs a side');
  await expect(columns(page)).toBeVisible();
});

test('ratings typed by hand order the matchups and mark their best rusher', async ({ page }) => {
  await enter(page, 'coach', '/protection?play=pro-five-back&front=over');
  const matchups = page.getByRole('table', { name: 'Matchups' });
  await matchups.getByRole('combobox', { name: 'How good RE is' }).selectOption('5');
  await matchups.getByRole('combobox', { name: 'How good RT is' }).selectOption('2');
  await expect(matchups.getByRole('row').nth(1)).toContainText('needs help');
  await expect(page.getByRole('combobox', { name: 'their best rusher' })).toHaveValue('RE');
  await expect(page.getByText('Two on RE:')).toBeVisible();
  // They count on the page at once; the program has them once the server has.
  await expect
    .poll(async () => ((await (await page.request.get('/api/program')).json()) as { ratings?: unknown }).ratings)
    .toEqual({ ours: { RT: 2 }, theirs: { RE: 5 } });
  await page.reload();
  await expect(matchups.getByRole('row').nth(1)).toContainText('needs help');
});

test('the count goes onto an edge rusher by hand, and two men share two at the edge', async ({ page }) => {
  await enter(page, 'coach', '/protection?play=pro-full-slide&front=over-walked');
  await expect(page.getByText(/^RG and RT have RE and S between them: /)).toBeVisible();
  await page.goto('/protection?play=pro-five-back&front=over-walked');
  await page.getByRole('combobox', { name: 'Declared Mike' }).click();
  await page.getByRole('listbox').getByRole('option', { name: 'RE', exact: true }).click();
  await expect(page).toHaveURL(/mike=RE/);
});
