import { randomUUID } from 'node:crypto';
import type { BookSnap } from '#core/grade/book/lines';
import type { Grade } from '#core/model/grade';
import type { GradeEntry, GradesKept, Sheet } from '#core/model/grade-entry';
import type { Member } from '../../server/session/member';
import { readSnapsBehind } from '../../server/usecases/book';
import { readSnap } from '../../server/usecases/film';
import { writeGrades } from '../../server/usecases/grades';

/** An entry as a grader's machine makes it. */
export const anEntry = (
  blocker: string,
  grade: Grade | null,
  base = 0,
  more: Partial<GradeEntry> = {},
): GradeEntry => ({
  entry: randomUUID(),
  blocker,
  grade,
  base,
  follows: [],
  ...more,
});

/** Marks men as a grader does who has just looked at the snap. */
export async function markAs(
  member: Member,
  snapId: number,
  marks: readonly { blocker: string; grade: Grade | null }[],
  sheet: Sheet = 'program',
): Promise<GradesKept> {
  const seen = await readSnap(member, snapId);
  const kept = sheet === 'program' ? seen.grades : seen.own;
  const base = (blocker: string): number => kept.find((g) => g.blocker === blocker)?.revision ?? 0;
  const entries = marks.map(({ blocker, grade }) => anEntry(blocker, grade, base(blocker)));
  return writeGrades(member, snapId, { sheet, snapRevision: seen.revision, entries });
}

/** Every mark the Book shows a member, in the order of their snaps. */
export async function bookOf(member: Member): Promise<BookSnap[]> {
  const { snaps } = await readSnapsBehind(member, {}, 'both', { skip: 0, take: 200 });
  return [...snaps].sort((a, b) => a.number - b.number || (a.blocker < b.blocker ? -1 : 1));
}
