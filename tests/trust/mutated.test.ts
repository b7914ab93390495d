import { expect, test } from '@playwright/test';
import fc from 'fast-check';
import pg from 'pg';
import { ROUTES, type Ids } from '../e2e/route-table';

const url = process.env.E2E_URL ?? 'http://localhost:4170';
/** So many bodies and addresses a route; the same ones at every run. */
const ROUNDS = Number(process.env.MUTATIONS ?? 6);
const SEED = 20_261_127;

/** What a program that means no good, or a page of another version, may send. */
const oddText = fc.constantFrom(
  '',
  '\u0000',
  '\ud800',
  'toString',
  '__proto__',
  "'; drop table users; --",
  '9'.repeat(400),
  '%',
  '😀',
);
const oddValue = fc.oneof(
  oddText,
  fc.constantFrom(0, -1, 1e308, 2 ** 31, 0.5, true, false, null, [], {}, [[]], { a: { b: [null] } }),
  fc.jsonValue({ maxDepth: 2 }),
);
const oddWords = fc.array(
  fc.tuple(
    fc.constantFrom('by', 'of', 'take', 'skip', 'measure', 'plays', 'man', 'game', 'day', 'user', 'film', 'x'),
    oddText,
  ),
  { maxLength: 4 },
);

/** A body that is nearly right: one of its fields is another thing, or it is something else altogether. */
function mutated(body: unknown): fc.Arbitrary<unknown> {
  const keys = body && typeof body === 'object' ? Object.keys(body) : [];
  const names = fc.constantFrom(...keys, 'id', 'entries', 'name', 'call', 'body', '__proto__');
  const one = fc.tuple(names, oddValue).map(([key, value]) => ({ ...(body as object), [key]: value }));
  return fc.oneof({ weight: 3, arbitrary: one }, { weight: 1, arbitrary: oddValue });
}

let own: Ids;
let cookie: string;
/** How many were asked, and which took longest: said at the end, judged by whoever reads it. */
const asking = { requests: 0, slowest: 0, what: '' };
test.afterAll(() => {
  const { requests, slowest, what } = asking;
  process.stdout.write(`${requests} odd requests; the slowest took ${Math.round(slowest)} ms: ${what}\n`);
});
test.beforeAll(async () => {
  const client = new pg.Client(process.env.E2E_DATABASE_URL);
  await client.connect();
  const ids = async (table: string): Promise<number> =>
    (await client.query<{ id: number }>(`select id from ${table} order by id limit 1`)).rows[0]?.id ?? 1;
  const [program, game, snap, clip, document, player] = await Promise.all(
    ['programs', 'games', 'snaps', 'clips', 'documents', 'players'].map(ids),
  );
  const nothing = 99_999_999;
  own = {
    ...({ program, game, snap, clip, document, player } as Pick<
      Ids,
      'program' | 'game' | 'snap' | 'clip' | 'document' | 'player'
    >),
    ...{
      film: nothing,
      cut: nothing,
      note: nothing,
      said: nothing,
      leaver: nothing,
      person: nothing,
      invitation: nothing,
    },
    ...{ gonePlayer: nothing, spareGame: nothing, spare: nothing },
  };
  await client.end();
  const answer = await fetch(`${url}/api/session`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ email: 'coach@lanterns.example', password: 'lantern-coach' }),
  });
  cookie = answer.headers.get('set-cookie')!.split(';')[0]!;
});

/** Routes whose right requests make, rename or end something other tests look at. */
const LEFT_ALONE = [
  ...['DELETE /api/session', 'POST /api/demo', 'PUT /api/session/program', 'POST /api/copy', 'POST /api/programs'],
  ...['PUT /api/season', 'POST /api/season', 'PUT /api/account/name', 'POST /api/games'],
];

/** Routes that write or read everything there is: asked a few times only, however many rounds are wanted. */
const HEAVY = ['GET /api/copy', 'POST /api/backups'];
const FEW = 20;

for (const [name, { id, body, who }] of Object.entries(ROUTES)) {
  const [method, path] = name.split(' ') as [string, string];
  if (LEFT_ALONE.includes(name) || method === 'DELETE' || who.length === 0) continue;
  test(`${name} answers whatever is sent, in words where it refuses`, async () => {
    test.setTimeout(60_000 + ROUNDS * 1_000);
    const asked = fc.sample(fc.tuple(body ? mutated(body(own)) : fc.constant(undefined), oddWords), {
      numRuns: HEAVY.includes(name) ? Math.min(ROUNDS, FEW) : ROUNDS,
      seed: SEED,
    });
    for (const [sent, words] of asked) {
      const query =
        method === 'GET' ? `?${new URLSearchParams(words.map(([k, v]) => [k, v.toWellFormed()])).toString()}` : '';
      const since = performance.now();
      const answer = await fetch(url + path.replace('[id]', String(id ? own[id] : '')) + query, {
        method,
        headers: { cookie, ...(body ? { 'content-type': 'application/json' } : {}) },
        body: body ? JSON.stringify(sent) : null,
      });
      const text = await answer.text();
      asking.requests++;
      const took = performance.now() - since;
      if (took > asking.slowest)
        Object.assign(asking, { slowest: took, what: `${name} ${JSON.stringify(sent)} ${query}` });
      expect(answer.status, `${JSON.stringify(sent)} ${query}: ${text.slice(0, 300)}`).toBeLessThan(500);
      if (answer.status >= 400) expect((JSON.parse(text) as { message: string }).message.length).toBeGreaterThan(8);
    }
  });
}
