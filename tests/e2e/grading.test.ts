import { expect, test } from '@playwright/test';
import { readFile } from 'node:fs/promises';
import { holdUp } from './held-up';
import { enter, snapsOf } from './people';
import { stumbles } from './stumbles';

test('a snap takes one key when all did their job, about three for an exception, and one for the next', async ({
  page,
}) => {
  await enter(page, 'coach', '/film');
  const snap = (await snapsOf(page))[13]!;
  await page.goto(`/film/${snap.id}`);
  await expect(page.getByRole('button', { name: 'Mark LG' })).toBeVisible();
  for (const key of ['4', 's', 'Enter']) await page.keyboard.press(key);
  await expect(page.getByText('Snap 15:')).toBeVisible();
  await expect(page.getByText('all marks saved')).toBeVisible();
  const graded = (await snapsOf(page))[13]!.graded as unknown as { blocker: string; grade: { faults: string[] } }[];
  expect(graded).toHaveLength(snap.asked.length);
  expect(graded.filter((g) => g.grade.faults.length)).toHaveLength(1);
});

test('keys pressed before the next snap is there go to that one, and undo brings everything back', async ({ page }) => {
  await enter(page, 'coach', '/film');
  const snaps = await snapsOf(page);
  await holdUp(page, `/api/snaps/${snaps[15]!.id}`, 'goes on');
  await page.goto(`/film/${snaps[14]!.id}`);
  await expect(page.getByRole('button', { name: 'Mark LG' })).toBeVisible();
  await page.keyboard.press('Enter');
  for (const key of ['2', 'x']) await page.keyboard.press(key);
  await expect(page.getByText('Snap 16:')).toBeVisible();
  await expect(page.getByText('all marks saved')).toBeVisible();
  await expect.poll(async () => (await snapsOf(page))[15]!.graded.map((g) => g.blocker)).toEqual(['LG']);
  await page.getByText('Parts of the block, outcome, facts').click();
  await page.getByRole('button', { name: 'who marked what, and when' }).click();
  await expect(page.getByRole('list', { name: 'Changes of his mark' })).toContainText(
    'no mark → assignment right, technique minus',
  );
  await page.getByText('Parts of the block, outcome, facts').click();
  await page.keyboard.press('Control+z');
  await expect.poll(async () => (await snapsOf(page))[15]!.graded).toEqual([]);
  await page.keyboard.press('Control+z');
  await expect(page.getByText('Snap 15:')).toBeVisible();
  await expect.poll(async () => (await snapsOf(page))[14]!.graded).toEqual([]);
});

test('keys meant for a snap that cannot be opened are given to no other', async ({ page }) => {
  await enter(page, 'coach', '/film');
  const snaps = await snapsOf(page);
  await holdUp(page, `/api/snaps/${snaps[17]!.id}`, 'fails');
  await page.goto(`/film/${snaps[16]!.id}`);
  await expect(page.getByRole('button', { name: 'Mark LG' })).toBeVisible();
  await page.keyboard.press('ArrowDown');
  for (const key of ['2', 'x']) await page.keyboard.press(key);
  await expect(page.getByRole('alert')).toContainText('The server cannot be reached');
  await page.keyboard.press('3');
  await page.keyboard.press('x');
  await expect(page.getByText('all marks saved')).toBeVisible();
  await expect.poll(async () => (await snapsOf(page))[16]!.graded.map((g) => g.blocker)).toEqual(['C']);
  await page.keyboard.press('Control+z');
  await expect.poll(async () => (await snapsOf(page))[16]!.graded).toEqual([]);
});

test('what the film proposes stands beside, and is taken by one key; the Book counts its hits', async ({ page }) => {
  await enter(page, 'coach', '/film');
  const snap = (await snapsOf(page))[7]!;
  await page.goto(`/film/${snap.id}`);
  await expect(page.getByRole('row', { name: /^Film says right/ })).toBeVisible();
  expect(snap.graded).toEqual([]);
  await page.keyboard.press('Shift+Y');
  await expect(page.getByText('Snap 9:')).toBeVisible();
  await expect(page.getByText('all marks saved')).toBeVisible();
  expect((await snapsOf(page))[7]!.graded).toHaveLength(snap.asked.length);
  await page.goto('/book?by=man&opponent=Fennick%20Otters');
  await expect(page.getByRole('columnheader', { name: 'Film said so' })).toBeVisible();
  // Other tests begin at the first snap that is not graded.
  const view = (await (await page.request.get(`/api/snaps/${snap.id}`)).json()) as {
    revision: number;
    grades: { blocker: string; revision: number }[];
  };
  const entries = view.grades.map(({ blocker, revision }) => ({
    ...{ entry: crypto.randomUUID(), blocker, base: revision, grade: null },
  }));
  const taken = await page.request.put(`/api/snaps/${snap.id}/grades`, {
    data: { snapRevision: view.revision, entries },
  });
  expect(taken.status()).toBe(200);
});

