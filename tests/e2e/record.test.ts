import { expect, test } from '@playwright/test';
import { enter } from './people';

test('how long whoever left is known is chosen by keyboard, counts only once it is said so, and is written down', async ({
  page,
}) => {
  const keptNow = async (): Promise<number | null> =>
    ((await (await page.request.get('/api/program')).json()) as { keepLeft?: number | null }).keepLeft ?? null;
  await enter(page, 'coach', '/team/record');
  const keeping = page.getByRole('region', { name: 'How long records are kept' });
  const choice = keeping.getByRole('combobox');
  await expect(choice).toHaveValue('until somebody erases it');
  await choice.focus();
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('ArrowDown');
  await expect(choice).toHaveValue('12');
  expect(await keptNow()).toBeNull();

  const keep = keeping.getByRole('button', { name: 'Keep it so from now on' });
  await page.keyboard.press('Tab');
  await expect(keep).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(keep).toHaveCount(0);
  expect(await keptNow()).toBe(12);
  await page.reload();
  await expect(choice).toHaveValue('12');
  await expect(page.getByText('changed how long whoever left is known: a year after he left')).toBeVisible();

  await choice.selectOption({ label: 'until somebody erases it' });
  await keep.click();
  await expect(keep).toHaveCount(0);
  expect(await keptNow()).toBeNull();
});
