import { afterEach, describe, expect, it, vi } from 'vitest';
import { atRest } from './at-rest';

afterEach(() => vi.unstubAllGlobals());

describe('what can wait', () => {
  it('waits until the page is at rest, and not for ever', async () => {
    let rest: () => void = () => undefined;
    const idle = vi.fn((callback: () => void, _options: { timeout: number }) => (rest = callback));
    vi.stubGlobal('requestIdleCallback', idle);
    let isDone = false;
    const waiting = atRest().then(() => (isDone = true));
    await Promise.resolve();
    expect(isDone).toBe(false);
    expect(idle.mock.calls[0]![1].timeout).toBeGreaterThan(0);
    rest();
    expect(await waiting).toBe(true);
  });

  it('goes on where a browser never says that it is', async () => {
    vi.stubGlobal('requestIdleCallback', undefined);
    await expect(atRest()).resolves.toBeUndefined();
  });
});
