import type { GradeSheet } from '../reports/grade-sheet';
import type { Rate } from '../statistics/rate';
import type { Sheet } from './sheet';

const percent = ({ share }: Rate): string => (share === null ? '–' : `${Math.round(100 * share)} %`);
const counts = ({ good, of, unknown, tooFew }: Rate): string => {
  const said = (n: number): string => (Number.isInteger(n) ? String(n) : n.toFixed(1));
  return `${said(good)} of ${said(of)}${unknown ? `, ${unknown} not told` : ''}${tooFew ? ', too few to say' : ''}`;
};

/** A grade sheet on paper. */
export const gradePages = (sheet: GradeSheet): Sheet => ({
  title: sheet.title,
  subtitle: sheet.subtitle,
  stamp: '',
  parts: [
    {
      kind: 'figures',
      figures: sheet.rates.map(({ name, rate }) => ({ name, figure: percent(rate), below: counts(rate) })),
    },
    {
      kind: 'text',
      text: sheet.faults.length
        ? `Faults: ${sheet.faults.map((f) => (f.count > 1 ? `${f.name} ${f.count}` : f.name)).join(', ')}`
        : '',
    },
    {
      kind: 'table',
      head: ['Snap', 'Call', 'Asked', 'Man', 'Tech', '', 'What was seen'],
      widths: [28, 120, 100, 24, 24, 24, '*'],
      rows: sheet.rows.map((r) => [
        ...[r.snap, r.call, r.asked],
        ...[{ mark: r.assignment }, { mark: r.technique }],
        ...[r.more, r.beside],
      ]),
    },
    { kind: 'text', text: sheet.notes, small: true },
  ],
});
