import { GradeRecordSchema, type GradeRecord } from '#core/grade/record';
import { writeRecords } from '#core/grade/read-records';
import type { OwnFault } from '#core/model/faults';
import { saveCsv, saveSheet } from '~/features/book/save';
import type { OutTable } from '~/features/book/table';
import { download } from '~/features/playbook/files';
import { request } from '~/features/session/request';

const AT_ONCE = 500;

/** Every grade there is, of one game or of all, fetched a page at a time; `say` hears how many are there. */
export async function allRecords(
  game: number | null,
  say: (done: number, total: number) => void,
): Promise<GradeRecord[]> {
  const records: GradeRecord[] = [];
  for (let total = 1; records.length < total;) {
    const of = game === null ? '' : `game=${game}&`;
    const page = await request<{ records: unknown[]; total: number }>(
      `/api/grading/records?${of}skip=${records.length}&take=${AT_ONCE}`,
    );
    total = page.total;
    if (page.records.length === 0) break;
    records.push(...page.records.map((r) => GradeRecordSchema.parse(r)));
    say(records.length, total);
  }
  return records;
}

const tableOf = (records: readonly GradeRecord[], own: readonly OwnFault[]): OutTable => {
  const [heads, ...rows] = writeRecords(records, own);
  return { title: 'Grades', heads: heads!.map(String), rows };
};

/** In which ways grades go out. */
export const WAYS_OUT = {
  CSV: (records: readonly GradeRecord[], own: readonly OwnFault[]) => saveCsv(tableOf(records, own)),
  spreadsheet: (records: readonly GradeRecord[], own: readonly OwnFault[]) => saveSheet(tableOf(records, own)),
  JSON: (records: readonly GradeRecord[]) => download('grades.json', JSON.stringify(records, null, 1)),
} as const;
export type WayOut = keyof typeof WAYS_OUT;
