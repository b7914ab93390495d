import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { RESULTS, type Penalty } from '../../model/snap';
import { anEntry } from '../../testing/a-log';
import { COLUMN_KEYS, columnOf } from './columns';
import { readFieldPlace, sayFieldPlace } from './field-place';
import { nextEntry, usualFront } from './habits';
import { matchColumns, readSheet, writeSheet } from './sheet';

const known = {
  plays: [
    { id: 'power', name: 'Power' },
    { id: 'duo', name: 'Duo' },
  ],
  formations: [
    { name: 'H right', text: 'LT LG C RG RT; H right' },
    { name: 'Five-man', text: 'LT LG C RG RT' },
  ],
  fronts: [
    { name: 'Over', text: 'N 1 left; T 3 right' },
    { name: 'Odd', text: 'N 0' },
  ],
};
const first = anEntry(1, {
  scheme: 'power',
  formation: known.formations[0]!.text,
  formationName: 'H right',
  front: known.fronts[0]!.text,
  frontName: 'Over',
}).call;
const read = (table: string[][], log = [] as ReturnType<typeof anEntry>[]) => {
  const [headings, ...rows] = table as [string[], ...string[][]];
  return readSheet(headings, rows, matchColumns(headings), { known, log, first });
};

describe('a place on the field', () => {
  it('is read back as it is said, everywhere', () => {
    fc.assert(
      fc.property(fc.option(fc.integer({ min: 1, max: 99 })), (toGoal) => {
        expect(readFieldPlace(sayFieldPlace(toGoal))).toEqual({ ok: true, toGoal });
      }),
    );
    expect([sayFieldPlace(65), sayFieldPlace(20), sayFieldPlace(50)]).toEqual(['own 35', 'their 20', 'midfield']);
  });
  it.each(['own', 'own 0', 'their 51', '-35', 'north 20'])('is refused in words: %s', (text) => {
    const place = readFieldPlace(text);
    expect(!place.ok && place.problem).toContain(`"${text}"`);
  });
});

describe('what comes next', () => {
  it('is called like the last one, against what they show most against that formation', () => {
    const odd = { front: 'N 0', frontName: 'Odd' };
    const log = [anEntry(1, odd), anEntry(2), anEntry(3, odd), anEntry(4, { formation: 'LT LG C RG RT' }), anEntry(5)];
    expect(usualFront(log, log[0]!.call.formation)!.frontName).toBe(anEntry(2).call.frontName);
    expect(usualFront([log[0]!, log[1]!, log[2]!], log[0]!.call.formation)!.frontName).toBe('Odd');
    const next = nextEntry(log, first);
    expect([next.number, next.call.scheme, next.situation.down]).toEqual([6, log[4]!.call.scheme, 2]);
    expect(nextEntry([], first)).toMatchObject({ number: 1, call: first, situation: { down: 1, distance: 10 } });
  });
});

