import { expect, test } from '@playwright/test';

test('from a front to a graded snap and the number it makes', async ({ page }) => {
  await page.goto('/');
  await expect(page).toHaveURL(/login/);
  await page.getByRole('button', { name: /Maren Quill/ }).click();

  // What the week asks, and from there to a play against a front, with reasons.
  await expect(page).toHaveURL(/week/);
  await page.getByRole('link', { name: 'Walkthrough' }).click();
  await page.getByLabel('Play', { exact: true }).click();
  await page.getByRole('option', { name: 'Power', exact: true }).click();
  await page.getByLabel('Formation').click();
  await page.getByRole('listbox').getByRole('option', { name: 'H right' }).click();
  await expect(page.getByRole('status').first()).toContainText('Sound');
  const grid = page.getByRole('table', { name: 'Assignments' });
  await expect(grid.getByRole('row', { name: /^Block/ })).toContainText('Pull and lead');
  await page.keyboard.press('2');
  await expect(page.getByText('Why LG: Pull and lead M')).toBeVisible();
  await page.keyboard.press('3');
  await expect(page.getByText('Passed over (2)')).toBeVisible();
  await expect(page.getByText(/“the front is manned.*” is not called\./)).toBeVisible();

  // A snap of film, graded with keys.
  await page.getByRole('link', { name: 'Film' }).click();
  await expect(page.getByText('Snap 8:')).toBeVisible();
  const videos = page.locator('video');
  await expect(videos).toHaveCount(2);
  await expect.poll(() => videos.first().evaluate((v: HTMLVideoElement) => v.readyState)).toBeGreaterThan(1);
  await page.keyboard.press('4');
  await page.keyboard.press('a');
  await page.keyboard.press('Enter');
  await expect(page.getByText('Snap 9:')).toBeVisible();
  await expect(page.getByText('all marks saved')).toBeVisible();

  // The percentage, and the clip behind it.
  await page.getByRole('link', { name: 'Book' }).click();
  const line = page.getByRole('row', { name: /61 Anselm Rook/ });
  await line.getByRole('button', { name: /^61 Anselm Rook, Technique: \d+ %, \d+ of \d+/ }).click();
  await page.getByRole('link', { name: /Week 5, snap 8.*no movement/s }).click();
  await expect(page.getByText('Snap 8:')).toBeVisible();
  await expect(page.getByRole('table', { name: 'Grades' })).toContainText('no movement');
  await expect(page.getByRole('group', { name: 'Snaps behind a number' })).toContainText('61 Anselm Rook at RG');
});
