import { expect, test, type Page } from '@playwright/test';
import { readFileSync } from 'node:fs';
import { answerQuiz } from './answer-quiz';
import { enter } from './people';
import { stumbles } from './stumbles';

/** The demo's next game. */
const next = async (page: Page): Promise<number> =>
  ((await (await page.request.get('/api/weeks')).json()) as { next: { gameId: number } }).next.gameId;
const weekOf = async (page: Page) =>
  (await (await page.request.get(`/api/weeks/${await next(page)}`)).json()) as {
    plan: {
      body: {
        plays: { scheme: string; times: number }[];
        looks: { frontName: string }[];
        theirs?: { id: string; number: number | null }[];
      };
    };
    practice: {
      body: { days: { day: string; lines: { id: string; held: boolean; stations: { men: number[] }[] }[] }[] };
    };
    marks: { script: string; rep: number; good: boolean; missed: string[] }[];
  };
const fileFrom = async (page: Page, click: () => Promise<void>): Promise<Buffer> => {
  const [download] = await Promise.all([page.waitForEvent('download'), click()]);
  return readFileSync(await download.path());
};

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

test('a player sees his own snap on film, marks his block before he sees his coach’s mark, and it is kept', async ({
  browser,
}) => {
  const context = await browser.newContext({ viewport: { width: 390, height: 780 } });
  const page = await context.newPage();
  await enter(page, 'player', '/quiz');
  await page.getByRole('button', { name: 'on film' }).click();
  await expect(page.getByText('Whom do you block?')).toBeVisible();
  const film = page.getByLabel('Film from the end zone');
  const stands = (): Promise<number> => film.evaluate((v: HTMLVideoElement) => (v.paused ? v.currentTime : -1));
  await expect.poll(stands).toBeGreaterThan(0);
  const frozen = await stands();
  expect(await stumbles(page)).toEqual([]);
  expect(await page.evaluate(() => document.documentElement.scrollWidth <= window.innerWidth)).toBe(true);
  await expect(page.getByText('Your coach:')).toHaveCount(0);
  await page.locator('.men').getByRole('button').first().click();
  await expect.poll(() => film.evaluate((v: HTMLVideoElement) => v.currentTime)).toBeGreaterThan(frozen);
  await page.getByRole('button', { name: 'right man' }).click();
  await expect(page.getByText('Your coach:')).toHaveCount(0);
  await page.getByRole('button', { name: 'done well', exact: true }).click();
  await expect(page.getByText('Your coach: assignment')).toBeVisible();
  const last = async () => {
    const { answers } = (await (await page.request.get('/api/quiz')).json()) as { answers: { film: unknown }[] };
    return answers.at(-1)?.film ?? null;
  };
  await expect.poll(last).toMatchObject({ assignment: expect.any(Boolean), technique: expect.any(Boolean) });
  await page.getByRole('button', { name: 'Next' }).click();
  await expect(page.getByText('Whom do you block?')).toBeVisible();
  await context.close();
});

