import { expect, test } from '@playwright/test';
import { enter } from './people';
import { stumbles } from './stumbles';
import { fileFrom, weekOf } from './weeks';

test('the week says what it asks, and each line leads to where it is done', async ({ page }) => {
  await enter(page, 'coach', '/week');
  const todo = page.getByRole('region', { name: 'To do' });
  await expect(todo.getByRole('listitem').filter({ hasText: 'not planned yet' })).toHaveCount(1);
  const weak = page.getByRole('region', { name: 'Weak pairs' });
  await expect(weak.getByRole('listitem')).toHaveCount(3);
  const hangs = page.getByRole('region', { name: 'On whom most of it hangs' });
  await expect(hangs.getByRole('listitem').first()).toContainText(/asked .*graded at it|asked .* good/);
  expect(await stumbles(page)).toEqual([]);
  await todo.getByRole('link', { name: 'Plan them' }).click();
  await expect(page).toHaveURL(/week\/practice/);
});

test('a play put into the plan is worked out against every look, and every man is told what it asks of him', async ({
  page,
}) => {
  await enter(page, 'coach', '/week/plan');
  const table = page.getByRole('region', { name: 'Plays against looks' });
  await expect(table.getByRole('row', { name: /^Power right/ })).toContainText('sound');
  const before = (await weekOf(page)).plan.body.plays.length;
  await page.getByRole('form', { name: 'One more play' }).getByRole('combobox', { name: 'Play' }).selectOption('iso');
  await page.getByRole('form', { name: 'One more play' }).getByRole('button', { name: 'Put it in' }).click();
  await expect(table.getByRole('row', { name: /^Isolation|^Iso/i })).toContainText(/sound|at risk|broken/);
  const men = page.getByRole('region', { name: 'Men in line order' });
  await expect(men.getByRole('article')).not.toHaveCount(0);
  await expect(men.getByRole('article').filter({ hasText: '61 Anselm Rook' })).toContainText(/asked about \d+ times/);
  await expect.poll(async () => (await weekOf(page)).plan.body.plays.length).toBe(before + 1);
  await page.reload();
  await table.getByRole('button', { name: /^Without Iso/i }).click();
  await expect.poll(async () => (await weekOf(page)).plan.body.plays.length).toBe(before);

  // What builds on another play is put in after it.
  const boxes = page.getByRole('region', { name: 'Putting them in' }).getByRole('combobox');
  await expect(boxes).toHaveCount(before);
  const first = (await boxes.first().getAttribute('aria-label'))!;
  await boxes.first().selectOption({ index: 1 });
  await expect(boxes.first()).not.toHaveAttribute('aria-label', first);
  await page.getByRole('combobox', { name: first }).selectOption({ index: 0 });
  await expect(boxes.first()).toHaveAttribute('aria-label', first);
});

test('where the plan does not hold stands with what mends it, and is opened on the board', async ({ page }) => {
  await enter(page, 'coach', '/week/plan');
  const first = page.getByRole('region', { name: 'Weak pairs' }).getByRole('listitem').first();
  // What would mend it is looked for in the background and comes when it is found.
  await expect(first.locator('b')).toHaveText(/^[A-Z]/);
  const verdict = (await first.getAttribute('class'))!.replace('-', ' ');
  expect(['at risk', 'broken']).toContain(verdict);
  const [play, front] = (await first.getByRole('link').textContent())!.split(' against ');
  await first.getByRole('link').click();
  await expect(page).toHaveURL(/walkthrough/);
  await expect(page.locator('main')).toContainText(new RegExp(verdict, 'i'));
  await expect(page.locator('main')).toContainText(play!.trim().split(' ')[0]!);
  await expect(page.locator('main')).toContainText(front!.trim().split(',')[0]!);
});

test('a play short of its gate is advised against, with the counts; walked through is counted apart', async ({
  page,
}) => {
  await enter(page, 'coach', '/week/practice');
  const gate = page.getByRole('spinbutton', { name: 'Quiz right, per cent' });
  const order = page.getByRole('region', { name: 'Putting them in' });
  const setGate = async (value: string): Promise<void> => {
    await page.goto('/week/practice');
    await page.getByRole('button', { name: 'Limits and habits' }).click();
    const kept = page.waitForResponse((r) => r.request().method() === 'PUT' && r.ok());
    await gate.fill(value);
    await gate.press('Tab');
    await kept;
    await page.goto('/week/plan');
    await expect(order.getByRole('listitem').first()).toContainText(/walked \d of 3; quiz \d+ of \d+/);
  };
  await setGate('100');
  await expect(order).toContainText(/quiz \d+ of \d+.*: cut it, or teach it once more/);
  await setGate('10');
  await expect(order).not.toContainText('cut it');
  await setGate('');
  await expect(order).not.toContainText('it may go into the game');

  await order.getByRole('link', { name: 'make the walk-through' }).click();
  await page.getByRole('combobox', { name: 'What kind of script' }).selectOption('walk-through');
  await page.getByRole('button', { name: 'Make it' }).click();
  const walk = page.getByRole('button', { name: /^Walk-through, \d+ reps$/ });
  await expect(walk).toHaveAttribute('aria-current', 'true');
  const rep = page.locator('.reps > li').first();
  await rep.getByRole('button', { name: 'good' }).click();
  await expect.poll(async () => (await weekOf(page)).marks.some((m) => m.script === 'walk-through-1')).toBe(true);
  await page.goto('/week/plan');
  await expect(order.getByRole('listitem').first()).toContainText('walked 1 of 3');
  await page.goto('/week/scripts');
  await walk.click();
  await page.getByRole('button', { name: 'throw this one away' }).click();
  await expect(walk).toHaveCount(0);
});

test('who of theirs wears which number is written beside the plan, and what is no number is refused', async ({
  page,
}) => {
  await enter(page, 'coach', '/week/plan');
  const theirs = page.getByRole('region', { name: 'Their men' });
  const number = theirs.getByRole('textbox', { name: 'Number of their RE' });
  await expect(number).toHaveValue('48');
  await number.fill('x');
  await number.press('Enter');
  await expect(theirs.getByRole('alert')).toContainText('Their RE:');
  await number.fill('84');
  await number.press('Enter');
  await expect.poll(async () => (await weekOf(page)).plan.body.theirs?.find((m) => m.id === 'RE')?.number).toBe(84);
  await number.fill('48');
  await number.press('Enter');
  await expect.poll(async () => (await weekOf(page)).plan.body.theirs?.find((m) => m.id === 'RE')?.number).toBe(48);
});

test('the week’s paper is one file with everything that was ticked', async ({ page }) => {
  await enter(page, 'coach', '/week/paper');
  for (const name of ['Wristband', 'Install sheets', 'Pocket cards', 'Bench sheet'])
    await page.getByRole('checkbox', { name }).check();
  const pdf = await fileFrom(page, () => page.getByRole('button', { name: 'Make the file' }).click());
  expect(pdf.subarray(0, 5).toString()).toBe('%PDF-');
  expect(pdf.toString('latin1').match(/\/Type \/Page\b/g)!.length).toBeGreaterThan(12);
  await page.getByRole('checkbox', { name: 'only what has changed' }).check();
  await page.getByRole('button', { name: 'Make the file' }).click();
  await expect(page.getByText('Nothing has changed since it was last made here.')).toBeVisible();
});
