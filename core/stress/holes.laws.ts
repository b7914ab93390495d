import { describe, expect, it } from 'vitest';
import { sayFront } from '../language/lineups/print-lineup';
import { formationFrom, frontFrom, libraryIds, libraryText } from '../library/library';
import { shippedScheme } from '../calls/resolve-call';
import type { Formation } from '../model/formation';
import { SIDES } from '../model/side';
import { prepareCall } from '../resolve/prepare/prepare-call';
import { openSpace, spaceAround, type OpenSpace } from './space';
import { planFor, stress } from './stress';
import { need } from '../testing/need';

/** Fronts tried around each shipped front, for every scheme, formation and side. */
const AROUND = 8;

const lineups: { formation: Formation; spaces: OpenSpace[] }[] = libraryIds('formations').map((id) => {
  const formation = need(formationFrom(libraryText('formations', id)!));
  return {
    formation,
    spaces: libraryIds('fronts').map((front) =>
      need(openSpace(spaceAround(need(frontFrom(libraryText('fronts', front)!, formation))), formation)),
    ),
  };
});

/** Protections answer to pressures, not to fronts: against six on the line five men are short whatever they do. */
const runs = libraryIds('schemes').filter((id) => need(shippedScheme(id)).head.throw === null);

describe.each(runs)('%s', (id) => {
  it('leaves no hole on any shipped front and its jitters', () => {
    const scheme = need(shippedScheme(id));
    const found: string[] = [];
    let tried = 0;
    for (const { formation, spaces } of lineups) {
      for (const side of SIDES) {
        const prepared = prepareCall(scheme, formation, { side });
        for (const space of spaces) {
          const tally = stress(prepared, space, planFor(space, AROUND, 7));
          tried += tally.fronts;
          if (tally.holes === 0) continue;
          for (const c of tally.causes.filter((x) => x.holes > 0))
            found.push(
              `${formation.id} ${side} ${space.space.name}: ${c.smallest.message} (${sayFront(space.frontAt(c.smallest.choice)!, formation)})`,
            );
        }
      }
    }
    expect(found).toEqual([]);
    expect(tried).toBeGreaterThan(lineups.length * libraryIds('fronts').length * 2 * 5);
  });
});