test('a player answers on his phone, goes on without a connection, and the coach sees what is not known', async ({
  browser,
}) => {
  const context = await browser.newContext({ viewport: { width: 390, height: 780 } });
  const page = await context.newPage();
  const answered = async (): Promise<number> => {
    const { answers } = (await (await page.request.get('/api/quiz')).json()) as { answers: unknown[] };
    return answers.length;
  };
  const coach = await (await browser.newContext()).newPage();
  await enter(coach, 'coach', '/week/quiz');
  const everybodys = async (): Promise<number> => {
    const results = await (await coach.request.get(`/api/weeks/${await next(coach)}/quiz`)).json();
    return (results as { of: number }[]).reduce((sum, r) => sum + r.of, 0);
  };
  const counted = await everybodys();
  await enter(page, 'player', '/quiz');
  const before = await answered();
  await answerQuiz(page);
  expect(await stumbles(page)).toEqual([]);
  expect(await page.evaluate(() => document.documentElement.scrollWidth <= window.innerWidth)).toBe(true);
  await context.setOffline(true);
  await page.getByRole('button', { name: 'Next' }).click();
  await answerQuiz(page);
  await expect(page.getByText('1 answer waits here to be sent.')).toBeVisible();
  await context.setOffline(false);
  await expect(page.getByText(/answers? waits? here/)).toHaveCount(0);
  expect(await answered()).toBe(before + 2);
  await context.close();
  await coach.reload();
  await expect(coach.getByText(/^\d+ answers, \d+ right in everything/)).toBeVisible();
  expect(await everybodys()).toBe(counted + 2);
  await coach.context().close();
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

test('a game is tapped with three taps a snap, without a connection too, and becomes the log', async ({ browser }) => {
  const context = await browser.newContext({ viewport: { width: 820, height: 1100 }, hasTouch: true });
  const page = await context.newPage();
  await enter(page, 'assistant', '/week/game');
  await expect(page.getByRole('group', { name: 'Call' }).getByRole('button').first()).toBeVisible();
  await context.setOffline(true);
  let taps = 0;
  const tap = async (group: string, name: string | RegExp): Promise<void> => {
    await page.getByRole('group', { name: group }).getByRole('button', { name, exact: true }).tap();
    taps++;
  };
  const signs = page.getByRole('group', { name: 'Their signs' });
  for (const [call, look, lost] of [
    ['Power right', 'Over', 'nobody'],
    ['Power right', 'Bear', 'C'],
    ['Duo right', 'Bear', 'nobody'],
  ] as const) {
    await tap('Call', call);
    await tap('Look', look);
    // Only where one of their signs was seen is there a fourth.
    if (look === 'Bear') await signs.getByRole('button', { name: 'cover both guards' }).tap();
    await tap('Who lost', lost);
  }
  expect(taps).toBe(9);
  await expect(page.getByText('3 snaps so far. 3 of them only on this device.')).toBeVisible();
  await expect(page.getByRole('region', { name: 'So far' })).toContainText('2 of 3');
  await expect(page.getByRole('region', { name: 'So far' })).toContainText('let go 1 time');
  // They show something else: two choices, and the men who do something else stand there.
  const other = page.getByRole('region', { name: 'They show something else' });
  await page.getByRole('combobox', { name: 'Which call' }).selectOption({ label: 'Duo right' });
  await page.getByRole('combobox', { name: 'What they show now' }).selectOption({ label: 'Odd' });
  await expect(other).toContainText(/\d do something else/);
  // The same by a word: "their linebackers are stacked now". Who does something else is drawn, and nobody else's way.
  await other.getByRole('button', { name: 'turned around' }).tap();
  await expect(other.getByRole('status')).toContainText(/\d do something else than against/);
  const changed = await other.locator('dt').allTextContents();
  expect(changed.length).toBeGreaterThan(0);
  await expect(other.locator('.blocker:not(.idle)')).toHaveCount(changed.length);
  await expect(other.locator('.path')).toHaveCount(changed.length);
  await context.setOffline(false);
  await page.getByRole('button', { name: 'Put them into the log' }).click();
  await expect(page.getByText('3 snaps so far.', { exact: false })).not.toContainText('only on this device');
  const game = Number(await page.getByRole('combobox', { name: 'Whose week' }).inputValue());
  const snaps = (await (await page.request.get(`/api/games/${game}/snaps`)).json()) as {
    id: number;
    number: number;
    logged: { said: string };
  }[];
  // The demo's next game is ahead again, for whoever asks for it.
  for (const { id } of snaps) expect((await page.request.delete(`/api/snaps/${id}`)).ok()).toBe(true);
  expect(snaps.map((s) => [s.number, s.logged.said])).toEqual([
    [1, ''],
    [2, 'Lost at the game: C. Seen before it: cover both guards'],
    [3, 'Seen before it: cover both guards'],
  ]);
  expect(await stumbles(page)).toEqual([]);
  await context.close();
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
