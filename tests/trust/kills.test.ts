import { randomUUID } from 'node:crypto';
import { expect, test } from '@playwright/test';
import { Installation, VICTIMS } from './own-installation';

/** How often something is killed while marks are given: the server, the database, both; more by hand: `KILLS=200`. */
const KILLS = Number(process.env.KILLS ?? 3);
const GRADE = { rubric: 'plus-minus@1', counts: true, assignment: 'right', technique: 'plus' };

let home: Installation;
let cookie: string;
test.beforeAll(async () => {
  home = await Installation.make('kills-cluster');
  cookie = await home.logIn('coach');
});
test.afterAll(() => home.stop());

interface Snap {
  id: number;
  asked: { blocker: string }[];
}
/** The last mark of one man on one snap that the server has said it has. */
interface Given {
  readonly round: number;
  readonly mark: number;
}
const noteOf = ({ round, mark }: Given): string => `round ${round}, mark ${mark}`;
const givenBy = (note: string): Given => {
  const [, round, mark] = /round (\d+), mark (\d+)/.exec(note)!.map(Number);
  return { round: round!, mark: mark! };
};
const isLater = (a: Given, b: Given): boolean => a.round > b.round || (a.round === b.round && a.mark >= b.mark);

/** One mark, over whatever is there: whether the server has said that it has it. Away or without its database it says nothing, or 503. */
async function give(snap: Snap, blocker: string, note: string): Promise<boolean> {
  const away = (status: number): boolean => status === 503;
  try {
    const look = await fetch(`${home.at}/api/snaps/${snap.id}`, { headers: { cookie } });
    if (away(look.status)) return false;
    if (look.status !== 200) throw new Error(`not taken: ${look.status} when looked at`);
    const seen = (await look.json()) as { revision: number; grades: { blocker: string; revision: number }[] };
    const base = seen.grades.find((g) => g.blocker === blocker)?.revision ?? 0;
    const grade = { ...GRADE, finish: null, points: null, phases: {}, outcome: null, facts: [], faults: [], note };
    const entries = [{ entry: randomUUID(), blocker, base, follows: [], grade }];
    const answer = await fetch(`${home.at}/api/snaps/${snap.id}/grades`, {
      method: 'PUT',
      headers: { cookie, 'content-type': 'application/json' },
      body: JSON.stringify({ sheet: 'program', snapRevision: seen.revision, entries }),
    });
    const text = await answer.text();
    if (away(answer.status)) return false;
    if (answer.status !== 200) throw new Error(`not taken: ${answer.status} ${text}`);
    return true;
  } catch (problem) {
    if (problem instanceof Error && problem.message.startsWith('not taken')) throw problem;
    return false;
  }
}

test('no mark the server has said it has is lost, doubled or half there, whatever is killed whenever', async () => {
  test.setTimeout(60_000 + KILLS * 30_000);
  const games = (await (await fetch(`${home.at}/api/games`, { headers: { cookie } })).json()) as {
    id: number;
    opponent: string;
  }[];
  const game = games.find((g) => g.opponent === 'Fennick Otters')!;
  const snaps = (await (
    await fetch(`${home.at}/api/games/${game.id}/snaps`, { headers: { cookie } })
  ).json()) as Snap[];
  const acknowledged = new Map<string, Given>();
  for (let round = 0; round < KILLS; round++) {
    const victim = VICTIMS[round % VICTIMS.length]!;
    let isOver = false;
    let taken = 0;
    const giving = (async () => {
      for (let mark = 0; !isOver; mark++) {
        const snap = snaps[mark % snaps.length]!;
        const { blocker } = snap.asked[mark % snap.asked.length]!;
        if (await give(snap, blocker, noteOf({ round, mark }))) {
          acknowledged.set(`${snap.id} ${blocker}`, { round, mark });
          taken++;
        } else await new Promise((soon) => setTimeout(soon, 20));
      }
    })();
    await new Promise((soon) => setTimeout(soon, 150 + 97 * (round % 7)));
    home.kill(victim);
    await home.raise(victim);
    // It takes marks again, brought back by nobody.
    const before = taken;
    await expect(() => expect(taken).toBeGreaterThan(before)).toPass({ timeout: 30_000 });
    isOver = true;
    await giving;
    const rows = await home.rows<{ snap: number; blocker: string; note: string; book: number; changes: number }>(
      `select g.snap_id as snap, g.blocker, g.body->>'note' as note,
         ((select count(*) from book_marks b where b.grade_id = g.id) + (select count(*) from book_due d where d.snap_id = g.snap_id
            and not exists (select 1 from book_marks b where b.grade_id = g.id)))::int as book,
         (select count(*)::int from grade_changes c where c.snap_id = g.snap_id and c.blocker = g.blocker and c.after->>'note' = g.body->>'note') as changes
       from grades g join snaps s on s.id = g.snap_id where s.game_id = $1 and g.sheet = 0`,
      [game.id],
    );
    const kept = new Map(rows.map((r) => [`${r.snap} ${r.blocker}`, r]));
    expect(kept.size).toBe(rows.length);
    for (const [key, given] of acknowledged) {
      const row = kept.get(key)!;
      // A later one may have arrived whose answer did not.
      expect(isLater(givenBy(row.note), given), `${key} after ${victim}, round ${round}`).toBe(true);
      expect([row.book, row.changes], `${key}: whole, once`).toEqual([1, 1]);
    }
  }
  expect(acknowledged.size).toBeGreaterThan(0);
  process.stdout.write(`${KILLS} kills while marks came in, of ${VICTIMS.join(', ')} by turns\n`);
});
