import type { ChildProcess } from 'node:child_process';
import { expect, test, type Browser, type Page } from '@playwright/test';
import pg from 'pg';
import WebSocket from 'ws';
import { CALL_OF_HUDDLE, type PhoneSees } from './huddle-call';
import { freePort, logInAt, startProcess } from './another-process';
import { enter } from './people';

const first = process.env.E2E_URL ?? 'http://localhost:4170';
const PHONES = 12;
let second: string;
let server: ChildProcess;
let client: pg.Client;
let gameId: number;

test.describe.configure({ mode: 'serial' });
test.beforeAll(async () => {
  const port = await freePort();
  second = `http://localhost:${port}`;
  server = await startProcess(port);
  client = new pg.Client(process.env.E2E_DATABASE_URL);
  await client.connect();
  // Twelve more who play for the Lanterns, with the demo player's password.
  await client.query(
    `insert into users (email, name, password_hash) select 'phone-' || n || '@lanterns.example', 'Phone ' || n, password_hash
      from users, generate_series(1, ${PHONES}) n where email = 'player@lanterns.example'`,
  );
  await client.query(
    `insert into memberships (user_id, program_id, role) select u.id, p.id, 'player' from users u, programs p
      where u.email like 'phone-%' and p.name = 'Larkhollow Lanterns'`,
  );
  const { rows } = await client.query<{ id: number }>(
    `select g.id from games g join programs p on p.id = g.program_id where p.name = 'Larkhollow Lanterns' order by week desc limit 1`,
  );
  gameId = rows[0]!.id;
});
test.afterAll(async () => {
  await client.query('delete from huddles');
  await client.query(`delete from memberships where user_id in (select id from users where email like 'phone-%')`);
  await client.query(`delete from users where email like 'phone-%'`);
  await client.end();
  server.kill();
});

async function logInPhone(at: string, n: number): Promise<string> {
  const answer = await fetch(`${at}/api/session`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ email: `phone-${n}@lanterns.example`, password: 'lantern-player' }),
  });
  expect(answer.status).toBe(200);
  return answer.headers.get('set-cookie')!.split(';')[0]!;
}
const send = (at: string, cookie: string, method: string, path: string, body?: object) =>
  fetch(`${at}/api/huddle${path}`, {
    method,
    headers: { cookie, ...(body ? { 'content-type': 'application/json' } : {}) },
    body: body ? JSON.stringify(body) : null,
  });
const see = async (at: string, cookie: string): Promise<PhoneSees | null> =>
  ((await (await send(at, cookie, 'GET', '')).json()) as { huddle: PhoneSees | null }).huddle;

/** Opens a line to a process: it, or the status it was refused with. */
const line = (at: string, headers: Record<string, string>): Promise<WebSocket | number> =>
  new Promise((done) => {
    const socket = new WebSocket(`${at.replace('http', 'ws')}/api/huddle/live`, { headers });
    socket.on('open', () => done(socket));
    socket.on('unexpected-response', (_, answer) => done(answer.statusCode ?? 0));
    socket.on('error', () => undefined);
  });

/** A phone that reads whatever there is whenever it is told, as the page does. */
class Phone {
  seen: PhoneSees | null = null;
  private constructor(
    readonly at: string,
    readonly cookie: string,
    readonly socket: WebSocket,
  ) {
    socket.on('message', () => void this.read());
  }
  static async open(at: string, n: number): Promise<Phone> {
    const cookie = await logInPhone(at, n);
    const socket = await line(at, { cookie });
    if (typeof socket === 'number') throw new Error(`phone ${n} was refused: ${socket}`);
    return new Phone(at, cookie, socket);
  }
  private async read(): Promise<void> {
    this.seen = await see(this.at, this.cookie);
  }
}

test('a line is for those who belong there, from our own page', async () => {
  const status = async (headers: Record<string, string>): Promise<number | string> => {
    const got = await line(first, headers);
    if (typeof got === 'number') return got;
    got.close();
    return 'open';
  };
  const of = async (role: string) => status({ cookie: await logInAt(first, role) });
  expect([await of('coach'), await of('assistant'), await of('player'), await of('reader')]).toEqual([
    'open',
    'open',
    'open',
    401,
  ]);
  const cookie = await logInAt(first, 'player');
  expect([
    await status({}),
    await status({ cookie: 'nonsense' }),
    await status({ cookie, origin: 'http://another.example' }),
    await status({ cookie, origin: first }),
  ]).toEqual([401, 401, 403, 'open']);
  const plain = await fetch(`${first}/api/huddle/live`, { headers: { cookie } });
  expect([plain.status, plain.headers.get('set-cookie')]).toEqual([426, null]);
});

