import { describe, expect, it } from 'vitest';
import { readFormation } from '../../language/lineups/read-formation';
import { readFront } from '../../language/lineups/read-front';
import { libraryText, schemeFrom } from '../../library/library';
import type { Resolution } from '../../model/resolution';
import { need } from '../../testing/need';
import { resolveStill } from '../resolve';

function protect(id: string, front: string, formation = 'LT LG C RG RT B; QB pistol'): Resolution {
  const men = need(readFormation(formation));
  return resolveStill(need(schemeFrom(libraryText('schemes', id)!)), men, need(readFront(front, men)), {
    side: 'right',
  });
}
const messages = (r: Resolution, code: string): string[] =>
  r.problems.filter((p) => p.code === code).map((p) => p.message);
const FOUR = 'LE 5 left; N 1 left; T 3 right; RE 5 right; W 30 left; M 10 right';

describe('a protection is told', () => {
  it('a back alone on a lineman, even when the count is right', () => {
    expect(messages(protect('pro-full-slide', FOUR), 'bad-match')).toEqual(['B is alone on LE, a lineman.']);
    expect(messages(protect('pro-five-back', FOUR), 'bad-match')).toEqual([]);
  });

  it('a scan across the ball', () => {
    const five = `${FOUR}; S 9 right up lb`;
    expect(messages(protect('pro-five-back', five), 'scan-across')).toEqual([
      'B scans across the ball: M and W are on either side of it.',
    ]);
    expect(messages(protect('pro-five-back', `${FOUR}; S (15, 11)`), 'scan-across')).toEqual([]);
  });
});

describe('who is down', () => {
  const has = (r: Resolution, id: string): string | null => r.assignments.find((a) => a.blocker === id)!.target;

  it('a man who stands inside the tackles is a linebacker; at or outside them he is one of the down men', () => {
    const inside = protect('pro-five-back', 'LE 5 left; T 3 left; W A left up; M A right up; N 3 right; RE 5 right');
    expect([has(inside, 'LG'), has(inside, 'C'), has(inside, 'RG')]).toEqual(['T', 'W', 'N']);
    const outside = protect('pro-five-back', `${FOUR}; S 9 right up`);
    expect(['LT', 'LG', 'C', 'RG', 'RT'].map((id) => has(outside, id))).toEqual(['LE', 'N', 'T', 'RE', 'S']);
  });

  it('the count goes away from the back when somebody else may come on his side', () => {
    expect(has(protect('pro-five-back', FOUR), 'C')).toBe('M');
    expect(has(protect('pro-five-back', `${FOUR}; S (15, 11)`), 'LG')).toBe('W');
  });
});
