/// <reference lib="webworker" />
import { clientsClaim, setCacheNameDetails } from 'workbox-core';
import { ExpirationPlugin } from 'workbox-expiration';
import { registerRoute, Route } from 'workbox-routing';
import { CacheFirst, NetworkFirst, NetworkOnly } from 'workbox-strategies';
import { changesWhoIsHere, DATA_CACHE, FILE_CACHE, isFile, isKept, isOfNobody, PAGE_CACHE, SHELL } from './kept';

/*
 * Runs beside the page once it came over a safe line: the page, its files and a few answers are there without a connection. What is there
 * with one is always asked for first.
 */

declare const self: ServiceWorkerGlobalScope;
/** Files of builds before this one go when there are so many. */
const MOST_FILES = 400;
/** Answers older than this are no help to anybody, seconds. */
const OLDEST = 14 * 24 * 60 * 60;

setCacheNameDetails({ prefix: 'violet-chalk' });
void self.skipWaiting();
clientsClaim();

registerRoute(
  new Route(
    ({ request }) => request.mode === 'navigate',
    new NetworkFirst({
      cacheName: PAGE_CACHE,
      plugins: [{ cacheKeyWillBeUsed: () => Promise.resolve(new URL(SHELL, self.location.origin).href) }],
    }),
  ),
);
registerRoute(
  ({ url, sameOrigin }) => sameOrigin && isFile(url),
  new CacheFirst({ cacheName: FILE_CACHE, plugins: [new ExpirationPlugin({ maxEntries: MOST_FILES })] }),
);
registerRoute(
  ({ url, request, sameOrigin }) => sameOrigin && isKept(url, request.method),
  new NetworkFirst({
    cacheName: DATA_CACHE,
    plugins: [
      new ExpirationPlugin({ maxAgeSeconds: OLDEST }),
      {
        cacheWillUpdate: async ({ request, response }) =>
          response.status === 200 && !(await isOfNobody(new URL(request.url), response)) ? response : null,
      },
    ],
  }),
);
/** Whoever comes or goes, nothing of the one before stays. */
for (const method of ['POST', 'PUT', 'DELETE'] as const)
  registerRoute(
    ({ url, request, sameOrigin }) => sameOrigin && changesWhoIsHere(url, request.method),
    new NetworkOnly({
      plugins: [
        {
          fetchDidSucceed: async ({ response }) => {
            if (response.ok) await caches.delete(DATA_CACHE);
            return response;
          },
        },
      ],
    }),
    method,
  );
