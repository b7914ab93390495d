// Takes the pictures of docs/screenshots from the demo: node scripts/screenshots.mjs [URL] [only-this-one ...]
import { chromium } from '@playwright/test';
import { execFileSync } from 'node:child_process';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';

const [url = 'http://localhost:4170', ...only] = process.argv.slice(2);
const folder = fileURLToPath(new URL('../docs/screenshots/', import.meta.url));

/** Name, path, theme, and what to do before the picture is taken. */
const SHOTS = [
  ['walkthrough-paper', '/walkthrough?play=power&formation=h-back', 'paper', async (page) => page.keyboard.press('4')],
  [
    'film-board',
    '/film',
    'board',
    async (page) => {
      await page.getByRole('row', { name: /^Film says right/ }).waitFor();
      for (let i = 0; i < 52; i++) await page.keyboard.press('ArrowRight');
      await page.keyboard.press('4');
    },
  ],
  ['log-paper', '/film/log', 'paper'],
  [
    'measure-board',
    '/film/measure/3',
    'board',
    async (page) => {
      await page.getByRole('heading', { name: 'Asked and done' }).waitFor();
      await page.keyboard.press('k');
      for (let i = 0; i < 20; i++) await page.keyboard.press('.');
      await page.getByRole('row').getByRole('button', { name: 'LG', exact: true }).click();
    },
  ],
  [
    'film-in-paper',
    '/film/in',
    'paper',
    async (page) => {
      const clip = (snap, angle) => fileURLToPath(new URL(`../demo/film/snap-${snap}-${angle}.webm`, import.meta.url));
      const files = ['01', '02', '03'].flatMap((snap) => [clip(snap, 'end-zone'), clip(snap, 'sideline')]);
      await page.getByRole('button', { name: 'Choose clips' }).isEnabled();
      await page.waitForTimeout(500);
      await page.getByLabel('Films to bring in').setInputFiles(files);
      await page.getByText('6 films').waitFor();
      await page.waitForFunction(() => document.querySelectorAll('img').length >= 6, null, { timeout: 60_000 });
    },
  ],
  [
    'cutting-paper',
    '/film/in',
    'paper',
    async (page) => {
      await page.getByRole('button', { name: 'Choose clips' }).isEnabled();
      await page.waitForTimeout(500);
      await page.getByLabel('Films to bring in').setInputFiles(recording('first half end zone.mp4'));
      await page.getByRole('link', { name: 'Cut into snaps' }).click({ timeout: 60_000 });
      await page.getByRole('button', { name: /^Take all/ }).waitFor({ timeout: 60_000 });
      await page.keyboard.press('ArrowDown');
      for (let i = 0; i < 3; i++) await page.keyboard.press('Enter');
      await page.waitForTimeout(1000);
    },
  ],
  [
    'book-paper',
    '/book',
    'paper',
    async (page) => page.getByRole('button', { name: /^77 Dov Harrow, Technique/ }).click(),
  ],
  ['grading-paper', '/book/grading', 'paper'],
  [
    'rule-sheet-paper',
    '/rules/power',
    'paper',
    async (page) => {
      await page.getByText('when the playside guard is covered head-up or outside').first().click();
      await page.getByRole('button', { name: 'Prove it' }).click();
      await page.waitForTimeout(4000);
    },
  ],
  [
    'fronts-board',
    '/fronts',
    'board',
    async (page) => {
      await page.getByRole('button', { name: 'Otters, wide over' }).click();
      await page.getByRole('button', { name: /^M, 10/ }).focus();
    },
  ],
  ['matrix-paper', '/matrix', 'paper'],
  [
    'week-paper',
    '/week',
    'paper',
    async (page) => {
      await page.getByRole('region', { name: 'On whom most of it hangs' }).waitFor();
      await page.waitForTimeout(6000);
    },
  ],
  [
    'plan-paper',
    '/week/plan',
    'paper',
    async (page) => {
      await page
        .getByText(/With it dies?/)
        .first()
        .waitFor();
      await page.waitForTimeout(6000);
    },
  ],
  [
    'practice-board',
    '/week/practice',
    'board',
    async (page) => {
      await page.getByRole('button', { name: 'Plan the whole week' }).click();
      await page.waitForTimeout(800);
    },
  ],
  [
    'huddle-board',
    '/week/huddle',
    'board',
    async (page) => {
      await page.getByRole('button', { name: 'Call the line together' }).click();
      await page.getByRole('button', { name: 'Show what is right' }).waitFor();
      await sayAs(page, 'assistant', { seat: 'LT', call: null, whom: 'W', with: [] });
      await sayAs(page, 'player', { seat: 'C', call: 'Ferry', whom: 'N', with: [] });
      await sayAs(page, 'coach', { seat: 'LG', call: null, whom: 'N', with: [] });
      await page.getByText('both have N').waitFor();
    },
  ],
  [
    'protection-paper',
    '/protection?play=pro-five-back&front=over-two-high',
    'paper',
    async (page) => page.waitForTimeout(1500),
  ],
  [
    'movement-board',
    '/walkthrough?play=power&formation=h-back&moves=exchange%20LE%20W',
    'board',
    async (page) => page.getByRole('slider').fill('70'),
  ],
  ['team-paper', '/team', 'paper', async (page) => page.getByRole('button', { name: 'How we see a front' }).click()],
  [
    'first-steps-paper',
    '/account',
    'paper',
    async (page) => {
      await page.request.post(`${url}/api/programs`, { data: { name: 'Mossfield Wrens' } });
      await page.goto(`${url}/first`);
      await page.getByRole('button', { name: 'What you run' }).click();
      await page.getByRole('checkbox', { name: 'We run Inside zone, help back side' }).check();
      await page.waitForTimeout(1500);
    },
  ],
];

