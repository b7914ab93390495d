import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { keepForLater } from './register';

const HERE = 'https://chalk.example';
let done: string[];
let told: unknown[];

beforeEach(() => {
  vi.useFakeTimers();
  [done, told] = [[], []];
  const active = { postMessage: (message: unknown) => told.push(message) };
  vi.stubGlobal('navigator', {
    serviceWorker: { register: async (url: string) => void done.push(url), ready: Promise.resolve({ active }) },
  });
  vi.stubGlobal('window', { isSecureContext: true });
  const entries = ['/_nuxt/a.js', '/api/session', '/_nuxt/b.css'].map((path) => ({ name: HERE + path }));
  vi.stubGlobal('performance', { getEntriesByType: () => entries });
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

describe('putting the page aside for later', () => {
  it('begins when the page has been left alone for a while, and keeps the files that came before it', async () => {
    const kept = keepForLater();
    await vi.advanceTimersByTimeAsync(1_900);
    expect([done, told]).toEqual([[], []]);
    await vi.advanceTimersByTimeAsync(200);
    await kept;
    expect(done).toEqual(['/sw.js']);
    expect(told).toEqual([
      { type: 'CACHE_URLS', payload: { urlsToCache: [`${HERE}/_nuxt/a.js`, `${HERE}/_nuxt/b.css`] } },
    ]);
  });

  it('does nothing where a browser does not allow it', async () => {
    vi.stubGlobal('window', { isSecureContext: false });
    await keepForLater();
    vi.stubGlobal('window', { isSecureContext: true });
    vi.stubGlobal('navigator', {});
    await keepForLater();
    await vi.advanceTimersByTimeAsync(5_000);
    expect([done, told]).toEqual([[], []]);
  });
});
