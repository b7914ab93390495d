import { request } from 'node:http';
import { expect, test } from '@playwright/test';
import pg from 'pg';
import { ASKERS, ROUTES, routesOfFiles, type Asker, type Ids } from './route-table';

const url = process.env.E2E_URL ?? 'http://localhost:4170';
let own: Ids;
let foreign: Ids;
const cookies = new Map<Asker, string>();

async function logIn(role: string): Promise<string> {
  const answer = await fetch(`${url}/api/session`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ email: `${role}@lanterns.example`, password: `lantern-${role}` }),
  });
  expect(answer.status).toBe(200);
  return answer.headers.get('set-cookie')!.split(';')[0]!;
}

/** What a film is that nobody can watch. */
const FILM = { name: 'otter.mp4', kind: 'opponent', state: 'refused', bytes: 1, body: {} };

/** Another program with one of everything, straight into the database; what of it is there already stays. */
async function makeForeign(client: pg.Client): Promise<Ids> {
  const one = async (table: string, values: Record<string, unknown>): Promise<number> => {
    const names = Object.keys(values);
    const { rows } = await client.query<{ id: number }>(
      `insert into ${table} (${names.join(', ')}) values (${names.map((_, i) => `$${i + 1}`).join(', ')}) returning id`,
      Object.values(values),
    );
    return rows[0]!.id;
  };
  const program = await one('programs', { name: 'Fennick Otters' });
  const season = await one('seasons', { program_id: program, name: 'Season' });
  const game = await one('games', { program_id: program, season_id: season, opponent: 'Larkhollow Lanterns', week: 1 });
  const snap = await one('snaps', { program_id: program, game_id: game, number: 1, body: {} });
  const clip = await one('clips', { program_id: program, snap_id: snap, angle: 'end zone', file: 'x.webm', body: {} });
  const document = await one('documents', { program_id: program, shelf: 'fronts', slug: 'otter-odd' });
  const film = await one('films', { ...FILM, program_id: program, upload: `otter-${program}`, user_id: 1 });
  const spare = await one('snaps', { program_id: program, game_id: game, number: 2, body: {} });
  const owned = { program_id: program, user_id: 1, body: {} };
  const cut = await one('cuts', { ...owned, name: 'Otters' });
  const note = await one('film_notes', { ...owned, clip_id: clip });
  const player = await one('players', { program_id: program, name: 'Otter', number: 1, seat: 'C' });
  const said = await one('acknowledgements', { program_id: program, game_id: game, player_id: player, user_id: 1 });
  const leaver = await one('users', { email: `otter-${program}@otters.example`, name: 'Otter', password_hash: 'x' });
  await one('memberships', { user_id: leaver, program_id: program, role: 'assistant' });
  const ticket = { kind: 'invitation', hash: `otter-${program}`, program_id: program, role: 'reader' };
  const invitation = await one('tickets', { ...ticket, expires_at: '2099-01-01' });
  const spareGame = await one('games', { program_id: program, season_id: season, opponent: 'Nobody', week: 2 });
  const people = { person: leaver, leaver, invitation, player, gonePlayer: player };
  return { program, game, snap, clip, document, film, cut, note, spare, said, spareGame, ...people };
}

