import { describe, expect, it } from 'vitest';
import { SHIPPED_PLAYBOOK } from '../calls/playbook';
import { workCall, type Ways } from '../calls/resolve-call';
import { mirrorText } from '../language/lineups/print-lineup';
import type { Resolution } from '../model/resolution';
import type { Call } from '../model/snap';
import { mirrorSeat } from '../testing/fronts';
import { need } from '../testing/need';
import { shoulderOf, shouldersWith, type Shoulder } from './shoulder';

const WAYS: Ways = { playbook: SHIPPED_PLAYBOOK };
const OVER = 'LE 5 left; N 1 left; T 3 right; RE 5 right; W 30 left; M 10 right; S 50 right @4.5';
const call = (scheme: string, formation: string, front = OVER): Call => ({
  ...{ scheme, side: 'right', tags: [], formation, formationName: 'x', front, frontName: 'Over', overrides: {} },
});
const resolved = (c: Call): Resolution => need(workCall(c, WAYS)).resolution;
const hisIn = ({ assignments }: Resolution, seat: string) => assignments.find((a) => a.blocker === seat)!;
const shoulder = (c: Call, seat: string): Shoulder | null => {
  const resolution = resolved(c);
  return shoulderOf(hisIn(resolution, seat), resolution);
};
const POWER = call('power', 'LT LG C RG RT; H right; B left');

describe('the shoulder a man strikes with', () => {
  it('is the one nearest to the other man of a pair: hips together', () => {
    // The guard inside the 3-technique, the tackle outside him.
    expect([shoulder(POWER, 'RG'), shoulder(POWER, 'RT')]).toEqual(['outside', 'inside']);
  });

  it('is the outside one of a man who kicks out, from whichever side of the ball he comes', () => {
    const counter = resolved(call('counter-gt', 'LT LG C RG RT Y right; B left'));
    const kicker = counter.assignments.find((a) => a.block === 'pull-kick')!;
    expect(Math.sign(kicker.path[0]!.x)).not.toBe(Math.sign(kicker.path.at(-1)!.x));
    expect([hisIn(resolved(POWER), 'H').block, shoulder(POWER, 'H')]).toEqual(['kick', 'outside']);
    expect(shoulderOf(kicker, counter)).toBe('outside');
  });

  it('closes the door on a man one is down on when the head goes across him', () => {
    const sweep = call('buck-sweep', 'LT LG C RG RT Y right; Z wing right; B left', OVER.replace('RE 5', 'RE 6i'));
    const down = hisIn(resolved(sweep), 'Y');
    expect([down.block, down.technique!.head, shoulder(sweep, 'Y')]).toEqual(['down', 'across', 'outside']);
    const out = { ...down, path: [...down.path].reverse() };
    expect(shoulderOf(out, resolved(sweep))).toBe('inside');
  });

  it('is nobody’s in protection, and nobody’s whose head goes to neither side', () => {
    const pass = resolved(call('pro-full-slide', 'LT LG C RG RT; B left'));
    for (const a of pass.assignments) expect(shoulderOf(a, pass)).toBeNull();
    const run = resolved(POWER);
    const square = { ...hisIn(run, 'RG'), technique: { ...hisIn(run, 'RG').technique!, head: 'square' as const } };
    expect([shoulderOf(square, run), shoulderOf({ ...square, technique: null }, run)]).toEqual([null, null]);
  });

  it('is said to the centre by where the ball goes, and is the same for everybody when the call is turned around', () => {
    let said = 0;
    for (const scheme of SHIPPED_PLAYBOOK.list('schemes')) {
      const there = call(scheme.id, SHIPPED_PLAYBOOK.clauses('formations', scheme.from ?? 'five-man'));
      const here: Call = {
        ...{ ...there, side: 'left', front: mirrorText(there.front), formation: mirrorText(there.formation) },
      };
      const [a, b] = [workCall(there, WAYS), workCall(here, WAYS)];
      if (!a.ok || !b.ok) continue;
      for (const his of a.value.resolution.assignments) {
        const other = hisIn(b.value.resolution, mirrorSeat(his.blocker));
        const one = shoulderOf(his, a.value.resolution);
        expect([scheme.id, his.blocker, shoulderOf(other, b.value.resolution)]).toEqual([scheme.id, his.blocker, one]);
        if (one === null) continue;
        said++;
        if (his.blocker === 'C' && his.technique!.head !== 'across')
          expect([scheme.id, one]).toEqual([scheme.id, expect.stringMatching(/side$/)]);
        expect(shouldersWith(one)).toContain(one);
      }
    }
    expect(said).toBeGreaterThan(100);
    expect([shouldersWith('square'), shouldersWith(null)]).toEqual([null, null]);
  });
});
