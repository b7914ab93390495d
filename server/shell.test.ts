import { createHash } from 'node:crypto';
import { brotliDecompressSync, gunzipSync } from 'node:zlib';
import { describe, expect, it } from 'vitest';
import { encodingFor, hashesOf, shellOf } from './shell';

const HTML = `<head><link nonce="abc" rel="stylesheet" href="/a.css"><script nonce="abc" type="module" src="/a.js"></script>
<script nonce="abc">window.a = 1;</script><script type="application/json">{"b":2}</script></head>`;
const HEADERS = {
  'content-security-policy': "default-src 'self'; script-src 'self' 'nonce-abc'; style-src 'self'",
  'x-frame-options': 'SAMEORIGIN',
  date: 'today',
  'set-cookie': 'violet-chalk=of-somebody',
  'content-length': '12',
};
const hash = (text: string): string => `'sha256-${createHash('sha256').update(text).digest('base64')}'`;

describe('the page every place begins with', () => {
  const shell = shellOf(HTML, HEADERS);

  it('names its own scripts by what they are, and no others', () => {
    expect(hashesOf(HTML)).toEqual([hash('window.a = 1;'), hash('{"b":2}')]);
    const policy = shell.headers['content-security-policy']!;
    expect(policy).toContain(`script-src 'self' ${hash('window.a = 1;')}`);
    expect(policy).not.toMatch(/nonce|unsafe/);
    expect(shell.plain.toString()).not.toContain('nonce');
  });

  it('is the same page however it is packed', () => {
    expect(brotliDecompressSync(shell.br)).toEqual(shell.plain);
    expect(gunzipSync(shell.gzip)).toEqual(shell.plain);
  });

  it('is another one as soon as a letter of it is, and the same whatever number it was made with', () => {
    expect(shellOf(HTML.replaceAll('abc', 'xyz'), HEADERS).etag).toBe(shell.etag);
    expect(shellOf(HTML.replace('a = 1', 'a = 2'), HEADERS).etag).not.toBe(shell.etag);
  });

  it('keeps what goes with every answer and drops what was of one', () => {
    expect(shell.headers).toMatchObject({ 'x-frame-options': 'SAMEORIGIN', 'cache-control': 'no-cache' });
    expect(Object.keys(shell.headers)).not.toContain('date');
    expect(Object.keys(shell.headers)).not.toContain('content-length');
    expect(Object.keys(shell.headers)).not.toContain('set-cookie');
  });

  it.each([
    ['gzip, deflate, br', 'br'],
    ['gzip', 'gzip'],
    ['br;q=0, gzip;q=0.5', 'gzip'],
    ['', 'plain'],
    ['identity', 'plain'],
  ])('goes out as a browser takes it: %s', (accepted, as) => {
    expect(encodingFor(accepted)).toBe(as);
  });
});
