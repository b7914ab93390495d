import { expect, test } from '@playwright/test';
import { readFileSync } from 'node:fs';
import { enter } from './people';
import { stumbles } from './stumbles';
import { fileFrom, weekOf } from './weeks';

test('a week is planned in one tap, its lines move by keyboard and by mouse, and who is away is in no group', async ({
  page,
}) => {
  await enter(page, 'coach', '/week/practice');
  await page.getByRole('button', { name: 'Plan the whole week' }).click();
  const days = page.locator('.days > section');
  await expect(days.nth(1).getByRole('listitem').first()).toBeVisible();
  await expect.poll(async () => (await weekOf(page)).practice.body.days.every((d) => d.lines.length > 3)).toBe(true);
  const linesOf = async (at: number): Promise<string[]> =>
    (await weekOf(page)).practice.body.days[at]!.lines.map((l) => l.id);
  const first = await linesOf(1);
  await days.nth(1).getByRole('button', { name: /^Move/ }).nth(1).focus();
  await page.keyboard.press('Alt+ArrowUp');
  await expect.poll(() => linesOf(1)).toEqual([first[1], first[0], ...first.slice(2)]);
  const grips = days.nth(1).getByRole('button', { name: /^Move/ });
  await grips.nth(2).scrollIntoViewIfNeeded();
  const [from, to] = [(await grips.nth(2).boundingBox())!, (await grips.nth(0).boundingBox())!];
  await page.mouse.move(from.x + 10, from.y + 8);
  await page.mouse.down();
  await page.mouse.move(from.x + 10, from.y - 20, { steps: 6 });
  await page.mouse.move(to.x + 10, to.y + 2, { steps: 12 });
  await page.mouse.up();
  await expect.poll(async () => (await linesOf(1)).indexOf(first[2]!)).toBeLessThan(2);
  await days.nth(1).getByRole('button', { name: /here/ }).first().click();
  await page.getByRole('radiogroup', { name: '64 Bram Wicken' }).getByRole('radio', { name: 'away' }).click();
  await expect(days.nth(1).getByRole('alert')).toContainText('In a group and not there: 64 Bram Wicken.');
  await page
    .getByRole('radiogroup', { name: '64 Bram Wicken' })
    .getByRole('radio', { name: 'here', exact: true })
    .click();
  await expect(days.nth(1).getByRole('alert')).toHaveCount(0);
  expect(await stumbles(page)).toEqual([]);
});

test('practice goes out as a page a day and as a calendar', async ({ page }) => {
  await enter(page, 'coach', '/week/practice');
  const pdf = await fileFrom(page, () => page.getByRole('button', { name: 'PDF' }).click());
  expect(pdf.subarray(0, 5).toString()).toBe('%PDF-');
  const text = (await fileFrom(page, () => page.getByRole('button', { name: 'Calendar' }).click())).toString();
  expect(text).toContain('BEGIN:VCALENDAR');
  expect(text.match(/BEGIN:VEVENT/g)).toHaveLength(3);
});

test('a script is made, a rep is marked with one tap and the man with the second', async ({ page }) => {
  await enter(page, 'assistant', '/week/scripts');
  await page.getByRole('combobox', { name: 'What kind of script' }).selectOption('pick-up');
  await page.getByRole('button', { name: 'Make it' }).click();
  await expect(page.getByRole('button', { name: 'Pass pick-up, 12 reps' })).toHaveAttribute('aria-current', 'true');
  const rep = page.locator('.reps > li').nth(2);
  await rep.getByRole('button', { name: 'not' }).click();
  await rep.getByRole('button', { name: 'LT' }).click();
  await expect
    .poll(async () => (await weekOf(page)).marks.find((m) => m.script === 'pick-up-1'))
    .toMatchObject({ rep: 2, good: false, missed: ['LT'] });
  await page.reload();
  await page.getByRole('button', { name: 'Pass pick-up, 12 reps' }).click();
  await expect(page.getByText('Missed by: LT 1.')).toBeVisible();
  await page.getByRole('button', { name: 'throw this one away' }).click();
  await expect(page.getByRole('button', { name: 'Pass pick-up, 12 reps' })).toHaveCount(0);
});

test('practice film joins the reps of a script in order, and is put right with one tap', async ({ page }) => {
  await enter(page, 'coach', '/film/in');
  const clip = readFileSync('demo/film/snap-03-end-zone.webm');
  await page.getByRole('radio', { name: 'practice' }).check();
  await expect(page.getByRole('button', { name: 'Choose clips' })).toBeEnabled();
  const names = ['reps 1.webm', 'reps 2.webm'];
  // A film whose bytes are here already is refused, and other tests bring in the same clip: each ends in its own way.
  const buffers = [0x01, 0x02].map((own) => Buffer.concat([clip, Buffer.from([0xec, 0x81, own])]));
  await page
    .getByLabel('Films to bring in')
    .setInputFiles(names.map((name, i) => ({ name, mimeType: 'video/webm', buffer: buffers[i]! })));
  const cameIn = page.getByRole('region', { name: 'What came in' }).getByRole('listitem');
  for (const name of names) await expect(cameIn.filter({ hasText: name })).toContainText('30 frames a second');

  await page.goto('/week/scripts');
  await page.getByRole('combobox', { name: 'What kind of script' }).selectOption('inside run');
  const made = page.getByRole('navigation', { name: 'Scripts' }).getByRole('button', { name: 'Inside run, 12 reps' });
  await expect(made).not.toHaveCount(0);
  const before = await made.count();
  await page.getByRole('button', { name: 'Make it' }).click();
  await expect(made).toHaveCount(before + 1);
  await page.getByRole('combobox', { name: 'The first rep is on' }).selectOption('reps 1.webm');
  await page.getByRole('button', { name: 'Join practice film in order' }).click();
  const shows = page.getByRole('button', { name: 'film', exact: true });
  await expect(shows).toHaveCount(2);
  await shows.first().click();
  const film = page.getByLabel('Rep 1 on film');
  await expect.poll(() => film.evaluate((v: HTMLVideoElement) => v.readyState)).toBeGreaterThan(0);
  expect(await stumbles(page)).toEqual([]);
  await page.getByRole('button', { name: 'this rep was not filmed' }).click();
  await expect(page.getByLabel('Rep 1 on film')).toHaveCount(0);
  await expect(shows).toHaveCount(2);
  await page.reload();
  await made.last().click();
  await expect(shows).toHaveCount(2);
  await page.getByRole('button', { name: 'take it off again' }).click();
  await expect(shows).toHaveCount(0);
  await page.getByRole('button', { name: 'throw this one away' }).click();
  const { films } = (await (await page.request.get('/api/films')).json()) as { films: { id: number; kind: string }[] };
  for (const f of films.filter((one) => one.kind === 'practice')) await page.request.delete(`/api/films/${f.id}`);
});

test('a drill is made the program’s own, and stands in the library from then on', async ({ page }) => {
  await enter(page, 'coach', '/week/drills?drill=push-pull');
  await page.getByRole('button', { name: 'Make it our own' }).click();
  await page.getByRole('textbox', { name: 'Name' }).fill('Tug and sit');
  await page.getByRole('button', { name: /Keep it beside/ }).click();
  await expect(page.getByRole('heading', { name: 'Tug and sit' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Change it' })).toBeVisible();
  await page.getByRole('searchbox', { name: 'Find a drill' }).fill('tug');
  await expect(page.getByRole('navigation', { name: 'Drills' }).getByRole('listitem')).toHaveCount(1);
});