test('nothing moves under the hand while a snap is still coming in', async ({ page }) => {
  await enter(page, 'coach', '/film');
  const snap = (await snapsOf(page))[7]!;
  await page.addInitScript(() => {
    const seen: Record<string, number[]> = {};
    Object.assign(window, { seenAt: seen });
    const look = (): void => {
      for (const hand of document.querySelectorAll('[aria-label="Film and grades"] button')) {
        // What is folded away has no place yet, or one it has not come to.
        if (!hand.checkVisibility()) continue;
        const name = hand.getAttribute('aria-label') ?? hand.textContent.trim();
        const y = Math.round(hand.getBoundingClientRect().y);
        if (seen[name]?.at(-1) !== y) (seen[name] ??= []).push(y);
      }
      requestAnimationFrame(look);
    };
    requestAnimationFrame(look);
  });
  await page.goto(`/film/${snap.id}`);
  // The last to come: what the film makes of it, and how others have fared against these men.
  await expect(page.getByRole('row', { name: /^Film says right/ })).toBeVisible();
  await expect(page.getByRole('row', { name: /^How hard.* of \d+ on / })).toBeVisible();
  const seen = await page.evaluate(() => (window as unknown as { seenAt: Record<string, number[]> }).seenAt);
  // Above what comes late, within it and below it.
  expect(Object.keys(seen)).toEqual(expect.arrayContaining(['Mark RT', expect.stringMatching(/^space.*play$/)]));
  expect(Object.entries(seen).filter(([, places]) => places.length > 1)).toEqual([]);
});

test('the film stays as large as it is while its snap is marked', async ({ page }) => {
  await enter(page, 'coach', '/film');
  const snap = (await snapsOf(page))[7]!;
  await page.goto(`/film/${snap.id}`);
  await expect(page.getByRole('row', { name: /^Film says right/ })).toBeVisible();
  const tall = async (): Promise<number> => (await page.getByLabel('Film from the end zone').boundingBox())!.height;
  const before = await tall();
  expect(before).toBeGreaterThan(250);
  await page.keyboard.press('2');
  await expect(page.getByRole('region', { name: 'Marks of LG' })).toContainText(/^LG: .+, on \S+/);
  const withMan = await tall();
  await page.keyboard.press('a');
  await expect(page.getByRole('row', { name: /^Fault/ })).toBeVisible();
  const withFault = await tall();
  await page.keyboard.press('5');
  await page.keyboard.press('w');
  await expect(page.getByRole('region', { name: 'Marks of RT' })).toBeVisible();
  const withAnother = await tall();
  expect([withMan, withFault, withAnother]).toEqual([before, before, before]);
  await page.keyboard.press('Control+z');
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('row', { name: /^Fault/ })).toBeHidden();
  await expect(page.getByText('all marks saved')).toBeVisible();
});

test('two graders of one man see both versions, and nothing is overwritten', async ({ page, browser }) => {
  await enter(page, 'coach', '/film');
  const snap = (await snapsOf(page))[18]!;
  await page.goto(`/film/${snap.id}`);
  await expect(page.getByRole('button', { name: 'Mark RT' })).toBeVisible();
  const other = await (await browser.newContext()).newPage();
  await enter(other, 'assistant', `/film/${snap.id}`);
  await expect(other.getByRole('button', { name: 'Mark RT' })).toBeVisible();
  await other.keyboard.press('5');
  await other.keyboard.press('x');
  await expect(other.getByText('all marks saved')).toBeVisible();
  await page.keyboard.press('5');
  await page.keyboard.press('w');
  const aside = page.getByRole('region', { name: 'Marks that lie aside' });
  await expect(aside).toContainText('Theo Brandt');
  await expect(aside).toContainText('assignment wrong');
  expect(await stumbles(page)).toEqual([]);
  await page.reload();
  await expect(aside).toContainText('Somebody else has marked him meanwhile');
  await aside.getByRole('button', { name: 'Mine stands' }).click();
  await expect(aside).toHaveCount(0);
  // His is put away at once and is on its way to the server then.
  await expect
    .poll(async () => {
      const marks = (await snapsOf(page))[18]!.graded as unknown as {
        blocker: string;
        grade: { assignment: string };
      }[];
      return marks.find((g) => g.blocker === 'RT')!.grade.assignment;
    })
    .toBe('wrong');
  await other.context().close();
});

