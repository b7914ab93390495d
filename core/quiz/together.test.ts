import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { resolveStill } from '../resolve/resolve';
import { readFormation } from '../language/lineups/read-formation';
import { readFront } from '../language/lineups/read-front';
import { shippedScheme } from '../calls/resolve-call';
import { aLineup } from '../testing/fronts';
import { need } from '../testing/need';
import { expectedOf } from './question';
import { sayTogether, together } from './together';
import type { Said } from '../model/huddle';
import type { Resolution } from '../model/resolution';

const men = need(readFormation('LT LG C RG RT Y right; H left; B left'));
const front = need(readFront('LE 5 left; N 1 left; T 3 right; RE 6i right; W 30 left; M 10 right', men));
const power = resolveStill(need(shippedScheme('power')), men, front, { side: 'right' });
/** What a man of a place says who knows it all; nothing for who is asked nothing. */
function rightSaid(resolution: Resolution, seat: string, silent: boolean): Said[] {
  const e = expectedOf(resolution, seat);
  return e ? [{ seat, call: silent ? null : e.call, whom: e.whom, with: [...e.with] }] : [];
}
const all = (silent: boolean): Said[] => power.assignments.flatMap((a) => rightSaid(power, a.blocker, silent));
const but = (seat: string, change: Partial<Said>): Said[] =>
  all(false).map((s) => (s.seat === seat ? { ...s, ...change } : s));

describe('the whole line together', () => {
  it('all of it right: nobody on another’s man, nobody free, every word spoken', () => {
    const found = together(power, all(false), false);
    expect([found.twoOn, found.free, found.wrong, found.open]).toEqual([[], [], [], []]);
    expect(found.right).toHaveLength(all(false).length);
    expect(found.calls.length).toBeGreaterThan(0);
    expect(found.calls.every((c) => c.isRight && !c.isLate)).toBe(true);
    expect(sayTogether(found)).toBe('All of it is right.');
  });

  it('one who takes his neighbour’s man leaves his own free and makes two on one', () => {
    const down = power.assignments.find((a) => a.partners.length === 0 && a.target === 'N')!;
    const found = together(power, but(down.blocker, { whom: 'LE' }), false);
    const hasLE = power.assignments.find((a) => a.target === 'LE')!.blocker;
    expect(found.free).toEqual(['N']);
    expect(found.twoOn.map((t) => [t.defender, [...t.men].sort()])).toEqual([['LE', [down.blocker, hasLE].sort()]]);
    expect(found.wrong).toEqual([down.blocker]);
    expect(sayTogether(found)).toContain('N is free.');
  });

  it('three on one are all, not both', () => {
    const three = ['LT', 'LG', 'C'].map((seat): Said => ({ seat, call: null, whom: 'N', with: [] }));
    expect(sayTogether(together(power, three, true))).toContain('LT and LG and C all have N and do not know it.');
  });

  it('nobody is free while somebody whose man he is has not spoken', () => {
    const nose = power.assignments.find((a) => a.target === 'N')!.blocker;
    const found = together(
      power,
      all(false).filter((s) => s.seat !== nose),
      false,
    );
    expect([found.free, found.open]).toEqual([[], [nose]]);
    expect(sayTogether(found)).toBe(`Still to say: ${nose}.`);
  });

  it('a pair of which one forgets the other is two on one', () => {
    const pair = power.assignments.find((a) => a.partners.length > 0)!;
    const found = together(power, but(pair.blocker, { with: [] }), false);
    expect(found.twoOn.map((t) => t.defender)).toEqual([pair.target]);
  });

  it('words come in their spoken order; who has let a later one speak first is late', () => {
    const order = together(power, [], false).calls.map((c) => c.seat);
    expect(order.length).toBeGreaterThan(1);
    const last = all(false).filter((s) => s.seat === order.at(-1));
    const found = together(power, last, false);
    expect(found.calls.map((c) => c.isLate)).toEqual(order.map((_, i) => i < order.length - 1));
  });

  it('when it is silent no word is asked for', () => {
    const found = together(power, all(true), true);
    expect([found.calls, found.wrong]).toEqual([[], []]);
    expect(together(power, all(true), false).wrong.length).toBeGreaterThan(0);
  });

  it('over random fronts: right answers leave nobody free and nobody wrong, in any order of speaking', () => {
    fc.assert(
      fc.property(
        aLineup,
        fc.constantFrom('power', 'inside-zone-z2', 'duo', 'counter-gt'),
        fc.nat(),
        (lineup, id, turn) => {
          const r = resolveStill(need(shippedScheme(id)), lineup.formation, lineup.front, { side: 'right' });
          const said = r.assignments.flatMap((a) => rightSaid(r, a.blocker, false));
          const turned = [...said.slice(turn % (said.length + 1)), ...said.slice(0, turn % (said.length + 1))];
          const found = together(r, turned, false);
          expect([found.free, found.wrong, found.open]).toEqual([[], [], []]);
        },
      ),
      { numRuns: 60 },
    );
  });
});
