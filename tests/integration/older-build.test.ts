import { readFileSync } from 'node:fs';
import { gunzipSync } from 'node:zlib';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { formatDiagnostic } from '#core/diagnostics/wording';
import { Playbook } from '#core/calls/playbook';
import { resolve } from '#core/movement/play';
import { need } from '#core/testing/need';
import { GradeRow, SnapRow } from '../../server/db/models';
import { bringUpBooks } from '../../server/book/keep';
import { findMember, type Member } from '../../server/session/member';
import { listChanged } from '../../server/usecases/changed-answers';
import { listSnaps, readSnap } from '../../server/usecases/film';
import { listGames } from '../../server/usecases/schedule';
import { listDocuments } from '../../server/usecases/playbook';
import { freshDatabase } from './fresh-database';
import { bookOf } from './marking';

/*
 * A database as the build before the second look left it: the demo program, and a formation with an order nobody obeys, a front, a scheme
 * and a space of the coach's own.
 */
const dump = gunzipSync(readFileSync(new URL('./kept-by-an-older-build.sql.gz', import.meta.url))).toString();

let db: Awaited<ReturnType<typeof freshDatabase>>;
let coach: Member;
let kept: { id: number; body: unknown }[];
beforeAll(async () => {
  db = await freshDatabase(dump);
  coach = (await findMember(1, 1))!;
  kept = (await SnapRow.findAll({ order: [['number', 'ASC']] })).map((s) => ({ id: s.id, body: s.body }));
});
afterAll(() => db.drop());

describe('what an older build kept', () => {
  it('opens: every snap with the answer it was graded against, every mark', async () => {
    const [game] = await listGames(coach);
    const snaps = await listSnaps(coach, game!.id);
    expect(snaps).toHaveLength(16);
    for (const { id, body } of kept) {
      const { call, resolution, situation } = await readSnap(coach, id);
      expect({ call, situation }).toMatchObject({
        call: (body as { call: object }).call,
        situation: (body as { situation: object }).situation,
      });
      expect(resolution).toMatchObject((body as { resolution: object }).resolution);
    }
    await bringUpBooks();
    const rows = await bookOf(coach);
    expect(rows.length).toBe(await GradeRow.count());
    expect(rows.some((r) => r.grade.faults.length > 0)).toBe(true);
  });

  it('is not changed by looking at what would be worked out otherwise today', async () => {
    const [game] = await listGames(coach);
    const changed = await listChanged(coach, game!.id);
    expect(changed.every((c) => c.men.length > 0 || c.why !== null)).toBe(true);
    const now = await SnapRow.findAll({ order: [['number', 'ASC']] });
    expect(now.map((s) => ({ id: s.id, body: s.body }))).toEqual(kept);
  });

  it('stands in the playbook: fronts, schemes and spaces open, an order nobody obeys is told where it stands', async () => {
    const texts = (await listDocuments(coach)).map(({ shelf, slug, text }) => ({ shelf, id: slug, text: text! }));
    const playbook = new Playbook(texts);
    expect(texts.map((t) => t.id)).toEqual(expect.arrayContaining(['hollow-ghost', 'hollow-bear', 'hollow-duo']));
    const duo = playbook.scheme('hollow-duo');
    const ghost = playbook.formation('hollow-ghost');
    expect(ghost.diagnostics.map((d) => formatDiagnostic('hollow-ghost', d))).toEqual([
      expect.stringMatching(/^hollow-ghost:4:\d+ /),
    ]);
    const formation = need(ghost);
    const front = need(playbook.front('hollow-bear', formation));
    const { assignments } = resolve(need(duo), formation, front, { side: 'right' });
    expect(assignments.map((a) => a.blocker)).toEqual(expect.arrayContaining(['LT', 'LG', 'C', 'RG', 'RT', 'Y']));
  });
});
