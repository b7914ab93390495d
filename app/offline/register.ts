/** How long the page is left alone before anything is put aside for later, milliseconds: what one came for comes first. */
const QUIET = 2_000;

/**
 * Lets the page open without a connection. Browsers allow it over https only (and on this very machine); elsewhere an open page goes on
 * working without a connection all the same, and cannot be opened anew.
 */
export async function keepForLater(): Promise<void> {
  if (import.meta.dev || !('serviceWorker' in navigator) || !window.isSecureContext) return;
  await new Promise((resolve) => setTimeout(resolve, QUIET));
  await navigator.serviceWorker.register('/sw.js');
  const { active } = await navigator.serviceWorker.ready;
  // What came before it stood beside the page is asked for again, so that it is kept as well.
  const files = performance
    .getEntriesByType('resource')
    .map((entry) => entry.name)
    .filter((name) => new URL(name).pathname.startsWith('/_nuxt/'));
  active?.postMessage({ type: 'CACHE_URLS', payload: { urlsToCache: files } });
}
