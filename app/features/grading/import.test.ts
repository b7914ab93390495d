import { createPinia, setActivePinia } from 'pinia';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { ReadGrade } from '#core/grade/read-records';
import { ALL_PLUS, type Grade } from '#core/model/grade';
import type { GradesSent } from '#core/model/grade-entry';
import { useSession } from '~/features/session/store';
import { aMember } from '~/testing/a-member';
import { aMark, aSnap } from '~/testing/a-snap';
import { MarksServer, refusal } from '~/testing/marks-server';
import { useGradeImport } from './import';
import { sayTakeBack, sayTakenBack } from './words';

const MINUS: Grade = { ...ALL_PLUS, technique: 'minus', faults: ['lunge'] };
const OTHER: Grade = { ...ALL_PLUS, assignment: 'wrong' };
const row = (snapId: number, blocker: string, grade = MINUS): ReadGrade => ({
  ...{ row: 2, snapId, number: snapId % 10, blocker, grade },
});
const TABLE = [row(11, 'LT'), row(11, 'C'), row(12, 'RG')];

let server: MarksServer;
/** Snaps that cannot be read. */
let gone: number[];
const marksOf = (id: number): string[] => server.of(id).map((m) => `${m.blocker} ${m.grade.technique}`);
beforeEach(() => {
  setActivePinia(createPinia());
  [server, gone] = [new MarksServer(), []];
  useSession().member = aMember();
  vi.stubGlobal('$fetch', async (url: string, { body }: { body?: GradesSent } = {}) => {
    const id = Number(/snaps\/(\d+)/.exec(url)![1]);
    if (body) return server.put(id, structuredClone(body));
    if (gone.includes(id)) throw refusal(503, 'The database does not answer.', {});
    const grades = server.of(id).map((m) => aMark(m.blocker, m.grade, m.revision));
    return structuredClone(aSnap(id, { grades, revision: server.revisionOf(id) }));
  });
});
afterEach(() => vi.unstubAllGlobals());

describe('grades from a table', () => {
  it('are written on what stands there, and go back to it', async () => {
    server.set(11, 'C', OTHER);
    const table = useGradeImport();
    await table.write(TABLE);
    expect([marksOf(11).sort(), marksOf(12)]).toEqual([['C minus', 'LT minus'], ['RG minus']]);
    expect(await table.takeBack()).toEqual({ back: 3, stay: 0 });
    expect(server.of(11).map((m) => [m.blocker, m.grade])).toEqual([['C', OTHER]]);
    expect([marksOf(12), table.written]).toEqual([[], []]);
  });

  it('stay where somebody has changed them since', async () => {
    const table = useGradeImport();
    await table.write(TABLE);
    server.set(11, 'LT', OTHER);
    expect(await table.takeBack()).toEqual({ back: 2, stay: 1 });
    expect(server.of(11).map((m) => [m.blocker, m.grade])).toEqual([['LT', OTHER]]);
  });

  it('that broke off in the middle go back as far as they came', async () => {
    gone = [12];
    const table = useGradeImport();
    await expect(table.write(TABLE)).rejects.toThrow('The database does not answer.');
    expect(table.written.map((w) => w.snapId)).toEqual([11, 11]);
    expect(await table.takeBack()).toEqual({ back: 2, stay: 0 });
    expect(marksOf(11)).toEqual([]);
  });

  it('are those of the last table only', async () => {
    const table = useGradeImport();
    await table.write([row(11, 'LT')]);
    await table.write([row(12, 'RG')]);
    expect(await table.takeBack()).toEqual({ back: 1, stay: 0 });
    expect([marksOf(11), marksOf(12)]).toEqual([['LT minus'], []]);
  });

  it('say in words what went back and what stays', () => {
    expect(sayTakeBack(12)).toBe('take the table of 12 back');
    expect(sayTakenBack(1, 0)).toBe('1 mark is as before the table.');
    expect(sayTakenBack(3, 1)).toBe('3 marks are as before the table. 1 mark changed since stays.');
    expect(sayTakenBack(0, 2)).toBe('0 marks are as before the table. 2 marks changed since stay.');
  });
});
