import { createPinia, setActivePinia } from 'pinia';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { MEASURE_IDS } from '#core/grade/book/measures';
import { SPREAD_PARTS } from '#core/grade/book/spread';
import { useFoes } from './foes';

const line = (key: string, good: number, of: number) => ({
  ...{ key, label: key, marks: of + 1, faults: [] },
  counts: Object.fromEntries(MEASURE_IDS.map((m) => [m, m === 'both' ? { good, of, unknown: 1 } : NONE])),
  spread: Object.fromEntries(SPREAD_PARTS.map((part) => [part, 0])),
});
const NONE = { good: 0, of: 0, unknown: 0 };
const page = (...lines: ReturnType<typeof line>[]) => ({
  ...{ by: 'foe', filter: {}, names: {}, more: 0, lines, total: line('all', 0, 0) },
});

let asked: string[];
let answers: Map<string, () => Promise<unknown>>;
beforeEach(() => {
  setActivePinia(createPinia());
  asked = [];
  answers = new Map();
  vi.stubGlobal('$fetch', (url: string) => {
    const of = new URL(url, 'http://here').searchParams.get('opponent')!;
    asked.push(of);
    return answers.get(of)!();
  });
});
afterEach(() => vi.unstubAllGlobals());

describe('the men of an opponent', () => {
  it('are asked for once, by their letters', async () => {
    answers.set('Quillport Terns', async () =>
      page(line('T of Quillport Terns', 8, 14), line('RE of Quillport Terns', 2, 2)),
    );
    const foes = useFoes();
    await foes.load('Quillport Terns');
    await foes.load('Quillport Terns');
    expect(asked).toEqual(['Quillport Terns']);
    expect(foes.records.get('T')).toMatchObject({ good: 8, of: 14 });
    expect([...foes.records.keys()]).toEqual(['T', 'RE']);
  });

  it('are those of the one asked for last, however slow the one before was', async () => {
    let late!: (found: unknown) => void;
    answers.set('Graymoor Millers', () => new Promise((done) => (late = done)));
    answers.set('Fennick Otters', async () => page(line('N of Fennick Otters', 1, 1)));
    const foes = useFoes();
    const first = foes.load('Graymoor Millers');
    await foes.load('Fennick Otters');
    late(page(line('T of Graymoor Millers', 0, 9)));
    await first;
    expect([...foes.records.keys()]).toEqual(['N']);
  });

  it('are done without when nobody answers, and asked for anew the next time', async () => {
    let fails = true;
    answers.set('Saltmarsh Union', async () => {
      if (fails)
        throw Object.assign(new Error('x'), { status: 503, data: { message: 'The database does not answer.' } });
      return page(line('W of Saltmarsh Union', 1, 3));
    });
    const foes = useFoes();
    await foes.load('Saltmarsh Union');
    expect(foes.records.size).toBe(0);
    fails = false;
    await foes.load('Saltmarsh Union');
    expect([...foes.records.keys()]).toEqual(['W']);
  });
});
