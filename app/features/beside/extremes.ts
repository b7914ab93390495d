import type { Grade } from '#core/model/grade';
import type { SnapItem } from '#core/model/game';

/** How bad a mark is, to find the worst of several: what nobody could tell is no fault. */
export const faultOf = (g: Grade): number =>
  (g.assignment === 'wrong' ? 4 : 0) +
  (g.technique === 'minus' ? 2 : 0) +
  (g.assignment === 'cannot tell' || g.technique === 'cannot tell' ? 1 : 0);

/** The latest snap on which a man did his job and the latest of his worst; `null` where his graded snaps do not differ. */
export function bestAndWorst(snaps: readonly SnapItem[], man: string): { best: SnapItem; worst: SnapItem } | null {
  const graded = snaps.flatMap((snap) => {
    const grade = snap.graded.find((g) => g.blocker === man)?.grade;
    return grade && snap.angles.length ? [{ snap, fault: faultOf(grade) }] : [];
  });
  const best = graded.reduce<(typeof graded)[number] | null>((a, b) => (!a || b.fault <= a.fault ? b : a), null);
  const worst = graded.reduce<(typeof graded)[number] | null>((a, b) => (!a || b.fault >= a.fault ? b : a), null);
  return best && worst && best.fault < worst.fault ? { best: best.snap, worst: worst.snap } : null;
}
