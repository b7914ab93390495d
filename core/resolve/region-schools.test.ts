import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { shippedScheme } from '../calls/resolve-call';
import type { Formation } from '../model/formation';
import type { Front } from '../model/front';
import { aFront, formationOf } from '../testing/fronts';
import { resolveStill } from './resolve';

/*
 * Zone by regions, reckoned once more from the sheet in the plainest way, without the rule language: who is covered drives his man,
 * who is not helps the covered neighbour he is told to look at when that man stands within five feet, everybody else goes on.
 */
const SEATS = ['LT', 'LG', 'C', 'RG', 'RT'];
const HALF = 0.5;
const REACH = 5;
const EPS = 1e-6;

interface School {
  readonly id: string;
  readonly headUpIsMine: boolean;
  readonly helps: -1 | 1;
}
const SCHOOLS: readonly School[] = [
  { id: 'inside-zone-z1', headUpIsMine: false, helps: -1 },
  { id: 'inside-zone-z2', headUpIsMine: true, helps: 1 },
  { id: 'outside-zone', headUpIsMine: true, helps: 1 },
];

/** Whom each of the five blocks on the line, play to the right; nothing where the sheet does not decide (two for the last man, or two outside). */
function reckon({ headUpIsMine, helps }: School, formation: Formation, front: Front): (string | null)[] | null {
  const noses = SEATS.map((id) => formation.men.find((m) => m.id === id)!.x);
  const first = front.defenders.filter((d) => d.y <= 4.5).sort((a, b) => a.x - b.x);
  const regionOf = (x: number): number =>
    noses.findLastIndex((nose) => (headUpIsMine ? x >= nose - HALF - EPS : x > nose + HALF + EPS));
  const his: { id: string; x: number }[][] = SEATS.map(() => []);
  const outside = first.filter((d) => regionOf(d.x) < 0);
  for (const d of first) his[regionOf(d.x)]?.push(d);
  // Of two the inner one is mine, the other belongs to the next man.
  for (let i = 0; i < 4; i++) {
    his[i]!.sort((a, b) => a.x - b.x);
    his[i + 1]!.push(...his[i]!.splice(1));
  }
  if (outside.length > 1 || his[4]!.length > 1) return null;
  return noses.map((nose, i) => {
    const [mine] = his[i]!;
    if (mine) return mine.id;
    const neighbours = his[i + helps]?.[0];
    return neighbours && Math.abs(neighbours.x - nose) <= REACH + EPS ? neighbours.id : null;
  });
}

describe.each(SCHOOLS)('$id', (school) => {
  const scheme = shippedScheme(school.id);
  if (!scheme.ok) throw new Error(school.id);

  it.each(['LT LG C RG RT', 'LT LG C RG RT split 36in', 'LT LG C RG RT split 6in'])(
    'blocks the line as the plain reckoning does: %s',
    (text) => {
      const formation = formationOf(text);
      let decided = 0;
      fc.assert(
        fc.property(aFront(formation), (front) => {
          const wanted = reckon(school, formation, front);
          if (!wanted) return;
          decided++;
          const { assignments } = resolveStill(scheme.value, formation, front, { side: 'right' });
          const onLine = (id: string | null): string | null =>
            front.defenders.some((d) => d.id === id && d.y <= 4.5) ? id : null;
          expect(SEATS.map((id) => onLine(assignments.find((a) => a.blocker === id)!.target))).toEqual(wanted);
        }),
        { numRuns: 300 },
      );
      expect(decided).toBeGreaterThan(100);
    },
  );
});
