import type { ChildProcess } from 'node:child_process';
import { expect, test } from '@playwright/test';
import pg from 'pg';
import { freePort, logInAt, startProcess } from './another-process';

const first = process.env.E2E_URL ?? 'http://localhost:4170';
let second: string;
let server: ChildProcess;

test.beforeAll(async () => {
  const port = await freePort();
  second = `http://localhost:${port}`;
  server = await startProcess(port, { NUXT_METRICS_TOKEN: 'figures' });
});
test.afterAll(() => void server.kill());

const logIn = (at: string): Promise<string> => logInAt(at, 'assistant');

test('whoever is logged in at one is so at the other, until he logs out at either', async () => {
  const cookie = await logIn(first);
  const read = (at: string) => fetch(`${at}/api/games`, { headers: { cookie } });
  expect([(await read(first)).status, (await read(second)).status]).toEqual([200, 200]);
  await fetch(`${second}/api/session`, { method: 'DELETE', headers: { cookie } });
  expect([(await read(first)).status, (await read(second)).status]).toEqual([401, 401]);
});

test('guessing at both is guessing at one', async () => {
  const guess = (at: string) =>
    fetch(`${at}/api/session`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ email: `two-${Date.now() - (Date.now() % 600_000)}@lanterns.example`, password: 'x' }),
    }).then((answer) => answer.status);
  const statuses = await Promise.all(Array.from({ length: 16 }, (_, i) => guess(i % 2 ? first : second)));
  expect(statuses.filter((s) => s === 401).length).toBeLessThanOrEqual(10);
  expect(statuses.filter((s) => s === 429).length).toBeGreaterThanOrEqual(6);
});

test('a film begun at one arrives at the other, and is prepared once', async () => {
  const cookie = await logIn(first);
  const bytes = Buffer.from('no film at all, but it arrives');
  const said = Object.entries({ name: 'two.mp4', kind: 'practice' })
    .map(([key, value]) => `${key} ${Buffer.from(value).toString('base64')}`)
    .join(',');
  const tus = { cookie, 'tus-resumable': '1.0.0' };
  const made = await fetch(`${first}/api/upload`, {
    method: 'POST',
    headers: { ...tus, 'upload-length': String(bytes.length), 'upload-metadata': said },
  });
  expect(made.status).toBe(201);
  const place = made.headers.get('location')!;
  const send = (at: string, from: number, part: Buffer) =>
    fetch(at + place, {
      method: 'PATCH',
      headers: { ...tus, 'upload-offset': String(from), 'content-type': 'application/offset+octet-stream' },
      body: new Uint8Array(part),
    });
  expect((await send(first, 0, bytes.subarray(0, 12))).status).toBe(204);
  const head = await fetch(second + place, { method: 'HEAD', headers: tus });
  expect(head.headers.get('upload-offset')).toBe('12');
  // Both send the same part at once: it arrives once.
  const both = await Promise.all([send(first, 12, bytes.subarray(12)), send(second, 12, bytes.subarray(12))]);
  // The other is told that it is there already, or that the film has gone on from there.
  expect(both.filter((a) => a.status === 204)).toHaveLength(1);
  expect([404, 409]).toContain(both.find((a) => a.status !== 204)!.status);
  const client = new pg.Client(process.env.E2E_DATABASE_URL);
  await client.connect();
  await expect(async () => {
    const { rows } = await client.query<{ state: string }>(`select state from films where name = 'two.mp4'`);
    expect(rows.map((r) => r.state)).toEqual(['refused']);
  }).toPass();
  const { rows } = await client.query<{ n: number }>(
    `select count(*)::int as n from jobs.job where name = 'prepare-film' and data->>'film' = (select id::text from films where name = 'two.mp4')`,
  );
  expect(rows[0]!.n).toBe(1);
  await client.query(`delete from films where name = 'two.mp4'`);
  await client.end();
});

test('its log says what came of every request and nothing of anybody; its figures are for who has the token', async () => {
  const lines: string[] = [];
  server.stdout!.on('data', (text: Buffer) =>
    lines.push(
      ...text
        .toString()
        .split('\n')
        .filter((l) => l.startsWith('{')),
    ),
  );
  const cookie = await logIn(second);
  await fetch(`${second}/api/roster?search=Anselm`, { headers: { cookie } });
  await expect(async () => {
    const found = lines.map((l) => JSON.parse(l) as { route: string; status: number; method: string });
    expect(found.find((l) => l.route === '/api/roster')).toMatchObject({ method: 'GET', status: 200 });
  }).toPass();
  expect(lines.join('\n')).not.toMatch(/Anselm|lanterns|127\.0\.0\.1|lantern-assistant/);
  expect((await fetch(`${second}/api/metrics`)).status).toBe(404);
  expect((await fetch(`${first}/api/metrics`, { headers: { authorization: 'Bearer figures' } })).status).toBe(404);
  const figures = await fetch(`${second}/api/metrics`, { headers: { authorization: 'Bearer figures' } });
  expect(await figures.text()).toMatch(
    /chalk_request_seconds_count\{method="GET",route="\/api\/roster",status="2xx"\} \d+/,
  );
});

test('stops when it is told to, with what it was doing done', async () => {
  const ended = new Promise<number | null>((done) => server.once('exit', (code) => done(code)));
  const slow = fetch(`${second}/api/health`);
  server.kill('SIGTERM');
  expect((await slow.catch(() => null))?.status ?? 200).toBe(200);
  expect([0, 143, null]).toContain(await ended);
});
