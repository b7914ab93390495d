import { expect, test } from '@playwright/test';

test('from a front to a graded snap and the number it makes', async ({ page }) => {
  await page.goto('/');
  await expect(page).toHaveURL(/login/);
  await page.getByRole('button', { name: /Maren Quill/ }).click();

  // A play against a front, with reasons.
  await expect(page).toHaveURL(/walkthrough/);
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
  const marks = (
    (await (await page.request.get('/api/marks')).json()) as {
      blocker: string;
      snapNumber: number;
      grade: { technique: string; fault: string | null };
    }[]
  ).filter((m) => m.blocker === 'RG');
  expect(marks.find((m) => m.snapNumber === 8)?.grade).toMatchObject({ technique: 'minus', fault: 'no-movement' });
  const good = marks.filter((m) => m.grade.technique === 'plus').length;
  const technique = page.getByRole('button', {
    name: `RG 61 Anselm Rook, Technique: ${Math.round((100 * good) / marks.length)} %, ${good} of ${marks.length}`,
  });
  await technique.click();
  await page.getByRole('link', { name: /Snap 8.*no movement/ }).click();
  await expect(page.getByText('Snap 8:')).toBeVisible();
  await expect(page.getByRole('table', { name: 'Grades' })).toContainText('no movement');
});
