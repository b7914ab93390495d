import type { Grade } from '#core/model/grade';
import type { GradesKept, GradesSent } from '#core/model/grade-entry';

interface Kept {
  grade: Grade;
  revision: number;
  entry: string;
  by: string;
}

/** The server's marks in memory, with its manners: revisions, 409 with both versions, a mark sent again is the same mark. */
export class MarksServer {
  /** By snap and man. */
  readonly marks = new Map<string, Kept>();
  readonly revisions = new Map<number, number>();

  revisionOf = (snapId: number): number => this.revisions.get(snapId) ?? 1;

  of(snapId: number): { blocker: string; grade: Grade; revision: number }[] {
    return [...this.marks].flatMap(([key, { grade, revision }]) => {
      const [id, blocker] = key.split(' ') as [string, string];
      return Number(id) === snapId ? [{ blocker, grade, revision }] : [];
    });
  }

  /** Somebody else marks a man. */
  set(snapId: number, blocker: string, grade: Grade, by = 'Theo Brandt'): void {
    const key = `${snapId} ${blocker}`;
    const revision = (this.marks.get(key)?.revision ?? 0) + 1;
    this.marks.set(key, { grade, revision, entry: `other ${revision}`, by });
  }

  /** What the route answers, or the refusal it throws. */
  put(snapId: number, { snapRevision, entries }: GradesSent): GradesKept {
    const there = (blocker: string): Kept | null => this.marks.get(`${snapId} ${blocker}`) ?? null;
    const same = (one: Grade | null, other: Grade | null): boolean => JSON.stringify(one) === JSON.stringify(other);
    const changing = entries.filter((e) => !same(there(e.blocker)?.grade ?? null, e.grade));
    const stale = changing.filter((e) => {
      const now = there(e.blocker);
      return (now?.revision ?? 0) !== e.base && !(now && e.follows.includes(now.entry));
    });
    const callChanged = snapRevision !== this.revisionOf(snapId) && changing.length > 0;
    if (callChanged || stale.length) {
      const others = (callChanged ? entries : stale).map(({ blocker }) => ({
        blocker,
        grade: there(blocker)?.grade ?? null,
        revision: there(blocker)?.revision ?? 0,
        by: there(blocker)?.by ?? 'somebody else',
        at: '2026-09-20T20:00:00.000Z',
      }));
      const data = { kind: callChanged ? 'call' : 'marks', snapRevision: this.revisionOf(snapId), others };
      throw refusal(409, 'Somebody else has marked him meanwhile.', data);
    }
    for (const { blocker, grade, entry } of changing) {
      const key = `${snapId} ${blocker}`;
      const revision = (this.marks.get(key)?.revision ?? 0) + 1;
      if (grade) this.marks.set(key, { grade, revision, entry, by: 'Maren Quill' });
      else this.marks.delete(key);
    }
    return { revisions: Object.fromEntries(entries.map((e) => [e.blocker, there(e.blocker)?.revision ?? 0])) };
  }
}

/** A refusal as `$fetch` throws it. */
export const refusal = (status: number, message: string, data: unknown = null): Error =>
  Object.assign(new Error(message), { status, data: { message, data } });
