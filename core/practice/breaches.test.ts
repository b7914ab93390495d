import { describe, expect, it } from 'vitest';
import { SHIPPED_PLAYBOOK } from '../calls/playbook';
import type { Movement } from '../model/movement';
import { PracticeWaysSchema, type PracticeDay } from '../model/practice';
import { breachesOf, type Held } from './breaches';
import { practising } from './men';
import { theirWays } from './their-ways';

const DRILLS = SHIPPED_PLAYBOOK.drills();
const NAMES = ['Rook', 'Pell', 'Wicken'];
const man = (id: number, here: 'here' | 'limited' | 'away' = 'here') =>
  practising({ id, seat: '', seats: ['RG', 'RT'], weight: null }, here);
const day = (
  date: string,
  lines: readonly (readonly [drill: string, minutes: number, men: number[]])[],
): PracticeDay => ({
  ...{ day: date, theme: 'foundations', minutes: 30, gear: 'full gear', begins: null },
  lines: lines.map(([drill, minutes, men], i) => ({
    ...{ id: String(i), minutes, held: true },
    stations: [{ drill, men, reps: 1, waits: 0, why: '', pairs: [] }],
  })),
});
const says = (days: PracticeDay[], part: Partial<Held> = {}): string[] =>
  breachesOf({
    days,
    ways: PracticeWaysSchema.parse({ contactADay: 10, contactAWeek: 15 }),
    level: 'adult',
    drillOf: (id) => DRILLS.find((d) => d.id === id) ?? null,
    men: () => [man(1), man(2), man(3)],
    nameOf: (id) => NAMES[id - 1]!,
    ...part,
  }).map((b) => `${b.day.slice(-2)} ${b.says}`);

describe('a week changed by hand', () => {
  it('is told where it goes beyond what was entered', () => {
    const monday = day('2026-11-23', [['anchor-again', 8, [1, 2]]]);
    expect(says([monday])).toEqual([]);
    expect(says([monday, day('2026-11-25', [['anchor-again', 8, [2, 3]]])])).toEqual([
      '25 16 minutes of contact in the week by then and 15 entered as the limit: Pell.',
    ]);
    expect(says([day('2026-11-23', [['anchor-again', 12, [1, 2, 3]]])])).toEqual([
      '23 12 minutes of contact on the day and 10 entered as the limit: Rook, Pell, Wicken.',
    ]);
  });

  it('is told what is too long, not allowed, not there any more and not for a man who is limited or away', () => {
    expect(says([day('2026-11-23', [['short-steps', 31, [1]]])])).toEqual([
      '23 31 minutes are planned and 30 are there.',
    ]);
    const house = { chute: false, boards: true, sled: true, shields: true, 'one-on-one': true };
    const ways = PracticeWaysSchema.parse({ house });
    expect(
      says(
        [
          day('2026-11-23', [
            ['chute-start', 5, [1]],
            ['gone', 5, [1]],
          ]),
        ],
        { ways },
      ),
    ).toEqual([
      '23 Under the chute, alone: your house does not use the chute.',
      '23 There is no drill "gone" any more.',
    ]);
    const men = () => [man(1, 'away'), man(2, 'limited')];
    expect(
      says(
        [
          day('2026-11-23', [
            ['down-wall', 5, [1, 2, 3]],
            ['short-steps', 5, [2]],
          ]),
        ],
        { men },
      ),
    ).toEqual(['23 In a group and not there: Rook, Wicken.', '23 Limited, and in a drill in which men meet: Pell.']);
  });
});

describe('what they do after the snap', () => {
  it('is what has to be practised', () => {
    const moves: Movement[] = [
      { kind: 'pinch' },
      { kind: 'twist', first: 'T', second: 'RE' },
      { kind: 'scrape', who: 'M', side: 'right' },
      { kind: 'edge', who: 'S', side: 'right' },
    ];
    expect([...theirWays(moves)]).toEqual(['slant', 'twist', 'edge']);
    expect(theirWays([])).toEqual(new Set());
  });
});
