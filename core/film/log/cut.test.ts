import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ALL_PLUS, type Grade } from '../../model/grade';
import type { AskedItem, SnapItem } from '../../model/game';
import { anEntry, anItem } from '../../testing/a-log';
import { cutOfQuery, CutSchema, hasOptions, isEmptyCut, isInCut, menInCut, optionsOf, type Cut } from './cut';
import { CUT_FIELDS, CUT_KEYS } from './cut-fields';

const man = (blocker: string, block: string, ...partners: string[]): AskedItem => ({ blocker, block, partners });
const MINUS: Grade = { ...ALL_PLUS, technique: 'minus', faults: ['high-pads'] };
const SNAPS: SnapItem[] = [
  anItem(
    anEntry(1, { scheme: 'power', side: 'right', frontName: 'Over' }, { quarter: 1, gain: 4 }),
    [man('RG', 'double', 'RT'), man('RT', 'double', 'RG'), man('LG', 'pull')],
    [{ blocker: 'RG', grade: MINUS }],
  ),
  anItem(
    anEntry(2, { scheme: 'power', side: 'left', frontName: 'Odd', tags: ['kick'] }, { quarter: 3, down: 2, gain: -2 }),
    [man('RG', 'pull'), man('LG', 'double', 'LT')],
    [{ blocker: 'RG', grade: ALL_PLUS }],
  ),
  anItem(anEntry(3, { scheme: 'duo', frontName: 'Odd' }, { quarter: 3, distance: 2, toGoal: 15 }), [
    man('RG', 'double', 'RT'),
  ]),
];
const numbers = (cut: Cut): number[] => SNAPS.filter((s) => isInCut(cut, s)).map((s) => s.number);

describe('a cut', () => {
  it.each<[string, Cut, number[]]>([
    ['nothing said', {}, [1, 2, 3]],
    ['power against odd in the third quarter', { play: ['power'], front: ['Odd'], quarter: ['3'] }, [2]],
    ['either of two', { front: ['Over', 'Odd'], play: ['power'] }, [1, 2]],
    ['doubles of the right guard', { man: ['RG'], block: ['double'] }, [1, 3]],
    ['a pair', { man: ['RG'], with: ['RT'] }, [1, 3]],
    ['a pull of his that was good', { man: ['RG'], block: ['pull'], mark: ['did his job'] }, [2]],
    ['technique minus', { mark: ['technique minus'] }, [1]],
    ['high pads', { fault: ['high-pads'] }, [1]],
    ['lost yards', { gain: ['lost yards'] }, [2]],
    ['short yardage near the goal', { distance: ['short'], zone: ['their last 20'] }, [3]],
    ['a tag', { tag: ['kick'] }, [2]],
  ])('%s', (_what, cut, expected) => {
    expect(numbers(cut)).toEqual(expected);
  });

  it('asks all of one man, never one thing of one and one of another', () => {
    expect(numbers({ man: ['LG'], block: ['pull'] })).toEqual([1]);
    expect(numbers({ man: ['RT'], block: ['pull'] })).toEqual([]);
    expect(menInCut({ block: ['double'] }, SNAPS[0]!)!.map((m) => m.blocker)).toEqual(['RG', 'RT']);
  });

  const cut: fc.Arbitrary<Cut> = fc
    .uniqueArray(fc.constantFrom(...CUT_KEYS), { maxLength: 4 })
    .chain((keys) =>
      fc.tuple(
        ...keys.map((key) =>
          fc.tuple(
            fc.constant(key),
            fc.constantFrom(...optionsOf(key, {}, SNAPS).map((o) => o.value), 'nothing like that'),
          ),
        ),
      ),
    )
    .map((pairs) => Object.fromEntries(pairs.map(([key, value]) => [key, [value]])));

  it('only ever gets smaller with more said', () => {
    fc.assert(
      fc.property(cut, cut, (one, two) => {
        const both = { ...one, ...two };
        for (const n of numbers(both))
          expect(numbers(Object.fromEntries(Object.entries(both).slice(0, 1)) as Cut)).toContain(n);
      }),
    );
  });

  it('offers a value with just as many snaps as choosing it would leave', () => {
    fc.assert(
      fc.property(cut, fc.constantFrom(...CUT_KEYS), (rest, key) => {
        for (const { value, snaps } of optionsOf(key, rest, SNAPS))
          expect(numbers({ ...rest, [key]: [value] })).toHaveLength(snaps);
      }),
    );
  });

  it('knows without counting whether there is anything to choose', () => {
    fc.assert(
      fc.property(cut, fc.constantFrom(...CUT_KEYS), fc.subarray([...SNAPS]), (rest, key, snaps) => {
        expect(hasOptions(key, rest, snaps)).toBe(optionsOf(key, rest, snaps).length > 0);
      }),
      { numRuns: 1000 },
    );
  });

  it('is the same after it went through an address', () => {
    fc.assert(
      fc.property(cut, (one) => {
        expect(CutSchema.parse(one)).toEqual(one);
        const query = Object.fromEntries(Object.entries(one).map(([k, v]) => [k, v!.length === 1 ? v![0] : v]));
        expect(cutOfQuery({ ...query, nonsense: 'x', play2: null })).toEqual(one);
      }),
    );
    expect(isEmptyCut(cutOfQuery({ play: '', man: [] }))).toBe(true);
  });

  it('has a name for every field', () => {
    for (const key of CUT_KEYS) expect(CUT_FIELDS[key].name).not.toBe('');
  });
});
