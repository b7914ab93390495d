import { expect, test } from '@playwright/test';
import { enter } from './people';

test.beforeEach(async ({ page }) => {
  await enter(page, 'coach', '/walkthrough');
  await expect(page.getByRole('table', { name: 'Assignments' })).toBeVisible();
});

test('a defender moves by keyboard in half feet, and undo brings him back', async ({ page }) => {
  const tackle = page.getByRole('button', { name: /^T, 3,/ });
  await tackle.focus();
  for (let i = 0; i < 2; i++) await page.keyboard.press('ArrowLeft');
  await expect(page.getByRole('button', { name: /^T, 2,/ })).toBeFocused();
  await expect(page).toHaveURL(/front=LE\+5\+left|front=LE%205%20left/);
  await page.reload();
  await expect(page.getByRole('button', { name: /^T, 2,/ })).toBeVisible();
  await page.getByRole('button', { name: /^T, 2,/ }).focus();
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('button', { name: /^T, 2,/ })).toBeVisible();
});

test('a defender is dragged by mouse, and everything is worked out again', async ({ page }) => {
  const end = page.getByRole('button', { name: /^LE, 5, read/ });
  const box = (await end.boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2 + 56, box.y + box.height / 2, { steps: 6 });
  await page.mouse.up();
  await expect(page.getByRole('button', { name: /^LE, 4i, single/ })).toBeVisible();
  await page.getByRole('button', { name: /undo/ }).click();
  await expect(page.getByRole('button', { name: /^LE, 5, read/ })).toBeVisible();
});

test('tags change the answer', async ({ page }) => {
  await page.getByRole('button', { name: 'secure', exact: true }).click();
  await expect(page.getByRole('table', { name: 'Assignments' }).getByRole('row', { name: /^On/ })).toContainText('LE');
  await expect(page.getByRole('button', { name: /^LE, 5, single/ })).toBeVisible();
});

test('shows every man’s why on demand', async ({ page }) => {
  await page.keyboard.press('y');
  await expect(page.getByRole('row', { name: /^Why/ })).toContainText('When I am covered: drive him');
});

test('an address nobody can line up says what is wrong and keeps a board', async ({ page }) => {
  await page.goto('/walkthrough?front=T%203%20right;%20N%203%20right');
  await expect(page.getByRole('alert')).toContainText('T and N stand on one spot');
  await expect(page.getByRole('button', { name: /^LE, 5/ })).toBeVisible();
  await page.goto('/walkthrough?play=flea-flicker&side=up');
  await expect(page.getByRole('alert')).toContainText('"flea-flicker"');
});

test('one man too many has answers with their costs, and one of them is done', async ({ page }) => {
  await enter(page, 'coach', '/walkthrough?play=duo&formation=five-man&front=odd-fours');
  await expect(page.getByRole('heading', { name: /is one more than you have$/ })).toBeVisible();
  await expect(page.getByText(/has to hold him for \d\.\d s/)).toBeVisible();
  await page.getByRole('button', { name: /^Bring a tight end/ }).click();
  await expect(page.getByRole('table', { name: 'Assignments' })).toContainText('Y');
});

test('the man in hand has his technique and his pocket card beside the board', async ({ page }) => {
  await enter(page, 'coach', '/walkthrough?play=power&formation=h-back&front=over');
  await expect(page.getByRole('table', { name: 'Assignments' })).toContainText('Kick');
  await page.keyboard.press('4');
  await expect(page.getByText('near armpit, from under', { exact: true })).toBeVisible();
  await expect(page.getByText('Pocket card of RG')).toBeVisible();
  await page.keyboard.press('5');
  await expect(page.getByText('Pocket card of RT')).toBeVisible();
  await expect(page.getByRole('row', { name: /^T slants in/ })).toBeVisible();
});
