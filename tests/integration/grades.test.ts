import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { ALL_PLUS, type Grade } from '#core/model/grade';
import type { SnapBody } from '#core/model/snap';
import { GradeChangeRow, GradeRow, SnapRow } from '../../server/db/models';
import { listChanged } from '../../server/usecases/changed-answers';
import { changeCall } from '../../server/usecases/change-call';
import { readSnap } from '../../server/usecases/film';
import { gradeHistory, readMarks, writeGrades } from '../../server/usecases/grades';
import { CALL, freshDatabase, makeProgram } from './fresh-database';

let db: Awaited<ReturnType<typeof freshDatabase>>;
let lanterns: Awaited<ReturnType<typeof makeProgram>>;
beforeAll(async () => {
  db = await freshDatabase();
  lanterns = await makeProgram('Lanterns');
});
afterAll(() => db.drop());

const LATE: Grade = { assignment: 'right', technique: 'minus', fault: 'left-late', note: 'Came off at the whistle.' };

describe('grading', () => {
  it('keeps the mark and every change of it, with who and when', async () => {
    const { coach, assistant } = lanterns.members;
    const snap = lanterns.snaps[0]!;
    await writeGrades(assistant, snap, [{ blocker: 'RG', grade: ALL_PLUS }]);
    await writeGrades(coach, snap, [{ blocker: 'RG', grade: LATE }]);
    await writeGrades(coach, snap, [{ blocker: 'RG', grade: LATE }]);
    await writeGrades(coach, snap, [{ blocker: 'RG', grade: null }]);
    const history = await gradeHistory(coach, snap);
    expect(history.map(({ by, before, after }) => ({ by, before, after }))).toEqual([
      { by: 'Lanterns coach', before: LATE, after: null },
      { by: 'Lanterns coach', before: ALL_PLUS, after: LATE },
      { by: 'Lanterns assistant', before: null, after: ALL_PLUS },
    ]);
    for (const change of history) expect(Math.abs(Date.now() - Date.parse(change.at))).toBeLessThan(60_000);
    expect((await readSnap(coach, snap)).grades).toEqual([]);
  });

  it('writes a whole snap or nothing', async () => {
    const snap = lanterns.snaps[1]!;
    const before = await GradeChangeRow.count();
    await expect(
      writeGrades(lanterns.members.coach, snap, [
        { blocker: 'LT', grade: ALL_PLUS },
        { blocker: 'ZZ', grade: ALL_PLUS },
      ]),
    ).rejects.toMatchObject({ statusCode: 400, message: expect.stringContaining('ZZ has no assignment') });
    await expect(
      writeGrades(lanterns.members.coach, snap, [
        { blocker: 'LT', grade: ALL_PLUS },
        { blocker: 'LG', grade: 'nonsense' as unknown as Grade },
        { blocker: 'LG', grade: ALL_PLUS },
      ]),
    ).rejects.toThrow();
    expect(await GradeRow.count({ where: { snapId: snap } })).toBe(0);
    expect(await GradeChangeRow.count()).toBe(before);
  });

  it('lets two graders mark one snap at once without losing either’s record', async () => {
    const snap = lanterns.snaps[1]!;
    const { coach, assistant } = lanterns.members;
    await Promise.all([
      ...Array.from({ length: 4 }, (_, i) =>
        writeGrades(coach, snap, [{ blocker: 'LT', grade: { ...LATE, note: `coach ${i}` } }]),
      ),
      ...Array.from({ length: 4 }, (_, i) =>
        writeGrades(assistant, snap, [{ blocker: 'LT', grade: { ...LATE, note: `assistant ${i}` } }]),
      ),
    ]);
    const chain = (await gradeHistory(coach, snap)).filter((c) => c.blocker === 'LT').reverse();
    expect(chain).toHaveLength(8);
    chain.forEach((change, i) => expect(change.before).toEqual(i === 0 ? null : chain[i - 1]!.after));
    expect((await readSnap(coach, snap)).grades.find((g) => g.blocker === 'LT')?.grade).toEqual(chain.at(-1)!.after);
  });

  it('gives the book its rows with what was asked', async () => {
    const rows = await readMarks(lanterns.members.coach, []);
    expect(rows.find((r) => r.blocker === 'LT')).toMatchObject({
      scheme: 'power',
      side: 'right',
      block: 'hinge',
      front: 'Over',
      playerName: 'Lanterns LT',
      playerNumber: 60,
    });
  });
});

describe('changing the call of a graded snap', () => {
  it('asks first when a graded man’s assignment would differ, and never touches a grade', async () => {
    const snap = lanterns.snaps[1]!;
    const { coach } = lanterns.members;
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
    ['a formation without a centre', { formation: 'LT LG RG RT' }, 'C is missing'],
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
    await writeGrades(coach, snap, [{ blocker: 'RG', grade: LATE }]);
    expect(await listChanged(coach, lanterns.gameId)).toEqual([
      { id: snap, number: row.number, men: ['RG'], why: null },
    ]);
    const view = await readSnap(coach, snap);
    expect(view.resolution.assignments.find((a) => a.blocker === 'RG')!.target).toBe('M');
    expect(view.grades.find((g) => g.blocker === 'RG')!.grade).toEqual(LATE);
    await row.update({ body: kept });
  });
});
