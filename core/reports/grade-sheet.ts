import { inSentence } from '../vocabulary/in-sentence';
import type { BookSnap } from '../grade/book/lines';
import { MEASURES, type Measure } from '../grade/book/measures';
import { assignmentKept, bothKept, plusKept } from '../grade/rubrics/rubric';
import { rubricOf } from '../grade/rubrics/index';
import { sayBeside } from '../grade/say-grade';
import type { OwnFault } from '../model/faults';
import type { Grade } from '../model/grade';
import type { MarkShape } from './mark-shape';
import { rateOf, type Rate } from '../statistics/rate';

export interface SheetRow {
  readonly snap: string;
  readonly call: string;
  readonly asked: string;
  readonly assignment: MarkShape;
  readonly technique: MarkShape;
  /** Points or finish, where the rubric has them. */
  readonly more: string;
  readonly beside: string;
}

/** A grade sheet of one man, or of a unit, over one game or several. */
export interface GradeSheet {
  readonly title: string;
  readonly subtitle: string;
  readonly rates: readonly { readonly name: string; readonly rate: Rate }[];
  /** Faults and how often, the most frequent first. */
  readonly faults: readonly { readonly name: string; readonly count: number }[];
  readonly rows: readonly SheetRow[];
  readonly notes: string;
}

/** How plays and blocks are said. */
export interface SheetWords {
  readonly play: (scheme: string, side: string) => string;
  readonly block: (block: string) => string;
  readonly fault: (fault: string) => string;
  readonly own: readonly OwnFault[];
}

const shapeOf = (kept: boolean | null): MarkShape => (kept === null ? 'untold' : kept ? 'kept' : 'missed');

const KEPT: Partial<Record<Measure, (grade: Grade) => boolean | null>> = {
  assignment: assignmentKept,
  technique: (g) => plusKept(g.technique),
  both: bothKept,
};

/** Makes the sheet of marks, in the order of the snaps. */
export function gradeSheet(
  marks: readonly BookSnap[],
  { title, subtitle }: { title: string; subtitle: string },
  words: SheetWords,
): GradeSheet {
  const ordered = [...marks].sort((a, b) => a.week - b.week || a.number - b.number || (a.blocker < b.blocker ? -1 : 1));
  const rates = (Object.keys(KEPT) as Measure[]).map((measure) => {
    const kept = ordered.map((m) => KEPT[measure]!(m.grade));
    const told = kept.filter((k) => k !== null);
    return {
      name: MEASURES[measure].name,
      rate: rateOf(told.filter(Boolean).length, told.length, kept.length - told.length),
    };
  });
  const worth = ordered.map((m) => rubricOf(m.grade.rubric).worth(m.grade, m.asked.block));
  const possible = worth.reduce((sum, w) => sum + w.possible, 0);
  const earned = worth.reduce((sum, w) => sum + w.earned, 0);
  const counts = new Map<string, number>();
  for (const { grade } of ordered) for (const f of grade.faults) counts.set(f, (counts.get(f) ?? 0) + 1);
  return {
    title,
    subtitle,
    rates: [
      ...rates,
      { name: MEASURES.score.name, rate: rateOf(earned, possible, worth.filter((w) => w.possible === 0).length) },
    ],
    faults: [...counts]
      .map(([fault, count]) => ({ name: words.fault(fault), count }))
      .sort((a, b) => b.count - a.count || a.name.localeCompare(b.name, 'en')),
    rows: ordered.map((m) => rowOf(m, words, severalGames(ordered))),
    notes:
      'A filled mark is kept, a struck one missed, a dotted one could not be told and is in no percentage. Grades are a help for teaching; they are private to the program and to the man.',
  };
}

const severalGames = (marks: readonly BookSnap[]): boolean => new Set(marks.map((m) => m.gameId)).size > 1;

function rowOf(
  { week, number, blocker, scheme, side, front, asked, grade }: BookSnap,
  words: SheetWords,
  weeks: boolean,
): SheetRow {
  const { parts } = rubricOf(grade.rubric);
  const target = asked.target ? ` ${asked.target}${asked.next ? `, then ${asked.next}` : ''}` : '';
  return {
    snap: weeks ? `${week}.${number}` : String(number),
    call: `${words.play(scheme, side)}, ${inSentence(front)}`,
    asked: `${blocker} ${words.block(asked.block).toLowerCase()}${target}`,
    assignment: shapeOf(assignmentKept(grade)),
    technique: parts.includes('technique') ? shapeOf(plusKept(grade.technique)) : 'none',
    more: parts.includes('points') ? String(grade.points ?? '?') : parts.includes('finish') ? (grade.finish ?? '') : '',
    beside: sayBeside(grade, words.own),
  };
}
