import { describe, expect, it } from 'vitest';
import { readFormation } from '../../language/lineups/read-formation';
import { readFront } from '../../language/lineups/read-front';
import { shippedScheme } from '../../calls/resolve-call';
import type { Overrides } from '../../model/overrides';
import { provePressures } from '../../protect/prove';
import { need } from '../../testing/need';
import { prepareCall } from '../prepare/prepare-call';
import { resolveStill } from '../resolve';

const men = need(readFormation('LT LG C RG RT B; QB pistol'));
const FOUR = 'LE 5 left; N 1 left; T 3 right; RE 5 right; W 30 left; M 10 right';
const EDGE = `${FOUR}; S (15, 11)`;

function called(id: string, text: string, overrides: Overrides = {}) {
  const [scheme, front] = [need(shippedScheme(id)), need(readFront(text, men))];
  const call = { side: 'right' as const, overrides };
  const resolution = resolveStill(scheme, men, front, call);
  return {
    mike: resolution.identification.mike,
    said: resolution.calls.find((c) => c.meaning === 'mike')?.word,
    proved: provePressures(prepareCall(scheme, men, call), front).mike,
    has: (id: string) => resolution.assignments.find((a) => a.blocker === id)!.target,
  };
}

describe('whom the line is told to count from', () => {
  it('is the linebacker its protection declares: on the board, in the call and in the proof', () => {
    for (const [front, mike, because] of [
      [EDGE, 'W', 'W is the inner one away from the back, who scans M and S on his own side.'],
      [FOUR, 'M', 'M is the nearer to the ball of two, and nobody else comes.'],
      ['LE 5 left; N 0; RE 5 right; W 30 left; M 00; S 30 right', 'M', 'M is the middle one of the linebackers.'],
      ['LE 5 left; N 1 left; T 3 right; RE 5 right; M 00', 'M', 'M is the only linebacker.'],
    ] as const) {
      const { mike: told, said, proved } = called('pro-five-back', front);
      expect({ ...told, said, proved }).toEqual({
        id: mike,
        overruled: false,
        because,
        said: `${mike} is the lamp`,
        proved: mike,
      });
    }
  });

  it('is nobody where no linebacker is left', () => {
    const { mike, said, proved } = called('pro-five-back', 'LE 5 left; N 1 left; T 3 right; RE 5 right');
    expect([mike.id, said, proved]).toEqual([null, undefined, null]);
  });

  it('is the one on the strength where the protection counts from him', () => {
    expect(called('pro-half-slide', EDGE).mike.because).toBe('M is the inner one of two on the strength side (right).');
  });

  it('is any man the coach declares: the line works out to him and everybody else shifts one over', () => {
    const { mike, proved, has } = called('pro-five-back', EDGE, { mike: 'S' });
    expect([mike.id, mike.overruled, proved]).toEqual(['S', true, 'S']);
    expect(['LT', 'LG', 'C', 'RG', 'RT', 'B'].map(has)).toEqual(['LE', 'N', 'T', 'RE', 'S', 'M']);
  });
});
