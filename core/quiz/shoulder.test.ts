import { describe, expect, it } from 'vitest';
import { SHIPPED_PLAYBOOK } from '../calls/playbook';
import { workCall, type Ways } from '../calls/resolve-call';
import { mirrorText } from '../language/lineups/print-lineup';
import type { Resolution } from '../model/resolution';
import type { Side } from '../model/side';
import type { Call } from '../model/snap';
import { mirrorSeat } from '../testing/fronts';
import { need } from '../testing/need';
import { hisIn } from './items';
import { shoulderOf } from './shoulder';

const WAYS: Ways = { playbook: SHIPPED_PLAYBOOK };
const OVER = 'LE 5 left; N 1 left; T 3 right; RE 5 right; W 30 left; M 10 right; S 50 right @4.5';
const call = (scheme: string, formation: string, front = OVER): Call => ({
  ...{ scheme, side: 'right', tags: [], formation, formationName: 'x', front, frontName: 'Over', overrides: {} },
});
const resolved = (c: Call): Resolution => need(workCall(c, WAYS)).resolution;
const shoulder = (c: Call, seat: string): Side | null => {
  const resolution = resolved(c);
  return shoulderOf(hisIn(resolution, seat)!, resolution);
};
const POWER = call('power', 'LT LG C RG RT; H right; B left');

describe('the shoulder a man strikes with', () => {
  it('is the far one of two who have a man between them, and closes the gap on one a man is down on', () => {
    // The guard inside the 3-technique and the tackle outside him: hips together, each with the shoulder nearest to the other.
    expect([shoulder(POWER, 'RG'), shoulder(POWER, 'RT')]).toEqual(['right', 'left']);
  });

  it('is the outside one of a man who kicks out, from whichever side of the ball he comes', () => {
    const resolution = resolved(POWER);
    expect(hisIn(resolution, 'H')!.block).toBe('kick');
    // His head is inside the end on the right, so that the end is on his right shoulder.
    expect(shoulder(POWER, 'H')).toBe('right');
    const counter = call('counter-gt', 'LT LG C RG RT Y right; B left');
    const pulls = resolved(counter);
    const kicker = pulls.assignments.find((a) => a.block === 'pull-kick')!;
    expect(kicker.path[0]!.x).toBeLessThan(0);
    expect(kicker.path.at(-1)!.x).toBeGreaterThan(0);
    expect(shoulderOf(kicker, pulls)).toBe('right');
  });

  it('is nobody’s in protection, and nobody’s whose head goes to neither side', () => {
    const pass = resolved(call('pro-full-slide', 'LT LG C RG RT; B left'));
    for (const a of pass.assignments) expect(shoulderOf(a, pass)).toBeNull();
    const run = resolved(POWER);
    const square = { ...hisIn(run, 'RG')!, technique: { ...hisIn(run, 'RG')!.technique!, head: 'square' as const } };
    expect([shoulderOf(square, run), shoulderOf({ ...square, technique: null }, run)]).toEqual([null, null]);
  });

  it('is the other one for everybody when the call is turned around', () => {
    for (const scheme of SHIPPED_PLAYBOOK.list('schemes')) {
      const there = call(scheme.id, SHIPPED_PLAYBOOK.clauses('formations', scheme.from ?? 'five-man'));
      const here: Call = {
        ...{ ...there, side: 'left', front: mirrorText(there.front), formation: mirrorText(there.formation) },
      };
      const [a, b] = [workCall(there, WAYS), workCall(here, WAYS)];
      if (!a.ok || !b.ok) continue;
      for (const his of a.value.resolution.assignments) {
        const other = hisIn(b.value.resolution, mirrorSeat(his.blocker));
        const [one, two] = [shoulderOf(his, a.value.resolution), other && shoulderOf(other, b.value.resolution)];
        expect([scheme.id, his.blocker, two]).toEqual([
          ...[scheme.id, his.blocker],
          one === null ? null : one === 'left' ? 'right' : 'left',
        ]);
      }
    }
  });
});