describe('a log as a table', () => {
  const flag: fc.Arbitrary<Penalty | null> = fc.option(
    fc.record({
      what: fc.constantFrom('holding', 'offside'),
      on: fc.constantFrom('us' as const, 'them' as const),
      yards: fc.integer({ min: 0, max: 15 }),
      again: fc.boolean(),
    }),
  );
  const entry = fc
    .record({
      play: fc.constantFrom(...known.plays),
      formation: fc.constantFrom(...known.formations),
      front: fc.constantFrom(...known.fronts),
      side: fc.constantFrom('left' as const, 'right' as const),
      tags: fc.subarray(['kick', 'split']),
      down: fc.integer({ min: 1, max: 4 }),
      distance: fc.integer({ min: 1, max: 99 }),
      gain: fc.integer({ min: -99, max: 99 }),
      beforeContact: fc.option(fc.integer({ min: -99, max: 99 })),
      toGoal: fc.option(fc.integer({ min: 1, max: 99 })),
      result: fc.constantFrom(...RESULTS),
      penalty: flag,
      said: fc.constantFrom('', 'Granite, "Ferry"', 'a; b,c'),
      notCounted: fc.constantFrom('', 'kneel'),
    })
    .map(({ play, formation, front, side, tags, said, notCounted, ...situation }) => {
      const call = { scheme: play.id, side, tags, overrides: {} };
      const made = anEntry(
        1,
        {
          ...call,
          formation: formation.text,
          formationName: formation.name,
          front: front.text,
          frontName: front.name,
        },
        situation,
      );
      return { ...made, logged: { ...made.logged, said, notCounted } };
    });

  it('is the same log when it is read again, and over itself', () => {
    fc.assert(
      fc.property(fc.array(entry, { minLength: 1, maxLength: 8 }), (entries) => {
        const log = entries.map((e, i) => ({ ...e, number: i + 1 }));
        const table = writeSheet(log);
        expect(read(table)).toEqual({ entries: log, problems: [] });
        expect(read(table, log)).toEqual({ entries: log, problems: [] });
      }),
    );
  });

  it('knows strange headings, each once, and leaves others alone', () => {
    expect(matchColumns(['Play No.', 'QTR', 'Dist', 'Yards Gained', 'Weather', 'Gained'])).toEqual([
      'snap',
      'quarter',
      'distance',
      'gain',
      null,
      null,
    ]);
    for (const key of COLUMN_KEYS) expect(matchColumns([columnOf(key).heading])).toEqual([key]);
    const all = COLUMN_KEYS.flatMap((k) => [columnOf(k).heading, ...columnOf(k).also]).map((h) => h.toLowerCase());
    expect(new Set(all).size).toBe(all.length);
  });

  it('goes on where rows say nothing: down and distance follow, the call stays', () => {
    const { entries } = read([
      ['Snap', 'Play', 'Gained'],
      ['1', 'Power', '4'],
      ['2', '', '7'],
      ['3', 'duo', '1'],
    ]);
    expect(entries.map((e) => [e.call.scheme, e.situation.down, e.situation.distance, e.situation.gain])).toEqual([
      ['power', 1, 10, 4],
      ['power', 2, 6, 7],
      ['duo', 1, 10, 1],
    ]);
  });

  it('takes the tags of the call before along with the play, and none with another', () => {
    const there = { ...anEntry(4, { scheme: 'duo', tags: ['kick'] }), number: 4 };
    const tags = (play: string) =>
      read(
        [
          ['Snap', 'Play'],
          ['4', play],
        ],
        [there],
      ).entries.map((e) => e.call.tags);
    expect([tags('Duo'), tags('Power')]).toEqual([[['kick']], [[]]]);
  });

  it('changes of a snap that is there only what the table says', () => {
    const there = { ...anEntry(4, { scheme: 'duo' }, { down: 3, distance: 2, gain: 9 }), number: 4 };
    const { entries } = read(
      [
        ['Snap', 'Gained'],
        ['4', '3'],
      ],
      [there],
    );
    expect(entries).toEqual([{ ...there, situation: { ...there.situation, gain: 3 } }]);
  });

  it('names every cell that cannot be read, and leaves its row out', () => {
    const { entries, problems } = read([
      ['Snap', 'Down', 'Play', 'Hash', 'Ball on'],
      ['1', '5', 'Powr', 'left', 'own 20'],
      ['2', '2nd', 'Power', 'centre', 'nowhere'],
      ['3', '1', 'Power', 'left', 'own 20'],
      ['3', '2', 'Power', 'left', 'own 22'],
      ['', '', '', '', ''],
    ]);
    expect(entries.map((e) => e.number)).toEqual([3]);
    expect(problems.map((p) => `${p.row} ${p.heading}: ${p.says}`)).toEqual([
      '2 Down: "5" is no whole number from 1 to 4',
      '2 Play: there is no play "Powr"; did you mean "Power"',
      '3 Hash: "centre" is none of left, middle, right',
      '3 Ball on: "nowhere" is no place on the field; write "own 35", "their 20" or "midfield"',
      '5 Snap: snap 3 is in the table twice',
    ]);
  });
});
