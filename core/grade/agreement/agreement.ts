import * as z from 'zod';
import { GradeSchema, type Grade } from '../../model/grade';
import { kappaOf, type Agreement } from '../../statistics/kappa';

/** What two graders are compared on, each with how a grade answers it; what one of them did not answer is not compared. */
export interface AgreementItem {
  readonly id: string;
  readonly name: string;
  /** The categories in their order, where a near miss is less than a far one. */
  readonly scale?: readonly string[];
  readonly of: (grade: Grade) => string | null;
}

export const AGREEMENT_ITEMS: readonly AgreementItem[] = [
  { id: 'assignment', name: 'Right man', of: (g) => g.assignment },
  { id: 'technique', name: 'Technique', of: (g) => g.technique },
  { id: 'finish', name: 'Finish', of: (g) => g.finish },
  {
    id: 'points',
    name: 'Points',
    scale: ['0', '1', '2', '3', '4'],
    of: (g) => (g.points === null ? null : String(g.points)),
  },
  { id: 'outcome', name: 'Outcome', of: (g) => g.outcome },
  { id: 'fault', name: 'First fault', of: (g) => g.faults[0] ?? (g.technique === 'minus' ? 'none named' : null) },
  { id: 'consequence', name: 'What it meant', scale: ['harmless', 'costly', 'fatal'], of: (g) => g.consequence },
];

/** One man on one snap as two people have marked him. */
export const TwoMarksSchema = z.object({
  snapId: z.int(),
  number: z.int(),
  blocker: z.string(),
  man: z.string(),
  block: z.string(),
  one: GradeSchema,
  other: GradeSchema,
});
export type TwoMarks = z.infer<typeof TwoMarksSchema>;

export interface ItemAgreement extends Agreement {
  readonly item: AgreementItem;
}

/** How well two graders agree, item by item; items that neither used are left out. */
export function agreementOf(marks: readonly TwoMarks[]): ItemAgreement[] {
  return AGREEMENT_ITEMS.flatMap((item) => {
    const pairs = marks
      .map((m) => [item.of(m.one), item.of(m.other)] as const)
      .filter((p): p is readonly [string, string] => p[0] !== null && p[1] !== null);
    return pairs.length ? [{ item, ...kappaOf(pairs, item.scale) }] : [];
  });
}

/** The marks on which two graders differ in what counts: the man, the technique, the finish or the points. */
export const disagreements = (marks: readonly TwoMarks[]): TwoMarks[] =>
  marks.filter(
    ({ one, other }) =>
      one.assignment !== other.assignment ||
      one.technique !== other.technique ||
      one.finish !== other.finish ||
      one.points !== other.points,
  );

/** What is said of a kappa, in words: bands as they are commonly used, to be taken as no more than that. */
export function sayKappa(kappa: number | null): string {
  if (kappa === null) return 'cannot be told from chance';
  if (kappa < 0.2) return 'hardly better than chance';
  if (kappa < 0.4) return 'fair';
  if (kappa < 0.6) return 'moderate';
  return kappa < 0.8 ? 'good' : 'very good';
}
