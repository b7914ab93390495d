import { describe, expect, it } from 'vitest';
import { readFormation } from '../../language/lineups/read-formation';
import { readFront } from '../../language/lineups/read-front';
import { anEntry } from '../../testing/a-log';
import { need } from '../../testing/need';
import { movementSeen, movementsToSee, STOOD, withMovement } from './movement-seen';

const OVER = 'LE 5 left; N 1 left; T 3 right; RE 5 right; W 30 left; M 10 right';
const { call } = anEntry(1, { formation: 'LT LG C RG RT; B left', front: OVER, frontName: 'Over' });
const read = (front: string) => need(readFront(front, need(readFormation(call.formation)), 'x', 'x'));

describe('what a front did', () => {
  it('is written into the call and read out of it again, every movement of the menu', () => {
    const all = movementsToSee(call).flatMap((g) => g.items);
    expect(all.length).toBeGreaterThan(20);
    for (const { id } of all) {
      const seen = { ...call, ...withMovement(call, id) };
      expect(movementSeen(seen)).toBe(id);
      expect(read(seen.front).movements).toHaveLength(id === STOOD ? 0 : 1);
      expect(read(seen.front).defenders).toEqual(read(OVER).defenders);
      expect(movementsToSee(seen).some((g) => g.items.some((i) => i.id === id))).toBe(true);
      expect(withMovement(seen, STOOD)).toEqual({ front: OVER, frontName: 'Over' });
    }
  });

  it('is said in the name of the front', () => {
    const first = movementsToSee(call)[1]!.items[0]!;
    expect(withMovement(call, first.id).frontName).toBe(`Over, ${first.name}`);
  });

  it('is offered as it is written where it is two movements at once', () => {
    const two = { ...call, front: `${OVER}; T slant left; M blitz A right` };
    expect(movementSeen(two)).toBe('T slant left; M blitz A right');
    expect(movementsToSee(two)[1]!.items[0]!.id).toBe(movementSeen(two));
    expect(movementSeen({ ...two, ...withMovement(two, 'slant right') })).toBe('slant right');
  });

  it('is nothing where the front cannot be read', () => {
    const broken = { ...call, front: 'nobody knows' };
    expect(movementSeen(broken)).toBe(STOOD);
    expect(withMovement(broken, 'slant left')).toEqual({ front: 'nobody knows', frontName: 'Over' });
  });
});
