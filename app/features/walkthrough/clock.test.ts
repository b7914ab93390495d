import { nextTick, shallowRef } from 'vue';
import { describe, expect, it } from 'vitest';
import type { Run } from '#core/movement/run/run';
import { useClock } from './clock';

const runOf = (frames: number): Run => ({
  step: 0.05,
  men: [{ id: 'C', team: 'offence' }],
  frames: Array.from({ length: frames }, (_, f) => new Float32Array([f, 0, f / 2, -1])),
  engaged: [],
  events: [],
});

describe('a run as film', () => {
  it('stands before the snap, goes where it is asked to and no farther', () => {
    const clock = useClock(shallowRef<Run | null>(runOf(11)));
    expect([clock.frame.value, clock.places.value, clock.seconds.value]).toEqual([0, null, 0]);
    clock.go(4.4);
    expect([clock.frame.value, clock.seconds.value]).toEqual([4, 0.2]);
    expect([...clock.places.value!]).toEqual([
      ['C', { x: 4, y: 0 }],
      ['ball', { x: 2, y: -1 }],
    ]);
    clock.go(99);
    expect(clock.frame.value).toBe(10);
    clock.go(-3);
    expect(clock.frame.value).toBe(0);
  });

  it('stays within another run, and is nothing without one', async () => {
    const run = shallowRef<Run | null>(runOf(20));
    const clock = useClock(run);
    clock.go(19);
    run.value = runOf(8);
    await nextTick();
    expect(clock.frame.value).toBe(7);
    run.value = null;
    await nextTick();
    expect([clock.frame.value, clock.last.value, clock.places.value, clock.seconds.value]).toEqual([0, 0, null, 0]);
  });
});
