import { describe, expect, it } from 'vitest';
import { onlyNewest } from './newest';

describe('what is asked for one after the other', () => {
  it('is the newest until the next one begins, and never again', () => {
    const asked = onlyNewest();
    const first = asked.begin();
    expect(first()).toBe(true);
    const second = asked.begin();
    expect([first(), second()]).toEqual([false, true]);
    asked.begin();
    expect([first(), second()]).toEqual([false, false]);
  });
  it('can be told of what was the newest at some time, without beginning anything', () => {
    const asked = onlyNewest();
    const before = asked.now();
    const first = asked.begin();
    const since = asked.now();
    expect([before(), first(), since()]).toEqual([false, true, true]);
    asked.begin();
    expect([first(), since()]).toEqual([false, false]);
  });
  it('is counted for each place on its own', () => {
    const [one, two] = [onlyNewest(), onlyNewest()];
    const first = one.begin();
    two.begin();
    expect(first()).toBe(true);
  });
});
