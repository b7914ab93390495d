import { readdir, readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { expect, test, type Page } from '@playwright/test';
import { enter } from './people';

const CODE = process.env.FIRST_CODE ?? '';
const LETTERS = process.env.LETTERS_DIR ?? '';
const COACH = { name: 'Wenna Ashdown', email: 'wenna@wrens.example', password: 'three wet towels' };

/** Counts what a newcomer does: fields he fills, keys he presses there, and clicks. */
function counting(page: Page) {
  const done = { fields: 0, keys: 0, clicks: 0 };
  return {
    done,
    fill: async (label: string | RegExp, text: string) => {
      done.fields++;
      done.keys += text.length;
      await page.getByLabel(label, { exact: typeof label === 'string' }).fill(text);
    },
    click: async (name: string) => {
      done.clicks++;
      await page.getByRole('button', { name, exact: true }).click();
    },
  };
}
/** The link of the newest letter to somebody that leads to a place; letters are written after the answer has gone out. */
async function letterTo(address: string, place: '/join' | '/reset'): Promise<string> {
  let link: string | undefined;
  await expect(async () => {
    const files = (await readdir(LETTERS)).filter((f) => f.endsWith('.eml')).sort();
    const letters = await Promise.all(files.map((f) => readFile(join(LETTERS, f), 'utf8')));
    const links = letters.filter((l) => l.includes(`To: ${address}`)).flatMap((l) => /http\S+/.exec(l)?.[0] ?? []);
    link = links.findLast((l) => l.includes(place));
    expect(link).toBeTruthy();
  }).toPass();
  return link!;
}

test.describe.serial('the first hour', () => {
  test('a wrong code makes nothing and says so', async ({ page }) => {
    await page.goto('/begin');
    const hand = counting(page);
    await hand.fill('The code the start command printed', 'ABCD-EFGH-JKLM');
    await hand.fill('Your team', 'Mossfield Wrens');
    await hand.fill('Your name', COACH.name);
    await hand.fill('Your address', COACH.email);
    await hand.fill('A password', COACH.password);
    await hand.click('Begin');
    await expect(page.getByRole('alert')).toContainText('not the code');
    await expect(page.getByLabel('Your team')).toHaveValue('Mossfield Wrens');
    await hand.fill('The code the start command printed', CODE);
    await hand.fill('A password', 'short');
    await hand.click('Begin');
    await expect(page.getByRole('alert')).toContainText('at least 10 characters');
  });

  test('leads from nothing to one’s own first play against the next opponent, in few steps', async ({ page }) => {
    await page.goto('/login');
    await page.getByRole('link', { name: 'Make your own program' }).click();
    const hand = counting(page);
    hand.done.clicks++;
    await hand.fill('The code the start command printed', CODE.toLowerCase());
    await hand.fill('Your team', 'Mossfield Wrens');
    await hand.fill('Your name', COACH.name);
    await hand.fill('Your address', COACH.email);
    await hand.fill('A password', COACH.password);
    await hand.click('Begin');
    await expect(page.getByRole('heading', { name: 'First steps of Mossfield Wrens' })).toBeVisible();
    await hand.click('On to the next');
    await hand.click('On to the next');
    await hand.click('On to the next');
    await expect(page.getByRole('heading', { name: 'What you run' })).toBeVisible();
    hand.done.clicks++;
    await page.getByRole('checkbox', { name: 'We run Inside zone, pairs' }).check();
    await hand.click('gap');
    hand.done.clicks++;
    await page.getByRole('checkbox', { name: 'We run Power' }).check();
    await hand.click('On to the next');
    await hand.fill(/^One man a line/, '61 Anselm Rook RG\n55 Jory Pell C\nMat Ober');
    await expect(page.getByText('Line 3: there is no number in "Mat Ober".')).toBeVisible();
    await hand.click('Add 2');
    await expect(page.getByText('2 men are on the roster: 55 Jory Pell, 61 Anselm Rook.')).toBeVisible();
    await hand.click('On to the next');
    await hand.click('On to the next');
    await hand.fill('we play', 'Quillport Terns');
    await hand.click('See it man by man');
    await expect(page).toHaveURL(/walkthrough\?play=inside-zone-z4/);
    await expect(page.getByRole('combobox', { name: 'Front' })).toContainText('Quillport Terns over');
    await expect(page.getByRole('status').filter({ hasText: /Sound|At risk|Broken/ })).toBeVisible();
    await expect(page.getByRole('link', { name: 'First steps' })).toHaveCount(0);
    // Measured: 7 fields besides the roster's, and what he has to type and click himself; more of it is a defect.
    expect(hand.done).toEqual({ fields: 7, keys: expect.any(Number), clicks: 13 });
    expect(hand.done.keys).toBeLessThan(160);
    // Only what was chosen is offered, and nothing of the demo is there.
    await page.getByRole('combobox', { name: 'Play' }).click();
    await expect(page.locator('.p-select-option')).toHaveText(['Inside zone, pairs', 'Power']);
    const snaps = (await (await page.request.get('/api/games')).json()) as { opponent: string; snaps: number }[];
    expect(snaps.map((g) => [g.opponent, g.snaps])).toEqual([['Quillport Terns', 0]]);
    expect(await (await page.request.get('/api/playbook')).json()).toHaveLength(1);
  });

  test('is over once the program is made: the code makes no other', async ({ page }) => {
    await page.goto('/login');
    await expect(page.getByLabel('Address')).toBeVisible();
    await expect(page.getByRole('link', { name: 'Make your own program' })).toHaveCount(0);
    const again = { ...COACH, email: 'other@wrens.example', code: CODE, program: 'Another' };
    expect((await page.request.post('/api/begin', { data: again })).status()).toBe(409);
  });

  test('brings staff and players in by links, each to what is his', async ({ page, browser }) => {
    const logIn = async (on: Page, email: string, password: string): Promise<void> => {
      expect((await on.request.post('/api/session', { data: { email, password } })).status()).toBe(200);
    };
    await logIn(page, COACH.email, COACH.password);
    await page.goto('/team/people');
    const form = page.getByRole('form', { name: 'Invite' });
    await form.getByLabel('As').selectOption('player');
    await form.getByLabel('Who he is').selectOption({ label: '61 Anselm Rook' });
    await form.getByRole('button', { name: 'Make the link' }).click();
    const link = await page.getByRole('textbox', { name: 'Link' }).inputValue();
    await form.getByLabel('As').selectOption('reader');
    await form.getByLabel('Name').fill('Ivo Tam');
    await form.getByLabel('Address').fill('ivo@wrens.example');
    await form.getByRole('button', { name: 'Make the link' }).click();
    await expect(page.getByText('a letter with it is on its way too')).toBeVisible();

    const phone = await (await browser.newContext({ viewport: { width: 390, height: 800 } })).newPage();
    await phone.goto(link);
    await expect(phone.getByRole('heading', { name: 'Join Mossfield Wrens' })).toBeVisible();
    await expect(phone.getByLabel('Your name')).toHaveValue('Anselm Rook');
    await phone.getByLabel('Your address').fill('rook@wrens.example');
    await phone.getByLabel('A password').fill('a long and dry one');
    await phone.getByRole('button', { name: 'Join' }).click();
    await expect(phone).toHaveURL(/\/mine/);
    await expect(phone.getByRole('link', { name: 'Rules' })).toHaveCount(0);
    await phone.goto(link);
    await expect(phone.getByRole('alert')).toContainText('This link has been used');
    await phone.context().close();

    const desk = await (await browser.newContext()).newPage();
    await desk.goto(await letterTo('ivo@wrens.example', '/join'));
    await desk.getByLabel('A password').fill('another dry towel');
    await desk.getByRole('button', { name: 'Join' }).click();
    await expect(desk).toHaveURL(/\/walkthrough/);
    await expect(desk.getByRole('link', { name: 'Matrix' })).toBeVisible();
    for (const place of ['Film', 'Book']) await expect(desk.getByRole('link', { name: place })).toHaveCount(0);
    await desk.context().close();

    await page.reload();
    await expect(page.getByRole('row', { name: /Ivo Tam/ })).toContainText('ivo@wrens.example');
    await page.goto('/team/record');
    await expect(page.getByText('Ivo Tam joined as other coach')).toBeVisible();
  });

  test('sets a forgotten password by a letter', async ({ page }) => {
    await page.goto('/login');
    await page.getByLabel('Address').fill('ivo@wrens.example');
    await page.getByRole('button', { name: 'I do not know my password any more' }).click();
    await expect(page.getByRole('status')).toContainText('a letter with a link is on its way');
    await page.goto(await letterTo('ivo@wrens.example', '/reset'));
    await page.getByLabel('A new password').fill('yet another towel');
    await page.getByRole('button', { name: 'Change it' }).click();
    await expect(page.getByRole('status')).toContainText('Your password is changed');
    await page.getByRole('link', { name: 'Log in' }).click();
    await page.getByLabel('Address').fill('ivo@wrens.example');
    await page.getByLabel('Password', { exact: true }).fill('yet another towel');
    await page.getByRole('button', { name: 'Log in' }).click();
    await expect(page).toHaveURL(/\/walkthrough/);
  });

  test('lets one visit the made-up program beside one’s own', async ({ page }) => {
    const { email, password } = COACH;
    await page.request.post('/api/session', { data: { email, password } });
    await page.goto('/account');
    await page.getByRole('button', { name: 'Visit the made-up Larkhollow Lanterns' }).click();
    await expect(page.getByRole('combobox', { name: 'Program' })).toBeVisible();
    await page.goto('/film');
    await expect(page.getByRole('table', { name: 'Grades' })).toBeVisible();
    await page.getByRole('combobox', { name: 'Program' }).selectOption({ label: 'Mossfield Wrens' });
    const here = page.getByRole('combobox', { name: 'Program' }).locator('option:checked');
    await expect(here).toHaveText('Mossfield Wrens');
    await expect(page.getByRole('table', { name: 'Grades' })).toHaveCount(0);
  });
});

test('what is changed in the roster is kept, and a place that is none is refused with what was typed', async ({
  page,
}) => {
  await enter(page, 'coach', '/team/roster');
  const seats = page.getByLabel('Where else Hale Corrin can play');
  await seats.fill('G, C');
  await seats.blur();
  await expect(page.getByRole('status').first()).toContainText('Hale Corrin is changed');
  await expect(page.getByRole('region', { name: 'The line' })).toContainText('66 Hale Corrin');
  await seats.fill('wing-back');
  await seats.blur();
  await expect(page.getByRole('alert')).toContainText('"wing-back" is no place or position');
  await page.reload();
  await expect(seats).toHaveValue('LG RG C');
  await seats.fill('');
  await seats.blur();
  await expect(page.getByRole('status').first()).toContainText('Hale Corrin is changed');
});

test('a setting is seen on the picture at once', async ({ page }) => {
  await enter(page, 'coach', '/team');
  await page.getByRole('button', { name: 'How we see a front' }).click();
  const picture = page.getByRole('region', { name: 'What it comes to' });
  await expect(picture).toContainText('The Mike is M');
  await page.getByLabel('Of two or four linebackers the Mike is').selectOption('weak');
  await expect(picture).toContainText('The Mike is W');
  await page.getByLabel('Of two or four linebackers the Mike is').selectOption('strength');
  await expect(picture).toContainText('The Mike is M');
});