test('who came free is said by rule, asked about with its front, and listed', async ({ page }) => {
  await enter(page, 'coach', '/film');
  const snap = (await snapsOf(page))[19]!;
  await page.goto(`/film/${snap.id}`);
  await page.getByText('What happened').click();
  const free = page.locator('details', { hasText: 'What happened' });
  await free.getByRole('button', { name: 'T', exact: true }).click();
  await expect(free.getByText(/T (was|belongs to|was to be)/)).toBeVisible();
  await free.getByRole('button', { name: 'ask about the rule' }).click();
  await free.getByRole('textbox', { name: 'Question about the rule' }).fill('Whose is he when he slants?');
  const filed = page.waitForResponse(
    (r) => r.ok() && r.request().method() === 'PUT' && (r.request().postData() ?? '').includes('Whose is he'),
  );
  await free.getByRole('button', { name: 'file it with this front' }).click();
  await filed;
  await expect(free.getByText('Asked about T: Whose is he when he slants?')).toBeVisible();
  await page.goto('/book/grading');
  await expect(page.getByText('Whose is he when he slants?')).toBeVisible();
  expect(await stumbles(page)).toEqual([]);
  await page.getByRole('link', { name: 'on the board' }).click();
  await expect(page).toHaveURL(/walkthrough/);
});

test('two readings of a game are held against each other, watched in a row and settled', async ({ page }) => {
  await enter(page, 'coach', '/book/grading');
  await page.getByRole('link', { name: 'Theo Brandt beside the grades' }).click();
  await expect(page.getByRole('table', { name: 'Agreement' })).toContainText('Technique');
  const left = page.getByRole('heading', { name: /\d+ of \d+ to settle/ });
  const count = Number(/^\d+/.exec((await left.textContent())!)![0]);
  expect(count).toBeGreaterThan(5);
  await page.getByRole('button', { name: 'this one stands' }).first().click();
  await expect(left).toHaveText(new RegExp(`^${count - 1} of`));
  await page.getByRole('link', { name: 'Watch them one after the other' }).click();
  const reel = page.getByRole('group', { name: 'Snaps behind a number' });
  await expect(reel).toContainText(`1 of ${count - 1}`);
  await page.keyboard.press('ArrowDown');
  await expect(reel).toContainText(`2 of ${count - 1}`);
});

test('another rubric holds for what is graded from then on, and what stood stays', async ({ page }) => {
  await enter(page, 'coach', '/book/grading');
  await page.getByRole('radio', { name: /^Points, nought to four/ }).check();
  await expect(page.getByRole('status')).toContainText('From now on: Points, nought to four');
  const snap = (await snapsOf(page))[20]!;
  await page.goto(`/film/${snap.id}`);
  await expect(page.getByRole('button', { name: 'Mark LT' })).toBeVisible();
  await page.keyboard.press('1');
  await page.keyboard.press('p');
  await page.keyboard.press('+');
  await expect(page.getByText('4 points')).toBeVisible();
  await expect(page.getByText('all marks saved')).toBeVisible();
  const view = (await (await page.request.get(`/api/snaps/${snap.id}`)).json()) as {
    grades: { grade: { rubric: string; points: number } }[];
  };
  expect(view.grades[0]!.grade).toMatchObject({ rubric: 'points@1', points: 4 });
  await page.keyboard.press('Backspace');
  await page.goto('/book/grading');
  await page.getByRole('radio', { name: /^Assignment and technique/ }).check();
  await expect(page.getByRole('status')).toContainText('Assignment and technique');
});

test('a bar of the Book opens the marks it was drawn from, and they are watched in a row', async ({ page }) => {
  await enter(page, 'coach', '/book?by=block&opponent=Graymoor%20Millers');
  const chart = page.getByRole('img', { name: /all of it \d+/ });
  await chart.scrollIntoViewIfNeeded();
  const bars = chart.locator('.nsewdrag').first();
  // The first bar on the left of the top line: what earned all of it.
  await bars.click({ position: { x: 20, y: 10 } });
  const behind = page.getByRole('complementary', { name: 'Snaps behind the number' });
  await expect(behind.getByRole('heading')).toContainText('all of it');
  const said = (await chart.getAttribute('aria-label'))!;
  const name = (await behind.getByRole('heading').textContent())!.split(',')[0]!;
  const [, count] = new RegExp(`${name}: all of it (\\d+)`).exec(said)!;
  await expect(behind).toContainText(`${count} marks`);
  await behind.getByRole('link', { name: 'Watch them one after the other' }).click();
  await expect(page).toHaveURL(/reel=.*earned%3Dall/);

  await page.goto('/book?by=block&opponent=Graymoor%20Millers');
  const gains = page.getByRole('img', { name: /\d yards: \d/ });
  await gains.scrollIntoViewIfNeeded();
  const box = (await gains.locator('.nsewdrag').first().boundingBox())!;
  // 26 bars from 5 lost to 20 gained, each as wide as another.
  await page.mouse.click(box.x + (box.width * (4 + 5 + 0.5)) / 26, box.y + box.height - 6);
  await expect(behind.getByRole('heading')).toHaveText('4 yards: snaps');
  await expect(behind.getByText(/gained 4/).first()).toBeVisible();
});

