import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { identify } from '../../identify/identify';
import { libraryIds, libraryText, schemeFrom } from '../../library/library';
import type { Formation } from '../../model/formation';
import type { Front } from '../../model/front';
import type { Resolution } from '../../model/resolution';
import { aLineup } from '../../testing/fronts';
import { need } from '../../testing/need';
import type { CompiledScheme } from '../prepare/compile';
import { resolveStill } from '../resolve';

const load = (id: string): CompiledScheme => need(schemeFrom(libraryText('schemes', id)!));
const runs = libraryIds('schemes').filter((id) => load(id).head.throw === null);
/** Half of the step over the border, feet. */
const STEP = 0.15;
const call = { side: 'right' } as const;

const placed = (front: Front, id: string, x: number): Front => ({
  ...front,
  defenders: front.defenders.map((d) => (d.id === id ? { ...d, x } : d)),
});

/** Where somebody off the line leaves the box to a side; `null` when he cannot be in it. */
function borderOf(formation: Formation, front: Front, id: string, side: 1 | -1): number | null {
  const isIn = (x: number): boolean => identify(formation, placed(front, id, x), call).box.ids.includes(id);
  let [inside, outside] = [0, 20 * side];
  if (!isIn(inside) || isIn(outside)) return null;
  for (let halving = 0; halving < 12; halving++) {
    const middle = (inside + outside) / 2;
    if (isIn(middle)) inside = middle;
    else outside = middle;
  }
  return inside;
}

const whoHasWhom = (r: Resolution): string => r.assignments.map((a) => `${a.blocker} ${a.target} ${a.next}`).join();

describe.each(runs)('%s at the border of the box', (id) => {
  const scheme = load(id);

  it('a third of a foot flips nothing as long as everybody has the same man: whoever is free is raced, inside it or out', () => {
    let compared = 0;
    fc.assert(
      fc.property(aLineup, fc.nat(), fc.constantFrom<1 | -1>(1, -1), ({ formation, front }, which, side) => {
        const backers = front.defenders.filter((d) => d.y > 4.6 && d.y < 18);
        const him = backers[which % Math.max(1, backers.length)];
        const border = him ? borderOf(formation, front, him.id, side) : null;
        if (!him || border === null) return;
        const [within, without] = [border - STEP * side, border + STEP * side].map((x) =>
          resolveStill(scheme, formation, placed(front, him.id, x), call),
        );
        if (whoHasWhom(within!) !== whoHasWhom(without!)) return;
        compared++;
        expect(without!.verdict).toBe(within!.verdict);
      }),
      { numRuns: 120 },
    );
    expect(compared).toBeGreaterThan(10);
  });
});
