import { describe, expect, it } from 'vitest';
import { atRest, lookBack, predict, takeIn, type Motion } from './filter';

const DT = 1 / 30;
const HEIGHT = 3;
/** A look straight down from above: what is seen is the place itself. */
const plan = (mean: readonly number[]): readonly [number, number] => [mean[0]!, mean[1]!];
const start = (): Motion => atRest([0, 0, HEIGHT], [0.2, 0.2, 0.2]);

/** A body that is seen at these places, one a frame. */
function watched(places: readonly [number, number][], error = 0.1): Motion[] {
  let now = start();
  const history = [now];
  for (const place of places) {
    now = predict(now, DT, HEIGHT, false);
    now = takeIn(now, plan, place, [error, error])!.motion;
    history.push(now);
  }
  return history;
}

describe('the filter', () => {
  it('learns how fast a body goes and carries on so when it is not looked at', () => {
    const speed = 12;
    const history = watched(Array.from({ length: 20 }, (_, i) => [(i + 1) * speed * DT, 0] as [number, number]));
    const last = history[history.length - 1]!;
    expect(last.mean[3]).toBeGreaterThan(speed * 0.9);
    const ahead = predict(last, DT, HEIGHT, false);
    expect(ahead.mean[0]).toBeCloseTo(last.mean[0]! + last.mean[3]! * DT, 9);
  });

  it('grows less sure with time, and surer with every look', () => {
    const before = start();
    const later = predict(before, 0.5, HEIGHT, false);
    expect(later.cov.get(0, 0)).toBeGreaterThan(before.cov.get(0, 0));
    const seen = takeIn(later, plan, [0, 0], [0.1, 0.1])!;
    expect(seen.motion.cov.get(0, 0)).toBeLessThan(0.1 ** 2);
  });

  it('grows as unsure over a time on film of any rate', () => {
    const after = (frames: number): Motion => {
      let now = start();
      for (let f = 0; f < frames; f++) now = predict(now, 0.5 / frames, HEIGHT, false);
      return now;
    };
    const [slow, fast] = [after(15), after(60)];
    for (const i of [0, 2, 3]) expect(fast.cov.get(i, i) / slow.cov.get(i, i)).toBeCloseTo(1, 6);
  });

  it('is moved less by a look far from everything than by its share', () => {
    const usual = takeIn(start(), plan, [0.3, 0], [0.1, 0.1])!;
    const wild = takeIn(start(), plan, [30, 0], [0.1, 0.1])!;
    expect(wild.surprise).toBeGreaterThan(100);
    expect(wild.motion.mean[0]! / 30).toBeLessThan(usual.motion.mean[0]! / 0.3 / 10);
  });

  it('lets a trunk come to its height by itself', () => {
    let now = atRest([0, 0, 1.9], [0.1, 0.1, 0.1]);
    for (let i = 0; i < 60; i++) now = predict(now, DT, HEIGHT, false);
    expect(now.mean[2]).toBeCloseTo(HEIGHT, 1);
  });

  it('brings somebody hidden to the speed and the place he is believed to have', () => {
    let now = start();
    for (let i = 0; i < 90; i++) now = predict(now, DT, HEIGHT, { x: 5 + i * 0.1, y: 0, vx: 3, vy: 0 });
    expect(now.mean[3]).toBeCloseTo(3, 0);
    expect(Math.abs(now.mean[0]! - 14)).toBeLessThan(1.5);
  });

  it('looks back: places in the middle get nearer to the truth by what came after', () => {
    const turn = (t: number): number => (t < 0.5 ? 0 : 10 * (t - 0.5));
    const wave = (i: number): number => 0.12 * Math.sin(i * 2.3);
    const places = Array.from({ length: 45 }, (_, i) => [turn((i + 1) * DT) + wave(i), 0] as [number, number]);
    const filtered = watched(places);
    const smooth = lookBack(filtered);
    const off = (list: readonly Motion[]): number =>
      list.slice(1).reduce((sum, m, i) => sum + (m.mean[0]! - turn((i + 1) * DT)) ** 2, 0);
    expect(off(smooth)).toBeLessThan(off(filtered));
    expect(smooth[20]!.cov.get(0, 0)).toBeLessThan(filtered[20]!.cov.get(0, 0));
    expect(smooth[smooth.length - 1]).toBe(filtered[filtered.length - 1]);
  });

  it('says nothing of what would not be seen', () => {
    expect(takeIn(start(), () => null, [0, 0], [1, 1])).toBeNull();
  });
});
