import { describe, expect, it } from 'vitest';
import { anEntry } from '#core/testing/a-log';
import { csvOf, readTable } from './tables';

const file = (text: string | Uint8Array<ArrayBuffer>, name = 'log.csv') => new File([text], name);

describe('a table from a file', () => {
  it.each([
    ['commas', 'Snap,Play\n1,Power\n'],
    ['semicolons', 'Snap;Play\r\n1;Power\r\n'],
    ['tabs, and a mark of its encoding', '\uFEFFSnap\tPlay\n1\tPower\n\n'],
  ])('is read with %s', async (_what, text) => {
    expect(await readTable(file(text))).toEqual({
      table: { headings: ['Snap', 'Play'], rows: [['1', 'Power']] },
      problem: '',
    });
  });

  it.each([
    ['nothing in it', '', 'no row under its headings'],
    ['headings alone', 'Snap,Play\n', 'no row under its headings'],
    ['a quotation that does not end', 'Snap,Play\n1,"Power\n', 'quotation mark'],
    ['too many rows', `Snap\n${'1\n'.repeat(401)}`, 'at most 400 snaps'],
    ['more than any log', `Snap\n${'x'.repeat(1_000_001)}`, 'larger than 1 MB'],
    ['a spreadsheet’s own bytes', 'PK\u0003\u0004\0\0', 'is no text'],
  ])('is refused in words: %s', async (_what, text, says) => {
    const { table, problem } = await readTable(file(text));
    expect(table).toBeNull();
    expect(problem).toContain(`log.csv`);
    expect(problem).toContain(says);
    expect(problem).toContain('Nothing was changed.');
  });

  it('is refused where it is in another encoding', async () => {
    expect((await readTable(file(new Uint8Array([0x53, 0xe9, 0x0a, 0x31])))).problem).toContain('UTF-8');
  });
});

describe('a log as CSV', () => {
  it('runs no formula in a spreadsheet, and leaves a loss of yards alone', async () => {
    const entry = anEntry(1, {}, { gain: -3 });
    const text = csvOf([{ ...entry, logged: { ...entry.logged, said: '=SUM(A1)', notCounted: '-x' } }]);
    expect(text).toContain("'=SUM(A1)");
    expect(text).toContain("'-x");
    expect(text).toContain(',-3,');
    const { table } = await readTable(file(text));
    expect(table!.rows).toHaveLength(1);
  });
});
