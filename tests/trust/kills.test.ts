import { randomUUID } from 'node:crypto';
import type { ChildProcess } from 'node:child_process';
import { expect, test } from '@playwright/test';
import pg from 'pg';
import { freePort, logInAt, startProcess } from '../e2e/another-process';

/** How often the server is killed while it is given marks; more by hand: `KILLS=200`. */
const KILLS = Number(process.env.KILLS ?? 3);
const GRADE = { rubric: 'plus-minus@1', counts: true, assignment: 'right', technique: 'plus' };

let port: number;
let at: string;
let server: ChildProcess;
let cookie: string;
let program: number;
test.beforeAll(async () => {
  port = await freePort();
  at = `http://localhost:${port}`;
  server = await startProcess(port);
  cookie = await logInAt(at, 'coach');
  // A program of its own, so that nothing other tests look at is marked: the demo, taken out and brought in.
  const copy = await (await fetch(`${at}/api/copy`, { headers: { cookie } })).arrayBuffer();
  const made = await fetch(`${at}/api/copy`, {
    method: 'POST',
    headers: { cookie, 'content-type': 'application/zip' },
    body: copy,
  });
  expect(made.status).toBe(200);
  program = ((await made.json()) as { programId: number }).programId;
});
test.afterAll(async () => {
  server.kill('SIGKILL');
  const client = new pg.Client(process.env.E2E_DATABASE_URL);
  await client.connect();
  await client.query('delete from programs where id = $1', [program]);
  await client.query(`delete from users where email like '%@from-a-copy.invalid'`);
  await client.end();
});

interface Snap {
  id: number;
  asked: { blocker: string }[];
}
interface Given {
  readonly snap: number;
  readonly blocker: string;
  readonly note: string;
}

/** Gives marks one after the other until the server is gone; what it said it has. */
async function giveUntilKilled(
  snaps: readonly Snap[],
  round: number,
  acknowledged: Map<string, Given>,
): Promise<number> {
  let sent = 0;
  for (;;) {
    const snap = snaps[sent % snaps.length]!;
    const blocker = snap.asked[sent % snap.asked.length]!.blocker;
    const note = `round ${round}, mark ${sent}`;
    try {
      const seen = (await (await fetch(`${at}/api/snaps/${snap.id}`, { headers: { cookie } })).json()) as {
        revision: number;
        grades: { blocker: string; revision: number }[];
      };
      const base = seen.grades.find((g) => g.blocker === blocker)?.revision ?? 0;
      const grade = { ...GRADE, finish: null, points: null, phases: {}, outcome: null, facts: [], faults: [], note };
      const entries = [{ entry: randomUUID(), blocker, base, follows: [], grade }];
      const answer = await fetch(`${at}/api/snaps/${snap.id}/grades`, {
        method: 'PUT',
        headers: { cookie, 'content-type': 'application/json' },
        body: JSON.stringify({ sheet: 'program', snapRevision: seen.revision, entries }),
      });
      if (answer.status !== 200) throw new Error(`not taken: ${answer.status} ${await answer.text()}`);
      await answer.text();
    } catch (problem) {
      if (problem instanceof Error && problem.message.startsWith('not taken')) throw problem;
      return sent;
    }
    acknowledged.set(`${snap.id} ${blocker}`, { snap: snap.id, blocker, note });
    sent++;
  }
}

test('no mark the server has said it has is lost or doubled, whenever it is killed', async () => {
  test.setTimeout(60_000 + KILLS * 20_000);
  const games = (await (await fetch(`${at}/api/games`, { headers: { cookie } })).json()) as {
    id: number;
    opponent: string;
  }[];
  const game = games.find((g) => g.opponent === 'Fennick Otters')!;
  const snaps = (await (await fetch(`${at}/api/games/${game.id}/snaps`, { headers: { cookie } })).json()) as Snap[];
  const acknowledged = new Map<string, Given>();
  const client = new pg.Client(process.env.E2E_DATABASE_URL);
  await client.connect();
  for (let round = 0; round < KILLS; round++) {
    const giving = giveUntilKilled(snaps, round, acknowledged);
    await new Promise((soon) => setTimeout(soon, 150 + 97 * (round % 7)));
    server.kill('SIGKILL');
    await giving;
    server = await startProcess(port);
    const { rows } = await client.query<{ snap: number; blocker: string; note: string; book: number; changes: number }>(
      `select g.snap_id as snap, g.blocker, g.body->>'note' as note,
         (select count(*)::int from book_marks b where b.grade_id = g.id) as book,
         (select count(*)::int from grade_changes c where c.snap_id = g.snap_id and c.blocker = g.blocker and c.after->>'note' = g.body->>'note') as changes
       from grades g where g.program_id = $1 and g.sheet = 0`,
      [program],
    );
    const kept = new Map(rows.map((r) => [`${r.snap} ${r.blocker}`, r]));
    expect(kept.size).toBe(rows.length);
    for (const [key, given] of acknowledged) {
      const row = kept.get(key);
      // A later one may have arrived whose answer did not.
      const [, wasRound, wasMark] = /round (\d+), mark (\d+)/.exec(given.note)!.map(Number) as [number, number, number];
      const [, isRound, isMark] = /round (\d+), mark (\d+)/.exec(row?.note ?? '')!.map(Number) as [
        number,
        number,
        number,
      ];
      expect(isRound * 100_000 + isMark, key).toBeGreaterThanOrEqual(wasRound * 100_000 + wasMark);
      expect([row!.book, row!.changes], `${key}: whole, once`).toEqual([1, 1]);
    }
  }
  await client.end();
  expect(acknowledged.size).toBeGreaterThan(0);
});
