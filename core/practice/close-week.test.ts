import { describe, expect, it } from 'vitest';
import { SHIPPED_PLAYBOOK } from '../calls/playbook';
import type { PracticeWeek } from '../model/practice';
import { followFaults, whatDrillsDid, type FaultCount } from './close-week';

const DRILLS = SHIPPED_PLAYBOOK.drills();
const count = (week: number, times: number, of: number, more: Partial<FaultCount> = {}): FaultCount => ({
  ...{ gameId: week, week, playerId: 4, fault: 'high-pads', times, of },
  ...more,
});
const practice = (
  week: number,
  ...lines: [drill: string, men: number[]][]
): { week: number; practice: PracticeWeek } => ({
  week,
  practice: {
    days: [
      {
        ...{ day: '2026-11-24', theme: 'foundations', minutes: 30, gear: 'helmets', begins: null },
        lines: lines.map(([drill, men], i) => ({
          ...{ id: String(i), minutes: 5, held: false },
          stations: [{ drill, men, reps: 12, waits: 0, why: '', pairs: [] }],
        })),
      },
    ],
  },
});
const WEEKS = [
  practice(3, ['chute-start', [4, 5]], ['board-drive', [4]], ['stance-press', [5]]),
  practice(4, ['run-the-fit', [4]]),
];

describe('a fault, followed', () => {
  it('goes from the game in which it was marked over what was done about it to the next grade', () => {
    const [first] = followFaults([count(2, 9, 20), count(3, 1, 22)], WEEKS, DRILLS);
    expect(first).toMatchObject({
      ...{ playerId: 4, fault: 'high-pads', from: 2, to: 3, became: 'better' },
      before: { good: 11, of: 20 },
      after: { good: 21, of: 22 },
      // The board mends other faults, and the stance was somebody else's.
      drills: [{ drill: 'chute-start', reps: 12, minutes: 5 }],
    });
  });

  it('is told nothing of by few counts, by none after it, and where it was marked once', () => {
    expect(followFaults([count(2, 2, 4), count(3, 0, 4)], WEEKS, DRILLS)[0]!.became).toBe('no telling');
    expect(followFaults([count(2, 5, 20)], WEEKS, DRILLS)[0]).toMatchObject({
      ...{ to: null, after: null, became: 'no telling' },
      drills: [{ drill: 'chute-start' }, { drill: 'run-the-fit' }],
    });
    expect(followFaults([count(2, 1, 20), count(3, 0, 20)], WEEKS, DRILLS)).toEqual([]);
  });

  it('is each man’s and each fault’s own', () => {
    const found = followFaults(
      [count(2, 6, 20), count(3, 5, 20, { playerId: 5 }), count(3, 6, 20, { fault: 'lunge' }), count(4, 2, 20)],
      WEEKS,
      DRILLS,
    );
    expect(found.map((f) => [f.playerId, f.fault, f.from, f.to])).toEqual([
      [4, 'high-pads', 4, null],
      [4, 'lunge', 3, null],
      [5, 'high-pads', 3, null],
      [4, 'high-pads', 2, 4],
    ]);
  });
});

describe('what drills did', () => {
  it('counts what was followed over them, and only what has been graded since', () => {
    const followed = followFaults(
      [count(2, 9, 20), count(3, 1, 22), count(2, 3, 20, { playerId: 5 }), count(3, 9, 20, { playerId: 5 })],
      [practice(3, ['chute-start', [4, 5]])],
      DRILLS,
    );
    expect(whatDrillsDid(followed)).toEqual([{ drill: 'chute-start', followed: 2, better: 1, worse: 1 }]);
  });
});