/** Somebody of the demo takes a place in the huddle and says whom he has. */
async function sayAs(page, role, said) {
  const context = await page.context().browser().newContext();
  const send = (method, path, data) => context.request[method](`${url}/api/${path}`, { data });
  await send('post', 'session', { email: `${role}@lanterns.example`, password: `lantern-${role}` });
  await send('put', 'huddle/place', { seat: said.seat });
  await send('put', 'huddle/said', { number: 1, said });
  await context.close();
}

/** The first eight plays of the demo as one recording, as a camera that is stopped in between writes them. */
function recording(name) {
  const file = join(mkdtempSync(join(tmpdir(), 'violet-chalk-')), name);
  const clip = (n) => fileURLToPath(new URL(`../demo/film/snap-0${n}-end-zone.webm`, import.meta.url));
  const inputs = [1, 2, 3, 4, 5, 6, 7, 8].flatMap((n) => ['-i', clip(n)]);
  const args = [
    ...inputs,
    '-filter_complex',
    'concat=n=8:v=1:a=0',
    '-c:v',
    'libx264',
    '-pix_fmt',
    'yuv420p',
    '-g',
    '15',
  ];
  execFileSync('ffmpeg', ['-v', 'error', '-nostdin', '-y', ...args, file]);
  return file;
}

const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-dev-shm-usage'],
});
for (const [name, path, theme, before] of SHOTS) {
  if (only.length && !only.includes(name)) continue;
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.addInitScript((t) => localStorage.setItem('violet-chalk-theme', t), theme);
  const answer = await page.request.post(`${url}/api/session`, {
    data: { email: 'coach@lanterns.example', password: 'lantern-coach' },
  });
  if (!answer.ok()) throw new Error(`the demo log-in was refused (${answer.status()}); start with ./start --fresh`);
  await page.goto(url + path);
  await page.waitForLoadState('networkidle');
  await page.waitForTimeout(600);
  await before?.(page);
  await page.waitForTimeout(700);
  await page.screenshot({ path: `${folder}${name}.png` });
  await page.close();
}
await browser.close();
