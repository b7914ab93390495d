import { describe, expect, it } from 'vitest';
import { SHIPPED_PLAYBOOK } from '#core/calls/playbook';
import { drillOfText, textOfDrill, type DrillText } from './form';

const DRILLS = SHIPPED_PLAYBOOK.drills();
const [first] = DRILLS;
const typed = (part: Partial<DrillText>, id = 'ours') =>
  drillOfText(first!, id, { ...textOfDrill(first!), ...part }, first!);

describe('a drill as it is typed', () => {
  it('is the same drill when nothing was changed', () => {
    for (const d of DRILLS) expect(drillOfText(d, d.id, textOfDrill(d), d)).toEqual({ drill: d, problem: '' });
  });

  it('has a line for every step, and equipment between commas', () => {
    expect(typed({ ladder: ' slow \n\nfast', equipment: 'cones,  ball,', atOnce: '' }).drill).toMatchObject({
      ...{ id: 'ours', ladder: ['slow', 'fast'], equipment: ['cones', 'ball'], atOnce: null },
    });
  });

  it.each<[string, Partial<DrillText>, RegExp]>([
    ['no name', { name: ' ' }, /^name: .*Nothing was kept\.$/],
    ['no step', { ladder: '\n' }, /^ladder: /],
    ['nobody', { each: 0 }, /^each: /],
    ['a pace of nothing', { pace: 0 }, /^pace: /],
    ['minutes the wrong way round', { least: 9, usual: 4 }, /^The least minutes are more than the usual ones/],
  ])('is refused with %s, and says which field', (_what, part, says) => {
    expect(typed(part)).toEqual({ drill: null, problem: expect.stringMatching(says) });
  });
});
