import { expect, type Page } from '@playwright/test';

/** Answers the question on the screen with whatever comes first, also after they have moved; the verdict is there when it returns. */
export async function answerQuiz(page: Page): Promise<void> {
  const picture = page.getByRole('group', { name: 'The picture' });
  await expect(page.getByText('Whom do you block?')).toBeVisible();
  await picture.getByRole('button').first().click();
  await page.getByRole('button', { name: 'alone' }).click();
  await page.getByRole('button', { name: 'nobody: stay on him' }).click();
  await page.getByRole('button', { name: 'left', exact: true }).click();
  // Shoulder, call and sentence are asked where there is one to say.
  const more = page.locator('.hands button');
  while (await more.count()) await more.first().click();
  const again = page.getByText(/^Now .* Whom do you block\?$/);
  if (await again.isVisible()) await picture.getByRole('button').first().click();
  await expect(page.getByText(/^(Right|Not yet)\.$/)).toBeVisible();
}
