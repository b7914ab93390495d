import type { FaultId } from '../model/faults';
import type { Grade } from '../model/grade';
import { rateOf, type Rate } from '../statistics/rate';

/** One blocker's mark on one snap, with what it can be counted by. */
export interface MarkRow {
  readonly snapId: number;
  readonly snapNumber: number;
  readonly gameId: number;
  readonly blocker: string;
  readonly playerId: number | null;
  readonly playerName: string;
  readonly playerNumber: number | null;
  readonly scheme: string;
  readonly side: string;
  readonly block: string;
  readonly front: string;
  readonly grade: Grade;
}

/** One line of the book; every number in it can be opened through the rows it was counted from. */
export interface BookLine {
  readonly key: string;
  readonly assignment: Rate;
  readonly technique: Rate;
  /** Right man and the block done as asked. */
  readonly both: Rate;
  readonly faults: readonly { fault: FaultId; count: number }[];
  readonly rows: readonly MarkRow[];
}

/** Which marks a number was counted from. */
export type Measure = 'assignment' | 'technique' | 'both';

/** A mark's worth for a measure: `null` where nobody could tell, or it was not his fault. */
export function worth(grade: Grade, measure: Measure): boolean | null {
  const assignment = grade.assignment === 'right' ? true : grade.assignment === 'wrong' ? false : null;
  const technique = grade.technique === 'plus' ? true : grade.technique === 'minus' ? false : null;
  if (measure === 'assignment') return assignment;
  if (measure === 'technique') return technique;
  if (assignment === false || technique === false) return false;
  return assignment === null || technique === null ? null : true;
}

const rateBy = (rows: readonly MarkRow[], measure: Measure): Rate => {
  const marks = rows.map((r) => worth(r.grade, measure));
  const known = marks.filter((m) => m !== null);
  return rateOf(known.filter(Boolean).length, known.length, marks.length - known.length);
};

/** Groups marks by a key, in the order in which the keys first appear. */
export function bookLines(rows: readonly MarkRow[], keyOf: (row: MarkRow) => string): BookLine[] {
  const groups = new Map<string, MarkRow[]>();
  for (const row of rows) {
    const key = keyOf(row);
    const group = groups.get(key);
    if (group) group.push(row);
    else groups.set(key, [row]);
  }
  return [...groups].map(([key, group]) => ({
    key,
    rows: group,
    assignment: rateBy(group, 'assignment'),
    technique: rateBy(group, 'technique'),
    both: rateBy(group, 'both'),
    faults: countFaults(group),
  }));
}

function countFaults(rows: readonly MarkRow[]): { fault: FaultId; count: number }[] {
  const counts = new Map<FaultId, number>();
  for (const { grade } of rows) if (grade.fault) counts.set(grade.fault, (counts.get(grade.fault) ?? 0) + 1);
  return [...counts]
    .map(([fault, count]) => ({ fault, count }))
    .sort((a, b) => b.count - a.count || (a.fault < b.fault ? -1 : 1));
}