test.beforeAll(async () => {
  const database = process.env.E2E_DATABASE_URL;
  if (!database) throw new Error('E2E_DATABASE_URL is not set: run ./test');
  const client = new pg.Client(database);
  await client.connect();
  const first = async (sql: string): Promise<number> => (await client.query<{ id: number }>(sql)).rows[0]!.id;
  own = {
    program: await first(`select id from programs where name = 'Larkhollow Lanterns'`),
    game: await first('select id from games order by id limit 1'),
    snap: await first('select id from snaps order by id limit 1'),
    clip: await first('select id from clips order by id limit 1'),
    document: await first('select id from documents order by id limit 1'),
    film: 0,
    cut: 0,
    note: 0,
    spare: 0,
    said: 0,
    player: await first('select id from players order by id limit 1'),
    person: await first(`select id from users where email = 'assistant@lanterns.example'`),
    leaver: 0,
    gonePlayer: 0,
    invitation: 0,
    spareGame: 0,
  };
  const { rows } = await client.query<{ id: number }>(
    `insert into films (program_id, upload, name, kind, state, bytes, user_id) values ($1, 'route-table', 'gone.mp4', 'practice', 'refused', 1, 1)
      on conflict (upload) do update set state = 'refused' returning id`,
    [own.program],
  );
  const made = async (sql: string, values: unknown[]): Promise<number> =>
    (await client.query<{ id: number }>(`${sql} returning id`, values)).rows[0]!.id;
  const game = await made(
    `insert into games (program_id, season_id, opponent, week) select $1, min(id), 'Saltmarsh Union', 59 from seasons where program_id = $1`,
    [own.program],
  );
  const spare = await made(`insert into snaps (program_id, game_id, number, body) values ($1, $2, 1, '{}')`, [
    own.program,
    game,
  ]);
  const clip = await made(
    `insert into clips (program_id, snap_id, angle, file, body) values ($1, $2, 'end zone', '', '{}')`,
    [own.program, spare],
  );
  const leaver = await made(`insert into users (email, name, password_hash) values ($1, 'Leaver', 'x')`, [
    `leaver-${game}@lanterns.example`,
  ]);
  await made(`insert into memberships (user_id, program_id, role) values ($1, $2, 'assistant')`, [leaver, own.program]);
  const invitation = await made(
    `insert into tickets (kind, hash, program_id, role, expires_at) values ('invitation', $1, $2, 'reader', '2099-01-01')`,
    [`route-table-${game}`, own.program],
  );
  own = {
    ...own,
    film: rows[0]!.id,
    spare,
    spareGame: await made(
      `insert into games (program_id, season_id, opponent, week) select $1, min(id), 'Nobody', 59 from seasons where program_id = $1`,
      [own.program],
    ),
    leaver,
    invitation,
    gonePlayer: await made(
      `insert into players (program_id, name, number, seat, left_at) values ($1, 'Former Man', 98, '', now())`,
      [own.program],
    ),
    cut: await made(
      `insert into cuts (program_id, user_id, name, body) values ($1, 1, 'route table', '{}') on conflict (program_id, name) do update set user_id = 1`,
      [own.program],
    ),
    said: await made(
      `insert into acknowledgements (program_id, game_id, player_id, user_id) select $1, $2, min(id), 1 from players where program_id = $1`,
      [own.program, game],
    ),
    note: await made(`insert into film_notes (program_id, clip_id, user_id, body) values ($1, $2, 1, '{}')`, [
      own.program,
      clip,
    ]),
  };
  foreign = await makeForeign(client);
  await client.end();
  for (const role of ASKERS) if (role !== 'stranger') cookies.set(role, await logIn(role));
});

test.afterAll(async () => {
  const client = new pg.Client(process.env.E2E_DATABASE_URL);
  await client.connect();
  await client.query('delete from programs where id = $1', [foreign.program]);
  await client.query('delete from games where week = 59');
  await client.end();
});

/** Asks a route with an address and a body made of those ids. */
async function ask(name: string, cookie: string | undefined, ids: Ids, more: RequestInit = {}): Promise<Response> {
  const [method, path] = name.split(' ') as [string, string];
  const { id, body, query = '' } = ROUTES[name]!;
  return fetch(url + path.replace('[id]', String(id ? ids[id] : '')) + query, {
    method,
    headers: { ...(body ? { 'content-type': 'application/json' } : {}), ...(cookie ? { cookie } : {}) },
    body: body ? JSON.stringify(body(ids)) : null,
    ...more,
  });
}

test('every route has its line, and every line its route', () => {
  expect(Object.keys(ROUTES).sort()).toEqual(routesOfFiles());
});

for (const name of Object.keys(ROUTES)) {
  const { who, id, gone } = ROUTES[name]!;
  test(`${name} is for ${who.join(', ')}`, async () => {
    for (const asker of ASKERS) {
      // Whoever logs out in this test does so with a log-in of its own.
      const ends = name === 'DELETE /api/session' && asker !== 'stranger';
      const answer = await ask(name, ends ? await logIn(asker) : cookies.get(asker), own);
      await answer.arrayBuffer();
      if (who.includes(asker))
        expect(gone ? [200, 404] : [200, 400], `${asker}: ${answer.status}`).toContain(answer.status);
      else expect(answer.status, asker).toBe(asker === 'stranger' ? 401 : 403);
    }
  });

  if (id)
    test(`${name}: what belongs to another program is not there`, async () => {
      for (const asker of who) {
        const answer = await ask(name, cookies.get(asker), foreign);
        // A body that is refused before anything is looked up says no more than the address does.
        expect([400, 404], `${asker}: ${answer.status}`).toContain(answer.status);
        expect(await answer.text()).not.toContain('otter');
      }
      const made = await fetch(url + name.split(' ')[1]!.replace('[id]', 'x'), {
        headers: { cookie: cookies.get('coach')! },
      });
      expect(made.status).toBe(404);
    });
}

