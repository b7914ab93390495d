import { afterEach, describe, expect, it, vi } from 'vitest';
import { askAhead, takeAhead } from './ahead';
import { readOnce, RequestProblem } from './request';

afterEach(() => {
  vi.unstubAllGlobals();
  takeAhead('/api/x');
});

describe('what is asked for ahead', () => {
  it('is for the first who needs it, even before it is there; whoever asks again asks anew', async () => {
    let answer: (said: string) => void = () => undefined;
    const ask = vi.fn(() => new Promise<string>((done) => (answer = done)));
    const fetching = vi.fn(() => Promise.resolve('later'));
    vi.stubGlobal('$fetch', fetching);
    void askAhead('/api/x', ask);
    const first = readOnce<string>('/api/x');
    expect(fetching).not.toHaveBeenCalled();
    answer('early');
    expect(await first).toBe('early');
    expect(await readOnce<string>('/api/x')).toBe('later');
    expect(ask).toHaveBeenCalledTimes(1);
  });

  it('fails for whoever takes it, and for nobody before', async () => {
    void askAhead('/api/x', () => Promise.reject(new RequestProblem('The server cannot be reached.', null)));
    await new Promise((soon) => setTimeout(soon));
    await expect(readOnce('/api/x')).rejects.toThrow('The server cannot be reached.');
  });

  it('is old when nobody took it soon', async () => {
    vi.useFakeTimers();
    const fetching = vi.fn(() => Promise.resolve('of now'));
    vi.stubGlobal('$fetch', fetching);
    void askAhead('/api/x', () => Promise.resolve('of then'));
    await vi.advanceTimersByTimeAsync(60_000);
    expect(await readOnce<string>('/api/x')).toBe('of now');
    vi.useRealTimers();
  });

  it('leaves alone what was asked for under another address', async () => {
    vi.stubGlobal(
      '$fetch',
      vi.fn(() => Promise.resolve('of y')),
    );
    void askAhead('/api/x', () => Promise.resolve('of x'));
    expect(await readOnce<string>('/api/y')).toBe('of y');
  });
});
