import { describe, expect, it } from 'vitest';
import type { Run, RunEvent } from '#core/movement/run/run';
import { lastFrame, momentsOf, sayFrame } from './moments';

const runOf = (events: RunEvent[], frames = 41): Run => ({
  step: 0.05,
  men: [],
  frames: Array.from({ length: frames }, () => new Float32Array()),
  engaged: [],
  events,
});
const PLAYED = runOf([
  { kind: 'contact', time: 0.5, man: 'LG', on: 'T' },
  { kind: 'goes on', time: 1, man: 'LG', to: 'M' },
  { kind: 'ball at the line', time: 1.25 },
  { kind: 'meets the ball', time: 1.5, who: 'W', depth: 3 },
]);

describe('a run along its time', () => {
  it('marks the ball and whoever gets to it, where they are, and no block', () => {
    expect(momentsOf(PLAYED)).toEqual([
      { frame: 25, left: 62.5, says: 'ball at the line, 1.3 s', bad: false },
      { frame: 30, left: 75, says: 'W meets the ball, 1.5 s', bad: true },
    ]);
    expect(momentsOf(runOf([{ kind: 'at the quarterback', time: 2, who: 'RE' }]))).toEqual([
      { frame: 40, left: 100, says: 'RE at the quarterback, 2.0 s', bad: true },
    ]);
    expect(momentsOf(runOf([{ kind: 'ball out', time: 2 }]))[0]!.bad).toBe(false);
  });

  it.each([
    [0, 'Snap', 'places and speeds only: nobody’s strength or skill'],
    [9, '0.45 s', 'before anybody is met'],
    [10, '0.50 s', 'LG on T, 0.5 s'],
    [24, '1.20 s', 'LG on to M, 1.0 s'],
    [40, '2.00 s', 'W meets the ball, 1.5 s'],
  ])('says of step %i: %s, %s', (frame, time, last) => {
    expect(sayFrame(PLAYED, frame)).toEqual({ time, last });
  });

  it('is still before the snap while it is being worked out', () => {
    expect([lastFrame(null), momentsOf(null), sayFrame(null, 0).time]).toEqual([0, [], 'Snap']);
    expect(lastFrame(PLAYED)).toBe(40);
  });
});