test('a program is entered by its members only', async () => {
  for (const asker of ['coach', 'assistant', 'reader', 'player'] as const)
    expect((await ask('PUT /api/session/program', cookies.get(asker), foreign)).status).toBe(403);
});

test('a cookie is worth nothing after the log-out, in whatever form', async () => {
  const cookie = await logIn('coach');
  const read = (headers: Record<string, string>) => fetch(`${url}/api/book?by=block`, { headers });
  expect((await read({ cookie })).status).toBe(200);
  const value = cookie.slice(cookie.indexOf('=') + 1);
  expect((await read({ 'x-violet-chalk-session': value })).status).toBe(401);
  await fetch(`${url}/api/session`, { method: 'DELETE', headers: { cookie } });
  expect((await read({ cookie })).status).toBe(401);
});

const MOST_POURED = 40_000_000;

/** Sends without end and without saying how much, until the server has answered or hung up, or everything was taken. */
function pour(method: string, path: string, cookie: string): Promise<{ status: number | 'hung up'; sent: number }> {
  const drop = Buffer.alloc(64_000, 32);
  return new Promise((done) => {
    let sent = 0;
    const stream = request(url + path, { method, headers: { 'content-type': 'application/json', cookie } });
    const end = (status: number | 'hung up'): void => {
      stream.destroy();
      done({ status, sent });
    };
    const more = (): void => {
      let room = true;
      while (room && sent < MOST_POURED) {
        room = stream.write(drop);
        sent += drop.length;
      }
      if (sent >= MOST_POURED) end('hung up');
    };
    stream.on('drain', more);
    stream.on('response', (answer) => end(answer.statusCode!));
    stream.on('error', () => end('hung up'));
    more();
  });
}

test('too much is refused as it comes, though nobody said how much it would be', async () => {
  for (const [method, path] of [
    ['POST', '/api/session'],
    ['PUT', '/api/program'],
  ] as const) {
    const { status, sent } = await pour(method, path, cookies.get('coach')!);
    // The server answers and hangs up; which of the two is seen first is the network's affair.
    expect([413, 'hung up']).toContain(status);
    expect(sent).toBeLessThan(20_000_000);
  }
  expect((await fetch(`${url}/api/health`)).status).toBe(200);
});

test('texts nobody can keep are refused with their place', async () => {
  const send = (body: string | Uint8Array) =>
    fetch(`${url}/api/program`, {
      method: 'PUT',
      headers: { 'content-type': 'application/json', cookie: cookies.get('coach')! },
      body: body as BodyInit,
    });
  for (const [body, says] of [
    ['{"naming":{"a":"x\\u0000"}}', 'naming.a: has a character with the number 0'],
    ['{"naming":{"a":"\\ud800"}}', 'naming.a: has half of a two-part character'],
    [new Uint8Array([0x22, 0xff, 0x22]), 'not valid JSON'],
    ['{"naming":', 'not valid JSON'],
    [`${'['.repeat(5000)}${']'.repeat(5000)}`, 'nested'],
  ] as const) {
    const answer = await send(body);
    expect(answer.status).toBe(400);
    expect(((await answer.json()) as { message: string }).message).toContain(says);
  }
});

test('changes come from our own page, as JSON', async () => {
  const send = (headers: Record<string, string>) =>
    fetch(`${url}/api/session`, { method: 'POST', headers, body: 'email=coach@lanterns.example' });
  expect((await send({ 'content-type': 'application/x-www-form-urlencoded' })).status).toBe(415);
  expect((await send({ 'content-type': 'application/json', 'sec-fetch-site': 'same-site' })).status).toBe(403);
  expect((await send({ 'content-type': 'application/json', 'sec-fetch-site': 'same-origin' })).status).toBe(400);
});

test('an address that is none says so', async () => {
  for (const [method, path] of [
    ['GET', '/api/nothing'],
    ['DELETE', '/api/games'],
    ['GET', '/api/snaps/toString'],
    ['GET', '/api/snaps/1/call'],
  ] as const) {
    const answer = await fetch(url + path, { method, headers: { cookie: cookies.get('coach')! } });
    expect(answer.status).toBe(404);
    expect(((await answer.json()) as { message: string }).message).toMatch(/^There is no/);
  }
});
