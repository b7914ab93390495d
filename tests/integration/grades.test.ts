import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { ALL_PLUS, type Grade } from '#core/model/grade';
import type { SnapBody } from '#core/model/snap-body';
import type { GradeEntry, GradesConflict } from '#core/model/grade-entry';
import { GameRow, GradeChangeRow, GradeRow, SnapRow } from '../../server/db/models';
import { listChanged } from '../../server/usecases/changed-answers';
import { changeCall } from '../../server/usecases/change-call';
import { readSnap } from '../../server/usecases/film';
import { gradeHistory, writeGrades } from '../../server/usecases/grades';
import type { Member } from '../../server/session/member';
import { CALL, freshDatabase, makeProgram } from './fresh-database';
import { anEntry, bookOf, markAs } from './marking';

let db: Awaited<ReturnType<typeof freshDatabase>>;
let lanterns: Awaited<ReturnType<typeof makeProgram>>;
beforeAll(async () => {
  db = await freshDatabase();
  lanterns = await makeProgram('Lanterns');
});
afterAll(() => db.drop());

const LATE: Grade = { ...ALL_PLUS, technique: 'minus', faults: ['left-late'], note: 'Came off at the whistle.' };
const noted = (note: string): Grade => ({ ...LATE, note });

describe('grading', () => {
  it('keeps the mark and every change of it, with who and when', async () => {
    const { coach, assistant } = lanterns.members;
    const snap = lanterns.snaps[0]!;
    await markAs(assistant, snap, [{ blocker: 'RG', grade: ALL_PLUS }]);
    await markAs(coach, snap, [{ blocker: 'RG', grade: LATE }]);
    await markAs(coach, snap, [{ blocker: 'RG', grade: LATE }]);
    await markAs(coach, snap, [{ blocker: 'RG', grade: null }]);
    const history = await gradeHistory(coach, snap);
    expect(history.map(({ by, before, after }) => ({ by, before, after }))).toEqual([
      { by: 'Lanterns coach', before: LATE, after: null },
      { by: 'Lanterns coach', before: ALL_PLUS, after: LATE },
      { by: 'Lanterns assistant', before: null, after: ALL_PLUS },
    ]);
    for (const change of history) expect(Math.abs(Date.now() - Date.parse(change.at))).toBeLessThan(60_000);
    expect((await readSnap(coach, snap)).grades).toEqual([]);
  });

  it('keeps with the mark what he was asked, whatever the call is later', async () => {
    const { coach } = lanterns.members;
    const [snap] = lanterns.snaps as [number];
    await markAs(coach, snap, [{ blocker: 'RG', grade: ALL_PLUS }]);
    const before = (await readSnap(coach, snap)).grades[0]!.asked;
    await changeCall(coach, snap, { ...CALL, side: 'left', formation: 'LT LG C RG RT H left' }, true);
    const after = await readSnap(coach, snap);
    expect(after.resolution.assignments.find((a) => a.blocker === 'RG')!.block).not.toBe(before.block);
    expect(after.grades[0]!.asked).toEqual(before);
    expect((await bookOf(coach)).find((r) => r.blocker === 'RG')!.asked).toEqual(before);
    await changeCall(coach, snap, CALL, true);
    await markAs(coach, snap, [{ blocker: 'RG', grade: null }]);
  });

  it('writes a whole snap or nothing', async () => {
    const snap = lanterns.snaps[1]!;
    const { coach } = lanterns.members;
    const before = await GradeChangeRow.count();
    const refused = (marks: { blocker: string; grade: Grade }[], says: string) =>
      expect(markAs(coach, snap, marks)).rejects.toMatchObject({
        statusCode: 400,
        message: expect.stringContaining(says),
      });
    await refused(
      [
        { blocker: 'LT', grade: ALL_PLUS },
        { blocker: 'ZZ', grade: ALL_PLUS },
      ],
      'ZZ has no assignment',
    );
    await refused(
      [
        { blocker: 'LT', grade: ALL_PLUS },
        { blocker: 'LT', grade: LATE },
      ],
      'LT is marked twice',
    );
    await refused([{ blocker: 'LT', grade: { ...ALL_PLUS, rubric: 'stars@7' } }], 'no rubric "stars@7"');
    expect(await GradeRow.count({ where: { snapId: snap } })).toBe(0);
    expect(await GradeChangeRow.count()).toBe(before);
  });

  it('gives the book its rows with what was asked', async () => {
    await markAs(lanterns.members.coach, lanterns.snaps[1]!, [{ blocker: 'LT', grade: noted('first') }]);
    const rows = await bookOf(lanterns.members.coach);
    expect(rows.find((r) => r.blocker === 'LT')).toMatchObject({
      scheme: 'power',
      side: 'right',
      front: 'Over',
      man: '60 Lanterns LT',
      asked: { block: 'hinge' },
      grade: noted('first'),
    });
  });
});