test('twelve phones at two processes are one huddle: everybody sees what everybody said, and each is told of it', async () => {
  const coach = await logInAt(first, 'coach');
  const phones = await Promise.all(Array.from({ length: PHONES }, (_, i) => Phone.open(i % 2 ? second : first, i + 1)));
  const opened = await send(first, coach, 'POST', '', { gameId, question: { ...CALL_OF_HUDDLE, silent: false } });
  expect(opened.status).toBeLessThan(300);
  await expect.poll(() => phones.every((p) => p.seen?.number === 1)).toBe(true);
  const seats = ['LT', 'LG', 'C', 'RG', 'RT'];
  await Promise.all(
    phones.map(async (p, i) => {
      const seat = seats[i % 5]!;
      expect((await send(p.at, p.cookie, 'PUT', '/place', { seat })).status).toBeLessThan(300);
      const said = { seat, call: null, whom: i % 2 ? 'N' : 'T', with: [] };
      expect((await send(p.at, p.cookie, 'PUT', '/said', { number: 1, said })).status).toBeLessThan(300);
    }),
  );
  await expect.poll(() => phones.every((p) => p.seen?.said.length === PHONES)).toBe(true);
  // The coach goes on at one process; a phone at the other that has not heard of it yet is refused, and loses nothing else.
  expect((await send(second, coach, 'PUT', '', { number: 1, stage: 'shown' })).status).toBeLessThan(300);
  const late = phones[0]!;
  const said = { seat: 'LT', call: null, whom: 'N', with: [] };
  const refused = await send(late.at, late.cookie, 'PUT', '/said', { number: 1, said });
  expect([refused.status, ((await refused.json()) as { message: string }).message]).toEqual([
    409,
    'The huddle has gone on. Nothing was changed.',
  ]);
  await expect.poll(() => phones.every((p) => p.seen?.stage === 'shown')).toBe(true);
  await send(first, coach, 'DELETE', '');
  await expect.poll(() => phones.every((p) => p.seen === null)).toBe(true);
  for (const p of phones) p.socket.close();
});

async function phone(browser: Browser): Promise<Page> {
  const context = await browser.newContext({ viewport: { width: 390, height: 780 }, baseURL: first });
  const page = await context.newPage();
  await enter(page, 'player', '/huddle');
  return page;
}

test('the screen shows what a phone says as it says it, and goes on when the line broke', async ({ page, browser }) => {
  const player = await phone(browser);
  await expect(player.getByText('The line is not together just now')).toBeVisible();
  await enter(page, 'coach', '/week/huddle');
  await page.getByRole('button', { name: 'Call the line together' }).click();
  // The demo's player has one place only and takes it at once.
  await expect(player.getByText('You are C')).toBeVisible();
  const places = page.getByRole('listitem').filter({ hasText: /^C / });
  await expect(places).toContainText('thinks');
  const words = player.locator('.hands').getByRole('button');
  if (await player.getByText('What do you say?').isVisible()) await words.first().click();
  await player.getByRole('group', { name: 'The picture' }).getByRole('button').first().click();
  await player.getByRole('button', { name: 'alone' }).click();
  await expect(player.getByText(/^You said /)).toBeVisible();
  await expect(places).toContainText('has said');
  await player.context().setOffline(true);
  await page.getByRole('button', { name: 'Show what is right' }).click();
  await expect(page.getByRole('button', { name: 'Next' })).toBeVisible();
  await player.context().setOffline(false);
  await expect(player.getByText(/^(Right|Not yet)\.$/)).toBeVisible();
  await page.getByRole('button', { name: 'Next' }).click();
  await expect(player.getByText(/^(Right|Not yet)\.$/)).toBeHidden();
  await expect(places).toContainText('thinks');
  await page.getByRole('button', { name: 'Send the line home' }).click();
  await expect(player.getByText('The line is not together just now')).toBeVisible();
  // Called together again, who has stayed on his page is in it again.
  await page.getByRole('button', { name: 'Call the line together' }).click();
  await expect(player.getByText('You are C')).toBeVisible();
  await expect(places).toContainText('thinks');
  await page.getByRole('button', { name: 'Send the line home' }).click();
  await expect(player.getByText('The line is not together just now')).toBeVisible();
  // What was said counts for what he is asked again.
  const quiz = (await (await player.request.get('/api/quiz')).json()) as { answers: { item: { seat: string } }[] };
  expect(quiz.answers.filter((a) => a.item.seat === 'C').length).toBeGreaterThan(0);
  await player.context().close();
});

test('in silence the phone shows nothing of the others before it is shown', async ({ page, browser }) => {
  const player = await phone(browser);
  await enter(page, 'coach', '/week/huddle');
  await page.getByRole('checkbox', { name: /^Silent/ }).check();
  await page.getByRole('button', { name: 'Call the line together' }).click();
  await expect(player.getByText('Nobody speaks: you see the others when it is shown.')).toBeVisible();
  await expect(player.getByText('What do you say?')).toBeHidden();
  await expect(page.getByText('Silent: it is seen when it is shown.')).toBeVisible();
  await page.getByRole('button', { name: 'Show what is right' }).click();
  await expect(page.getByText('Silent: it is seen when it is shown.')).toBeHidden();
  await page.getByRole('button', { name: 'Send the line home' }).click();
  await expect(page.getByRole('button', { name: 'Call the line together' })).toBeVisible();
  await player.context().close();
});
