import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { levelOf } from '../../identify/line';
import { readFormation } from '../../language/lineups/read-formation';
import { readFront } from '../../language/lineups/read-front';
import type { Formation } from '../../model/formation';
import type { Front } from '../../model/front';
import { lineUp } from '../../resolve/prepare/line-up';
import { aLineup } from '../../testing/fronts';
import type { SceneDefender } from '../scene';
import { COVERS, type CoverName } from './index';

/** Who is whose by a definition of covered, play to the right: for each man on the line, back side first, the ids of his defenders. */
function whose(name: CoverName, formation: Formation, front: Front): string[][] {
  const { men, lineCount } = lineUp(formation, 'right', new Set(), []);
  const defenders = [...front.defenders]
    .sort((a, b) => a.x - b.x || a.y - b.y)
    .map((d, index): SceneDefender => ({ ...d, index, level: levelOf(d) }));
  const first = defenders.filter((d) => d.level === 1).map((d) => d.index);
  return COVERS[name](men.slice(0, lineCount))(first, defenders).men.map((his) => his.map((d) => defenders[d]!.id));
}

const REGIONS = (Object.keys(COVERS) as CoverName[]).filter((name) => name.startsWith('playside region'));

describe.each(REGIONS)('%s', (name) => {
  it('gives nobody but the last man more than one, nobody to two, and nobody a man across the next man’s', () => {
    fc.assert(
      fc.property(aLineup, ({ formation, front }) => {
        const his = whose(name, formation, front);
        expect(his.slice(0, -1).every((men) => men.length <= 1)).toBe(true);
        expect(new Set(his.flat()).size).toBe(his.flat().length);
        const place = (id: string): number => front.defenders.find((d) => d.id === id)!.x;
        const inOrder = his
          .map((men) => [...men].sort((a, b) => place(a) - place(b)))
          .flat()
          .map(place);
        expect(inOrder).toEqual([...inOrder].sort((a, b) => a - b));
      }),
      { numRuns: 300 },
    );
  });
});

describe('two men in one region', () => {
  it('are shared with the playside neighbour, who hands his own on', () => {
    const formation = readFormation('LT LG C RG RT; Y right');
    if (!formation.ok) throw new Error('formation');
    const front = readFront('N 0; M A right @1 up; R 3 right; RE 9 right', formation.value);
    if (!front.ok) throw new Error('front');
    expect(whose('playside region, head-up is mine', formation.value, front.value)).toEqual([
      [],
      [],
      ['N'],
      ['M'],
      ['R'],
      ['RE'],
    ]);
  });
});