describe('marks that meet', () => {
  const snapOf = () => lanterns.snaps[1]!;
  const send = (member: Member, entries: GradeEntry[], snapRevision?: number) =>
    readSnap(member, snapOf()).then((seen) =>
      writeGrades(member, snapOf(), { sheet: 'program', snapRevision: snapRevision ?? seen.revision, entries }),
    );
  const conflictOf = async (sending: Promise<unknown>): Promise<GradesConflict> => {
    const problem = await sending.then(
      () => null,
      (refused: { statusCode: number; data: GradesConflict }) => refused,
    );
    expect(problem?.statusCode).toBe(409);
    return problem!.data;
  };

  it('are not overwritten by one who has not seen them: he is shown what stands there, by whom', async () => {
    const { coach, assistant } = lanterns.members;
    const { revisions } = await send(assistant, [anEntry('C', noted('assistant'))]);
    const conflict = await conflictOf(send(coach, [anEntry('C', noted('coach')), anEntry('RG', ALL_PLUS)]));
    expect(conflict).toMatchObject({
      kind: 'marks',
      others: [{ blocker: 'C', grade: noted('assistant'), revision: revisions.C, by: 'Lanterns assistant' }],
    });
    const now = await readSnap(coach, snapOf());
    expect(now.grades.map((g) => g.blocker)).not.toContain('RG');
    expect(now.grades.find((g) => g.blocker === 'C')!.grade).toEqual(noted('assistant'));
    await send(coach, [anEntry('C', noted('coach'), revisions.C)]);
    expect((await readSnap(coach, snapOf())).grades.find((g) => g.blocker === 'C')!.grade).toEqual(noted('coach'));
  });

  it('of one grader follow each other though the answer to the first was lost', async () => {
    const { coach } = lanterns.members;
    const first = anEntry('LG', noted('first'));
    await send(coach, [first]);
    const again = await send(coach, [first]);
    expect(again.revisions).toEqual({ LG: 1 });
    const second = anEntry('LG', noted('second'), 0, { follows: [first.entry] });
    expect((await send(coach, [second])).revisions).toEqual({ LG: 2 });
    expect((await send(coach, [second])).revisions).toEqual({ LG: 2 });
    const late = anEntry('LG', noted('late'), 0, { follows: [first.entry] });
    expect((await conflictOf(send(coach, [late]))).others[0]!.grade).toEqual(noted('second'));
  });

  it('do not take away what came meanwhile, nor bring back what was taken away', async () => {
    const { coach, assistant } = lanterns.members;
    await send(coach, [anEntry('RT', noted('one'))]);
    await send(assistant, [anEntry('RT', noted('two'), 1)]);
    expect((await conflictOf(send(coach, [anEntry('RT', null, 1)]))).others[0]!.revision).toBe(2);
    await send(assistant, [anEntry('RT', null, 2)]);
    const gone = await conflictOf(send(coach, [anEntry('RT', noted('three'), 2)]));
    expect(gone.others[0]).toMatchObject({ grade: null, revision: 0 });
    // Both took it away: nothing to quarrel about.
    expect((await send(coach, [anEntry('RT', null, 2)])).revisions).toEqual({ RT: 0 });
  });

  it('are not given against a call that was changed meanwhile', async () => {
    const { coach, assistant } = lanterns.members;
    const { revision } = await readSnap(coach, snapOf());
    await changeCall(assistant, snapOf(), { ...CALL, frontName: 'Over, seen again' }, true);
    const conflict = await conflictOf(send(coach, [anEntry('H', ALL_PLUS)], revision));
    expect(conflict).toMatchObject({ kind: 'call', snapRevision: revision + 1 });
    expect((await readSnap(coach, snapOf())).grades.some((g) => g.blocker === 'H')).toBe(false);
    await changeCall(assistant, snapOf(), CALL, true);
  });

  it('lets of many at once exactly one through each time, whoever it is', async () => {
    const { coach, assistant } = lanterns.members;
    for (let round = 0; round < 6; round++) {
      const base = (await readSnap(coach, snapOf())).grades.find((g) => g.blocker === 'LT')!.revision;
      const tries = [coach, assistant, coach, assistant].map((member, i) =>
        send(member, [anEntry('LT', noted(`round ${round}, ${i}`), base)]),
      );
      const ends = await Promise.allSettled(tries);
      expect(ends.filter((e) => e.status === 'fulfilled')).toHaveLength(1);
      for (const end of ends)
        if (end.status === 'rejected') expect((end.reason as { statusCode: number }).statusCode).toBe(409);
    }
    const chain = (await gradeHistory(coach, snapOf())).filter((c) => c.blocker === 'LT').reverse();
    chain.forEach((change, i) => expect(change.before).toEqual(i === 0 ? null : chain[i - 1]!.after));
  });

  it('stand beside the program’s on a sheet of one’s own, and in no count', async () => {
    const { coach, assistant } = lanterns.members;
    const counted = (await bookOf(coach)).length;
    await markAs(assistant, snapOf(), [{ blocker: 'LT', grade: noted('as I see it') }], 'own');
    expect((await readSnap(assistant, snapOf())).own.map((g) => g.grade.note)).toEqual(['as I see it']);
    expect((await readSnap(coach, snapOf())).own).toEqual([]);
    expect((await readSnap(coach, snapOf())).grades.find((g) => g.blocker === 'LT')!.grade.note).not.toBe(
      'as I see it',
    );
    expect((await bookOf(coach)).length).toBe(counted);
  });

  it('are a player’s own only: himself, on his own sheet, where the coach wants it and until it is published', async () => {
    const { player } = lanterns.members;
    const own = (blocker: string, sheet: 'own' | 'program' = 'own') =>
      writeGrades(player, snapOf(), { sheet, snapRevision: 1, entries: [anEntry(blocker, ALL_PLUS)] });
    const game = (await GameRow.findByPk(lanterns.gameId))!;
    await expect(own('C')).rejects.toMatchObject({ statusCode: 404 });
    await game.update({ ownGrades: true });
    const { revision } = (await SnapRow.findByPk(snapOf()))!;
    const mine = { sheet: 'own', snapRevision: revision, entries: [anEntry('C', noted('I was late'))] } as const;
    expect(await writeGrades(player, snapOf(), { ...mine, entries: [...mine.entries] })).toEqual({
      revisions: { C: 1 },
    });
    await expect(own('LT')).rejects.toMatchObject({ statusCode: 403 });
    await expect(own('C', 'program')).rejects.toMatchObject({ statusCode: 403 });
    await game.update({ published: true });
    await expect(own('C')).rejects.toMatchObject({ statusCode: 404 });
    await game.update({ published: false, ownGrades: false });
  });
});

