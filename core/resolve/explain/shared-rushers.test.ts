import { describe, expect, it } from 'vitest';
import { readFormation } from '../../language/lineups/read-formation';
import { readFront } from '../../language/lineups/read-front';
import { shippedScheme } from '../../calls/resolve-call';
import { ProgramBodySchema } from '../../model/program';
import type { Resolution } from '../../model/resolution';
import { otherSide, type Side } from '../../model/side';
import { sayShared } from '../../reports/shared-sentence';
import { mirrorFormation, mirrorFront } from '../../testing/fronts';
import { need } from '../../testing/need';
import { resolveStill } from '../resolve';

const men = need(readFormation('LT LG C RG RT B'));
const REACHED = 'LE 5 left; N 1 left; T 3 right; RE 5 right; S 9 right up lb; W 30 left; M 10 right';
function slide(text: string, side: Side = 'right', mirrored = false): Resolution {
  const front = need(readFront(text, men));
  const scheme = need(shippedScheme('pro-full-slide'));
  return mirrored
    ? resolveStill(scheme, mirrorFormation(men), mirrorFront(front), { side: otherSide(side) })
    : resolveStill(scheme, men, front, { side });
}

describe('two men who share two rushers', () => {
  it('are the guard and tackle on the side to which the slide reaches the edge', () => {
    const { passing, calls } = slide(REACHED);
    expect(passing!.shared).toMatchObject([{ blockers: ['RG', 'RT'], on: ['RE', 'S'] }]);
    expect(calls.filter((c) => c.meaning === 'share')).toEqual([
      { from: 'RG', to: 'RT', meaning: 'share', word: 'Ledger' },
    ]);
  });

  it('are nobody where the guard’s man stands inside his tackle', () => {
    const inside = slide('LE 5 left; N 1 left; T 3 right; RE 4i right; S 9 right up lb; W 30 left; M 10 right');
    expect(inside.passing!.shared).toEqual([]);
    expect(slide('LE 5 left; N 1 left; T 3 right; RE 5 right; W 30 left; M 10 right').passing!.shared).toEqual([]);
  });

  it('are the same men in the mirror', () => {
    expect(slide(REACHED, 'right', true).passing!.shared).toMatchObject([
      { blockers: ['LG', 'LT'], on: ['RE', 'S'], until: slide(REACHED).passing!.shared[0]!.until },
    ]);
  });

  it('know when they will know: before the ball is out, later the wider the inner rusher stands', () => {
    const wideBy = (x: number): string =>
      REACHED.replace('RE 5 right', `RE (${x}, 1.5)`).replace('S 9 right', 'S (17, 1.5)');
    const [near, wide] = [9.5, 11.5].map((x) => slide(wideBy(x)).passing!);
    expect(near!.shared[0]!.until).toBeGreaterThan(0);
    expect(wide!.shared[0]!.until).toBeGreaterThan(near!.shared[0]!.until);
    expect(wide!.shared[0]!.until).toBeLessThan(wide!.time);
  });

  it('are told so in a sentence', () => {
    expect(sayShared({ blockers: ['RG', 'RT'], on: ['RE', 'S'], until: 0.72 })).toBe(
      'RG and RT have RE and S between them: whoever comes inside RT is RG’s, whoever stays outside is RT’s. Open until 0.7 s after the snap, when RE would be on RT.',
    );
  });
});

it('words at the line kept before there were words for sharing or for the end say the shipped ones', () => {
  const old = { loaded: 'a', light: 'b', mike: 'c', pair: 'd', gone: 'e', solo: 'f' };
  const { callWords } = ProgramBodySchema.parse({ callWords: { active: 'X', sets: { X: old } } });
  expect(callWords!.sets.X).toEqual({ ...old, share: 'Ledger', headUp: 'Mirror', clear: 'Window' });
});
