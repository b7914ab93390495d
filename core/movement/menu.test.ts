import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readMoves } from '../language/lineups/read-moves';
import { sayMovement } from '../language/lineups/read-movement';
import { aLineup } from '../testing/fronts';
import { describeMovement, GENERAL_MOVES, movementMenu } from './menu';
import { moveFront } from './move-front';

describe('what a front can do', () => {
  it('every movement offered is read back as it is written, moves somebody, and is said once', () => {
    fc.assert(
      fc.property(aLineup, ({ formation, front }) => {
        const moves = movementMenu(front, formation).flatMap((g) => g.moves);
        const said = moves.map(sayMovement);
        expect(new Set(said).size).toBe(said.length);
        expect(new Set(moves.map(describeMovement)).size).toBe(said.length);
        const read = readMoves(said, front);
        expect(read.ok && read.value).toEqual(moves);
        for (const m of moves)
          if (m.kind !== 'pinch' && m.kind !== 'slant')
            expect(moveFront({ ...front, movements: [m] }, formation).ways.size).toBeGreaterThan(0);
      }),
      { numRuns: 60 },
    );
  });

  it('general movements name men of the front they are asked of', () => {
    fc.assert(
      fc.property(aLineup, ({ front }) => {
        const ids = front.defenders.map((d) => d.id);
        for (const { of } of Object.values(GENERAL_MOVES)) {
          const read = readMoves(of(front, ids.at(-1)!).map(sayMovement), front);
          expect(read.ok).toBe(true);
        }
        expect(GENERAL_MOVES['mike left'].of(front, null)).toEqual([]);
      }),
      { numRuns: 30 },
    );
  });
});
