import type { TDocumentDefinitions, Content, TableCell } from 'pdfmake/interfaces';
import type { GradeSheet, MarkShape } from '#core/reports/grade-sheet';
import type { Rate } from '#core/statistics/rate';

export const PAPERS = { A4: 'A4', Letter: 'LETTER' } as const;
export type Paper = keyof typeof PAPERS;

/** A mark is a small diamond: told apart by its shape, also in black and white. */
function drawn(shape: MarkShape): Content {
  if (shape === 'none') return { text: '' };
  const diamond = {
    type: 'polyline' as const,
    closePath: true,
    points: [
      { x: 5, y: 0 },
      { x: 10, y: 5 },
      { x: 5, y: 10 },
      { x: 0, y: 5 },
    ],
    lineWidth: 0.8,
  };
  if (shape === 'kept') return { canvas: [{ ...diamond, color: 'black' }] };
  if (shape === 'untold') return { canvas: [{ ...diamond, dash: { length: 1, space: 1.5 } }] };
  return { canvas: [diamond, { type: 'line' as const, x1: -1, y1: 10, x2: 11, y2: 0, lineWidth: 1.6 }] };
}

const percent = ({ share }: Rate): string => (share === null ? '–' : `${Math.round(100 * share)} %`);
const counts = ({ good, of, unknown, tooFew }: Rate): string => {
  const said = (n: number): string => (Number.isInteger(n) ? String(n) : n.toFixed(1));
  return `${said(good)} of ${said(of)}${unknown ? `, ${unknown} not told` : ''}${tooFew ? ', too few to say' : ''}`;
};

/** One sheet after the other, each beginning a page. */
export function sheetsAsPdf(sheets: readonly GradeSheet[], paper: Paper): TDocumentDefinitions {
  return {
    pageSize: PAPERS[paper],
    pageMargins: [36, 36, 36, 44],
    defaultStyle: { font: 'Helvetica', fontSize: 9 },
    info: { title: sheets[0]?.title ?? 'Grades' },
    footer: (page, pages) => ({ text: `${page} of ${pages}`, alignment: 'right', margin: [36, 12], fontSize: 8 }),
    content: sheets.flatMap((sheet, i) => sheetContent(sheet, i > 0)),
  };
}

function sheetContent(sheet: GradeSheet, onNewPage: boolean): Content[] {
  const head: TableCell[] = ['Snap', 'Call', 'Asked', 'Man', 'Tech', '', 'What was seen'].map((text) => ({
    text,
    bold: true,
  }));
  const rows = sheet.rows.map((r): TableCell[] => [
    r.snap,
    r.call,
    r.asked,
    drawn(r.assignment),
    drawn(r.technique),
    r.more,
    r.beside,
  ]);
  return [
    { text: sheet.title, fontSize: 16, bold: true, ...(onNewPage ? { pageBreak: 'before' as const } : {}) },
    { text: sheet.subtitle, margin: [0, 2, 0, 8] },
    {
      columns: sheet.rates.map(({ name, rate }) => ({
        stack: [{ text: name }, { text: percent(rate), fontSize: 14, bold: true }, { text: counts(rate), fontSize: 8 }],
      })),
      margin: [0, 0, 0, 8],
    },
    {
      text: sheet.faults.length
        ? `Faults: ${sheet.faults.map((f) => (f.count > 1 ? `${f.name} ${f.count}` : f.name)).join(', ')}`
        : '',
      margin: [0, 0, 0, 8],
    },
    {
      table: { headerRows: 1, dontBreakRows: true, widths: [28, 120, 100, 24, 24, 24, '*'], body: [head, ...rows] },
      layout: 'lightHorizontalLines',
    },
    { text: sheet.notes, fontSize: 8, margin: [0, 10, 0, 0] },
  ];
}
