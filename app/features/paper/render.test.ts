import { describe, expect, it } from 'vitest';
import { gradePages } from '#core/paper/grade-pages';
import type { Paper } from '#core/paper/sheet';
import type { GradeSheet } from '#core/reports/grade-sheet';
import { rateOf } from '#core/statistics/rate';
import { renderSheets } from './render';

const sheet = (title: string): GradeSheet => ({
  title,
  subtitle: 'Larkhollow Lanterns, week 3',
  rates: [
    { name: 'Right man', rate: rateOf(3, 4, 1) },
    { name: 'Grade', rate: rateOf(0, 0, 2) },
  ],
  faults: [
    { name: 'high pads', count: 2 },
    { name: 'lunge', count: 1 },
  ],
  rows: (['kept', 'missed', 'untold', 'none'] as const).map((assignment, i) => ({
    ...{ snap: String(i + 1), call: 'power right, over', asked: 'RG double T', technique: 'kept' as const, more: '' },
    assignment,
    beside: '',
  })),
  notes: 'A filled mark is kept.',
});
const sheetsAsPdf = (sheets: readonly GradeSheet[], paper: Paper) => renderSheets(sheets.map(gradePages), paper);
const texts = (content: unknown): string => JSON.stringify(content);

describe('grade sheets on paper', () => {
  it('are on the paper that was asked for, each beginning a page', () => {
    const two = sheetsAsPdf([sheet('61 Anselm Rook'), sheet('55 Jory Pell')], 'Letter');
    expect([two.pageSize, sheetsAsPdf([sheet('x')], 'A4').pageSize]).toEqual(['LETTER', 'A4']);
    const breaks = (two.content as { pageBreak?: string }[]).filter((c) => c.pageBreak === 'before');
    expect(breaks).toHaveLength(1);
    expect(two.info).toEqual({ title: '61 Anselm Rook' });
  });

  it('say percentages with their counts, and that there are too few', () => {
    const said = texts(sheetsAsPdf([sheet('x')], 'A4').content);
    expect(said).toContain('75 %');
    expect(said).toContain('3 of 4, 1 not told, too few to say');
    expect(said).toContain('"–"');
    expect(said).toContain('Faults: high pads 2, lunge');
  });

  it('draw marks that are told apart by their shape alone', () => {
    const { content } = sheetsAsPdf([sheet('x')], 'A4');
    const table = (content as { table?: { body: unknown[][] } }[]).find((c) => c.table)!.table!;
    const drawn = table.body.slice(1).map((row) => texts(row[3]));
    expect(new Set(drawn).size).toBe(4);
    expect(drawn.join()).not.toMatch(/red|green|#[0-9a-f]{6}/);
    expect(table.body.every((row) => row.length === table.body[0]!.length)).toBe(true);
  });

  it('number their pages', () => {
    const { footer } = sheetsAsPdf([sheet('x')], 'A4');
    expect(texts((footer as (page: number, pages: number) => unknown)(2, 5))).toContain('2 of 5');
  });
});
