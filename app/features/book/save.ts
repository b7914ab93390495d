import Papa from 'papaparse';
import { FORMULAE } from '~/features/playbook/csv';
import { download } from '~/features/playbook/files';
import type { OutTable } from './table';

/** A table as CSV, with a line of heads; cells that a spreadsheet would run as formulas made harmless. */
export const csvOf = ({ heads, rows }: OutTable): string =>
  Papa.unparse({ fields: [...heads], data: rows.map((row) => [...row]) }, { escapeFormulae: FORMULAE });

const fileName = (title: string, kind: string): string => `${title.toLowerCase().replace(/[^a-z0-9]+/g, '-')}.${kind}`;

export const saveCsv = (table: OutTable): void => download(fileName(table.title, 'csv'), csvOf(table));

/** A table as a spreadsheet; what writes those is fetched when somebody wants one. */
export async function saveSheet(table: OutTable): Promise<void> {
  const { default: writeExcelFile } = await import('write-excel-file/browser');
  const heads = table.heads.map((value) => ({ value, fontWeight: 'bold' as const }));
  const rows = table.rows.map((row) => row.map((value) => (value === null ? null : { value })));
  download(fileName(table.title, 'xlsx'), await writeExcelFile([heads, ...rows]).toBlob());
}
