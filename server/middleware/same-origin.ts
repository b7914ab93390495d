/** Methods that change nothing. */
const SAFE = new Set(['GET', 'HEAD', 'OPTIONS']);

/**
 * A change is taken from our own page only: a browser says where a request comes from, and no page of another origin can send JSON without
 * asking first. Programs outside a browser say nothing and are let in with their cookie.
 */
export default defineEventHandler((event) => {
  if (SAFE.has(event.method) || !event.path.startsWith('/api/')) return;
  const from = getRequestHeader(event, 'sec-fetch-site');
  if (from && from !== 'same-origin')
    throw createError({ statusCode: 403, message: 'This comes from another page. Nothing was changed.' });
  const type = getRequestHeader(event, 'content-type');
  if (type && !/^application\/(json|zip|x-tar|offset\+octet-stream)\b/.test(type))
    throw createError({ statusCode: 415, message: 'Only JSON is taken here. Nothing was changed.' });
});
