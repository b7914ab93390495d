import { describe, expect, it } from 'vitest';
import { placesAt, stepAt } from './places-at';

const run = {
  step: 0.1,
  men: [
    { id: 'C', team: 'offence' as const },
    { id: 'N', team: 'defence' as const },
  ],
  frames: [0, 1, 2].map((f) => new Float32Array([f, -1, 0.5 + f, 2, 0, -f])),
};

describe('a run at a moment', () => {
  it('is the step nearest to it, from the snap to its end', () => {
    expect([-3, 0, 0.04, 0.06, 0.2, 9].map((t) => stepAt(run, t))).toEqual([0, 0, 0, 1, 2, 2]);
  });
  it('has everybody by name and the ball; before the snap they stand', () => {
    expect(placesAt(run, 0)).toBeNull();
    expect(placesAt(run, 7)).toBeNull();
    expect([...placesAt(run, 2)!]).toEqual([
      ['C', { x: 2, y: -1 }],
      ['N', { x: 2.5, y: 2 }],
      ['ball', { x: 0, y: -2 }],
    ]);
  });
});
