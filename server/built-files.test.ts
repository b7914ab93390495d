import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { createApp, createError, defineEventHandler, setResponseHeaders, toNodeListener } from 'h3';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { builtFiles } from './built-files';

let server: Server;
let base: string;
/** Addresses that were read from the disk, in their order. */
let read: string[];
let answers: number;

beforeEach(async () => {
  [read, answers] = [[], 0];
  const files = builtFiles();
  const app = createApp({
    onRequest: (event) => void event.node.res.setHeader('x-request-id', `number ${++answers}`),
    onAfterResponse: files.keep,
  });
  app.use('/', files.answer);
  app.use(
    '/',
    defineEventHandler((event) => {
      read.push(event.path);
      if (event.path.includes('missing')) throw createError({ statusCode: 404 });
      if (event.path.includes('/api/')) return { answer: answers };
      const isPacked = (event.headers.get('accept-encoding') ?? '').includes('gzip');
      setResponseHeaders(event, { etag: `"${event.path}"`, vary: 'Accept-Encoding', 'x-packed': String(isPacked) });
      if (event.path.includes('greeting')) setResponseHeaders(event, { 'set-cookie': `one-of-${answers}=secret` });
      return Buffer.from(`what is in ${event.path}`);
    }),
  );
  server = createServer(toNodeListener(app)).listen(0, '127.0.0.1');
  await new Promise((done) => server.once('listening', done));
  base = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
});
afterEach(() => void server.close());

async function get(path: string, init: RequestInit = {}) {
  const answer = await fetch(base + path, { ...init, headers: { 'accept-encoding': 'identity', ...init.headers } });
  const { 'x-request-id': number, date, ...headers } = Object.fromEntries(answer.headers);
  return { status: answer.status, number, headers, body: await answer.text(), date };
}

describe('files of the built page', () => {
  it('are read once, and go out again as they did, under a number of their own', async () => {
    const { number, date, ...first } = await get('/_nuxt/one.js');
    const again = await get('/_nuxt/one.js');
    expect(again).toMatchObject(first);
    expect([number, again.number]).toEqual(['number 1', 'number 2']);
    expect(date).toBeTruthy();
    expect(read).toEqual(['/_nuxt/one.js']);
  });

  it('carry to nobody what somebody else was given to keep', async () => {
    const first = await fetch(`${base}/_nuxt/greeting.js`);
    expect(first.headers.getSetCookie()).toEqual(['one-of-1=secret']);
    const again = await fetch(`${base}/_nuxt/greeting.js`);
    expect([again.status, again.headers.getSetCookie()]).toEqual([200, []]);
    expect(read).toHaveLength(1);
  });

  it('are kept packed and as they are, each for whoever takes it so', async () => {
    for (const as of ['identity', 'gzip', 'gzip, br', 'identity'])
      expect((await get('/_nuxt/one.js', { headers: { 'accept-encoding': as } })).headers['x-packed']).toBe(
        String(as.includes('gzip')),
      );
    expect(read).toHaveLength(2);
  });

  it.each([
    ['data', '/api/snaps', {}],
    ['what is not there', '/_nuxt/missing.js', {}],
    ['an address with a question', '/_nuxt/one.js?v=2', {}],
    ['whoever asks whether it is still so', '/_nuxt/one.js', { headers: { 'if-none-match': '"/_nuxt/one.js"' } }],
    ['whoever wants a part', '/_nuxt/one.js', { headers: { range: 'bytes=0-3' } }],
    ['whoever sends something', '/_nuxt/one.js', { method: 'POST', body: '{}' }],
    ['the page itself', '/', {}],
  ])('are nothing to %s', async (_, path, init: RequestInit) => {
    await get('/_nuxt/one.js');
    for (let i = 0; i < 2; i++) await get(path, init);
    expect(read.slice(1)).toEqual([path, path]);
  });
});
