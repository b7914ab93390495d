import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { LogEntrySchema } from '../model/game';
import { NightSnapSchema, type NightSnap } from '../model/night';
import type { PlannedAnswer } from '../model/week-plan';
import { halftimeSheet } from '../paper/halftime-sheet';
import { A_CALL } from '../testing/a-call';
import { asLog } from './as-log';
import { letGo, signsSeen } from './signs';
import { summaryOf } from './summary';

const answer = (sign: string, scheme: string): PlannedAnswer => ({ sign, scheme, side: 'right', tags: [], seen: '' });
const WALKS = answer('Sam walks up', 'duo');
const WIDE = answer('End a yard wide', 'power');
const snap = (scheme: string, signs: string[], lost: string[] = []): NightSnap =>
  NightSnapSchema.parse({
    ...{ id: '00000000-0000-4000-8000-000000000000', number: 1, series: 1, lost, signs },
    ...{ call: { ...A_CALL, scheme }, at: '2026-11-28T19:00:00.000Z' },
  });

describe('signs of theirs', () => {
  it('are counted as seen, as answered by their own play only, and as won then', () => {
    const snaps = [
      snap('duo', [WALKS.sign]),
      snap('duo', [WALKS.sign], ['C']),
      snap('iso', [WALKS.sign, WIDE.sign]),
      snap('power', [WIDE.sign]),
      snap('duo', []),
    ];
    expect(
      signsSeen(snaps, [WIDE, WALKS]).map((s) => [s.sign, s.answered.of, s.answered.good, s.clean.good, letGo(s)]),
    ).toEqual([
      [WALKS.sign, 3, 2, 1, 1],
      [WIDE.sign, 2, 1, 1, 1],
    ]);
  });

  it('may have two plays, may not have come, and stay counted once they are out of the plan', () => {
    const two = signsSeen(
      [snap('iso', [WALKS.sign]), snap('duo', ['A guard points'])],
      [WALKS, { ...WALKS, scheme: 'iso' }, WIDE],
    );
    expect(two.map((s) => [s.sign, s.plays.map((p) => p.scheme), s.answered.of, s.answered.good])).toEqual([
      ['A guard points', [], 1, 0],
      [WALKS.sign, ['duo', 'iso'], 1, 1],
      [WIDE.sign, ['power'], 0, 0],
    ]);
  });

  it('are let go and answered together as often as they were seen, whatever came', () => {
    const any = fc.record({
      scheme: fc.constantFrom('duo', 'power', 'iso'),
      signs: fc.subarray([WALKS.sign, WIDE.sign]),
      lost: fc.subarray(['C', 'RG']),
    });
    fc.assert(
      fc.property(fc.array(any, { maxLength: 30 }), (game) => {
        const snaps = game.map((g) => snap(g.scheme, g.signs, g.lost));
        const seen = signsSeen(snaps, [WALKS, WIDE]);
        for (const s of seen) {
          expect(letGo(s) + s.answered.good).toBe(game.filter((g) => g.signs.includes(s.sign)).length);
          expect(s.clean.of).toBe(s.answered.good);
        }
        expect(seen.map(letGo)).toEqual([...seen.map(letGo)].sort((a, b) => b - a));
      }),
    );
  });

  it('stand on the sheet for halftime and in the log, and nowhere where the plan has none', () => {
    const snaps = [snap('iso', [WALKS.sign], ['C'])];
    const sheetWith = (answers: PlannedAnswer[], of: NightSnap[]) =>
      halftimeSheet(summaryOf(of, { looks: [] }), {
        ...{ title: 'Week 6', stamp: 's', sayPlay: (scheme: string, side: string) => `${scheme} ${side}` },
        ...{ wins: [], sound: [], signs: signsSeen(of, answers) },
      }).parts;
    expect(sheetWith([WALKS], snaps).find((p) => p.kind === 'table' && p.head[0] === 'Sign')).toMatchObject({
      rows: [[{ strong: WALKS.sign }, 'duo right', '1', '0', '0']],
    });
    expect(sheetWith([], []).some((p) => p.kind === 'heading' && p.text === 'Their signs')).toBe(false);
    const long = 'x'.repeat(110);
    const logged = asLog([...snaps, { ...snap('duo', [long, `${long}y`], ['C']), number: 2 }], new Set());
    expect(logged[0]!.logged.said).toBe('Lost at the game: C. Seen before it: Sam walks up');
    for (const entry of logged) expect(LogEntrySchema.safeParse(entry).success).toBe(true);
  });
});
