import { defineStore } from 'pinia';
import { shallowRef } from 'vue';
import type { ReadGrade } from '#core/grade/read-records';
import { SnapViewSchema, type SnapView } from '#core/model/snap-view';
import { GradeSchema, type Grade } from '#core/model/grade';
import { useMarks } from '~/features/marks/store';
import { request } from '~/features/session/request';

/** A mark that came in from a table, and what stood there before it. */
interface Written {
  readonly snapId: number;
  readonly blocker: string;
  readonly grade: Grade;
  readonly before: Grade | null;
}

const readSnap = async (id: number): Promise<SnapView> => SnapViewSchema.parse(await request(`/api/snaps/${id}`));
/** Both as the schema orders them, so that the same mark is the same text. */
const isSame = (one: Grade, other: Grade): boolean =>
  JSON.stringify(GradeSchema.parse(one)) === JSON.stringify(GradeSchema.parse(other));

/** Grades that come in from a table: snap by snap, each on the marks that stand there now; the last table can be taken back. */
export const useGradeImport = defineStore('grade-import', () => {
  const box = useMarks();
  /** What the last table wrote. */
  const written = shallowRef<readonly Written[]>([]);

  const bySnap = (marks: readonly { snapId: number }[]): number[] => [...new Set(marks.map((m) => m.snapId))];

  /** Writes what was read; whatever is written when something fails can be taken back all the same. */
  async function write(grades: readonly ReadGrade[]): Promise<void> {
    written.value = [];
    for (const snapId of bySnap(grades)) {
      const snap = await readSnap(snapId);
      const marks = grades
        .filter((g) => g.snapId === snapId)
        .map(({ blocker, grade }) => ({ blocker, grade, there: snap.grades.find((k) => k.blocker === blocker) }));
      written.value = [
        ...written.value,
        ...marks.map(({ blocker, grade, there }) => ({ snapId, blocker, grade, before: there?.grade ?? null })),
      ];
      await box.give(
        snap,
        'program',
        marks.map(({ blocker, grade, there }) => ({ blocker, grade, base: there?.revision ?? 0 })),
      );
    }
  }

  /** Puts back what stood there before the last table; marks that somebody has changed since stay. Returns how many went back and how many stay. */
  async function takeBack(): Promise<{ back: number; stay: number }> {
    let back = 0;
    for (const snapId of bySnap(written.value)) {
      const snap = await readSnap(snapId);
      const own = written.value.filter((w) => w.snapId === snapId);
      const marks = own.flatMap(({ blocker, grade, before }) => {
        const there = snap.grades.find((k) => k.blocker === blocker);
        return there && isSame(there.grade, grade) ? [{ blocker, grade: before, base: there.revision }] : [];
      });
      back += marks.length;
      if (marks.length > 0) await box.give(snap, 'program', marks);
    }
    const stay = written.value.length - back;
    written.value = [];
    return { back, stay };
  }

  return { written, write, takeBack };
});
