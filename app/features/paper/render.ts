import type { Content, TableCell, TDocumentDefinitions } from 'pdfmake/interfaces';
import type { Cell, Paper, Part, Sheet } from '#core/paper/sheet';
import type { MarkShape } from '#core/reports/mark-shape';

const SIZES: Record<Paper, 'A4' | 'LETTER'> = { A4: 'A4', Letter: 'LETTER' };
/** Points between the edge of the paper and what is printed, and how wide that is. */
const MARGIN = 36;
const INNER: Record<Paper, number> = { A4: 595 - 2 * MARGIN, Letter: 612 - 2 * MARGIN };

/** Sheets as pages, each beginning a new one. Black on white: everything is told by word or shape. */
export function renderSheets(sheets: readonly Sheet[], paper: Paper): TDocumentDefinitions {
  const stamps = [...new Set(sheets.map((s) => s.stamp))].join('; ');
  return {
    pageSize: SIZES[paper],
    pageMargins: [MARGIN, MARGIN, MARGIN, MARGIN + 8],
    defaultStyle: { font: 'Helvetica', fontSize: 9 },
    info: { title: sheets[0]?.title ?? '' },
    footer: (page, pages) => ({
      columns: [{ text: stamps }, { text: `${page} of ${pages}`, alignment: 'right', width: 60 }],
      margin: [MARGIN, 12],
      fontSize: 8,
    }),
    content: sheets.flatMap((sheet, i): Content[] => [
      { text: sheet.title, fontSize: 16, bold: true, ...(i > 0 ? { pageBreak: 'before' as const } : {}) },
      { text: sheet.subtitle, margin: [0, 2, 0, 8] },
      ...sheet.parts.map((part) => partOf(part, INNER[paper])),
    ]),
  };
}

function partOf(part: Part, width: number): Content {
  switch (part.kind) {
    case 'heading':
      return { text: part.text, fontSize: 11, bold: true, margin: [0, 6, 0, 3] };
    case 'text':
      return { text: part.text, margin: [0, 0, 0, 6], ...(part.small ? { fontSize: 8 } : {}) };
    case 'list':
      return { ul: [...part.items], fontSize: 8, margin: [0, 0, 0, 6] };
    case 'table': {
      const head: TableCell[] = part.head.map((text) => ({ text, bold: true }));
      return {
        table: {
          headerRows: 1,
          dontBreakRows: true,
          widths: [...part.widths],
          body: [head, ...part.rows.map((row) => row.map(cellOf))],
        },
        layout: 'lightHorizontalLines',
        margin: [0, 0, 0, 8],
      };
    }
    case 'figures':
      return {
        columns: part.figures.map(({ name, figure, below }) => ({
          stack: [{ text: name }, { text: figure, fontSize: 14, bold: true }, { text: below, fontSize: 8 }],
        })),
        margin: [0, 0, 0, 8],
      };
    case 'picture':
      return { svg: part.svg, width: width * part.share, margin: [0, 2, 0, 4] };
    case 'card':
      return {
        table: {
          widths: part.columns.map(() => part.width / part.columns.length - 8),
          heights: [part.height],
          body: [
            part.columns.map((lines): TableCell => ({
              text: lines.join('\n'),
              fontSize: part.type,
              lineHeight: 1.05,
              border: [true, true, true, true],
            })),
          ],
        },
        margin: [0, 6, 0, 6],
      };
    case 'columns': {
      const each = width / part.columns.length;
      return {
        columns: part.columns.map((column) => ({ stack: column.map((p) => partOf(p, each - 10)), width: '*' })),
        columnGap: 10,
        // A heading never stands on another page than its picture.
        unbreakable: true,
        margin: [0, 0, 0, 4],
      };
    }
  }
}

function cellOf(cell: Cell): TableCell {
  if (typeof cell === 'string') return { text: cell };
  return 'mark' in cell ? drawn(cell.mark) : { text: cell.strong, bold: true };
}

/** A mark is a small diamond: told apart by its shape, also in black and white. */
function drawn(shape: MarkShape): TableCell {
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