test('a table of the Book goes out, grades come in from a table once it was tried, sheets are paper', async ({
  page,
}) => {
  await enter(page, 'coach', '/book?by=block&opponent=Quillport%20Terns');
  const [csv] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'this table as CSV' }).first().click(),
  ]);
  expect(await readFile(await csv.path(), 'utf8')).toMatch(/^block,marks,Right man/);
  const [sheet] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'as a spreadsheet' }).first().click(),
  ]);
  expect((await readFile(await sheet.path())).subarray(0, 2).toString()).toBe('PK');

  await page.goto('/book/grading');
  await page.getByLabel('Grades of').selectOption({ label: 'week 5, Fennick Otters' });
  const upload = page.locator('input[type=file]');
  const table = 'snap,place,assignment,technique,faults\n22,LT,right,minus,lunge\n22,C,maybe,plus,\n';
  await upload.setInputFiles({ name: 'grades.csv', mimeType: 'text/csv', buffer: Buffer.from(table) });
  await expect(page.getByText('1 mark can be read.')).toBeVisible();
  await expect(page.getByText('Row 3, assignment: "maybe" is none of')).toBeVisible();
  expect((await snapsOf(page))[21]!.graded).toEqual([]);
  await page.getByRole('button', { name: 'write 1 mark' }).click();
  await expect(page.getByText('1 mark is in.')).toBeVisible();
  expect((await snapsOf(page))[21]!.graded.map((g) => g.blocker)).toEqual(['LT']);
  await page.getByRole('button', { name: 'take the table of 1 back' }).click();
  await expect(page.getByText('1 mark is as before the table.')).toBeVisible();
  expect((await snapsOf(page))[21]!.graded).toEqual([]);
  await expect(page.getByRole('button', { name: /^take the table/ })).toHaveCount(0);

  await page.goto('/book/sheets?game=2');
  await expect(page.getByRole('button', { name: /sheets as PDF/ })).toBeEnabled();
  await page.getByLabel('Paper').selectOption('Letter');
  const [pdf] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: /sheets as PDF/ }).click(),
  ]);
  expect((await readFile(await pdf.path())).subarray(0, 5).toString()).toBe('%PDF-');
});

test('a player’s own page fits a phone: he has seen it, asks, grades himself where he is asked to', async ({
  page,
  browser,
}) => {
  const coach = await (await browser.newContext()).newPage();
  await enter(coach, 'coach', '/book/grading');
  const game = coach.getByRole('article').filter({ hasText: 'Week 4, Saltmarsh Union' });
  await page.setViewportSize({ width: 390, height: 844 });
  await enter(page, 'player', '/mine');
  await expect(page.getByRole('heading', { name: 'Jory Pell' })).toBeVisible();
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  expect(await stumbles(page)).toEqual([]);
  const card = page.getByRole('region', { name: 'Pocket card' });
  await card.getByRole('button').first().click();
  await expect(card.getByRole('rowheader', { name: /slants in$/ })).toBeVisible();
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  await page.getByRole('button', { name: 'I have seen it' }).first().click();
  await expect(page.getByText('seen', { exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'ask about it' }).first().click();
  await page.getByRole('textbox', { name: 'Your question' }).fill('Was my hat late?');
  await page.getByRole('button', { name: 'ask', exact: true }).click();
  await expect(page.getByText('You asked: Was my hat late?')).toBeVisible();

  await coach.reload();
  await expect(coach.getByText('Was my hat late?')).toBeVisible();
  await game.getByRole('checkbox', { name: 'players see their grades' }).uncheck();
  await game.getByRole('checkbox', { name: 'they grade themselves first' }).check();
  await page.reload();
  const own = page.getByRole('region', { name: 'To grade yourself' });
  await own.getByRole('link', { name: /of \d+ snaps left/ }).click();
  await expect(page.getByText('How was it? Your own marks')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Mark C', exact: true })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Mark LT' })).toHaveCount(0);
  await page.getByRole('button', { name: /everybody did his job/ }).click();
  await expect(page.getByText('all marks saved')).toBeVisible();
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  await game.getByRole('checkbox', { name: 'they grade themselves first' }).uncheck();
  await game.getByRole('checkbox', { name: 'players see their grades' }).check();
  await coach.context().close();
});