describe('changing the call of a graded snap', () => {
  it('asks first when a graded man’s assignment would differ, and never touches a grade', async () => {
    const {
      snaps: [, snap],
      members: { coach },
    } = (await makeProgram('Otters')) as { snaps: [number, number]; members: typeof lanterns.members };
    await markAs(coach, snap, [{ blocker: 'LT', grade: LATE }]);
    const left = { ...CALL, side: 'left' as const, formation: 'LT LG C RG RT H left' };
    const grades = (await readSnap(coach, snap)).grades;
    expect(await changeCall(coach, snap, left, false)).toEqual({ affected: ['LT'], changed: false });
    expect((await readSnap(coach, snap)).call.side).toBe('right');
    expect(await changeCall(coach, snap, left, true)).toEqual({ affected: ['LT'], changed: true });
    const after = await readSnap(coach, snap);
    expect(after.resolution.side).toBe('left');
    expect(after.grades).toEqual(grades);
  });

  it('goes through at once while nobody affected is graded', async () => {
    expect((await readSnap(lanterns.members.coach, lanterns.snaps[0]!)).grades).toEqual([]);
    expect(
      await changeCall(
        lanterns.members.coach,
        lanterns.snaps[0]!,
        { ...CALL, side: 'left', formation: 'LT LG C RG RT H left' },
        false,
      ),
    ).toEqual({ affected: [], changed: true });
  });

  it.each([
    ['a front nobody can line up in', { front: 'T 3 right; N 3 right' }, 'stand on one spot'],
    ['a scheme that does not exist', { scheme: 'flea-flicker' }, '"flea-flicker"'],
    ['a tag the scheme has not', { tags: ['wobble'] }, 'has no tag "wobble"'],
    ['a formation without a centre', { formation: 'LT LG RG RT' }, 'not there: C'],
  ])('refuses %s and says so', async (_what, change, message) => {
    await expect(
      changeCall(lanterns.members.coach, lanterns.snaps[0]!, { ...CALL, ...change }, true),
    ).rejects.toMatchObject({ statusCode: 400, message: expect.stringContaining(message) });
  });
});

describe('an answer that is another one today', () => {
  it('is listed with its men, and neither the answer kept nor its grades change', async () => {
    const { coach } = lanterns.members;
    const [snap] = lanterns.snaps as [number];
    expect(await listChanged(coach, lanterns.gameId)).toEqual([]);
    const row = (await SnapRow.findByPk(snap))!;
    const kept = row.body as SnapBody;
    const assignments = kept.resolution.assignments.map((a) => (a.blocker === 'RG' ? { ...a, target: 'M' } : a));
    await row.update({ body: { ...kept, resolution: { ...kept.resolution, assignments } } });
    await markAs(coach, snap, [{ blocker: 'RG', grade: LATE }]);
    expect(await listChanged(coach, lanterns.gameId)).toEqual([
      { id: snap, number: row.number, men: ['RG'], why: null },
    ]);
    const view = await readSnap(coach, snap);
    expect(view.resolution.assignments.find((a) => a.blocker === 'RG')!.target).toBe('M');
    expect(view.grades.find((g) => g.blocker === 'RG')!.grade).toEqual(LATE);
    await row.update({ body: kept });
  });
});
