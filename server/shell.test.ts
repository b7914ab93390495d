import { createHash } from 'node:crypto';
import { brotliDecompressSync, gunzipSync } from 'node:zlib';
import { describe, expect, it } from 'vitest';
import { CARRIES_LOG_IN } from '#core/model/carried';
import { answerOf, encodingFor, hashesOf, shellFor, shellOf } from './shell';

const HTML = `<head><link nonce="abc" rel="stylesheet" href="/a.css"><script nonce="abc" type="module" src="/a.js"></script>
<script nonce="abc">window.a = 1;</script><script type="application/json">{"b":2}</script></head>`;
const HEADERS = {
  'content-security-policy': "script-src 'self' 'nonce-abc'; style-src-elem 'self' 'nonce-abc'; style-src 'self'",
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
    const { policy, body } = answerOf(shell, 'one', 'plain');
    expect(policy).toContain(`script-src 'self' ${hash('window.a = 1;')} ${hash('{"b":2}')};`);
    expect(policy).not.toMatch(/unsafe|script-src[^;]*nonce/);
    expect(body.toString()).not.toMatch(/<(script|link)[^>]* nonce/);
  });

  it('takes styles that carry the number of the answer, another one for each', () => {
    for (const number of ['one', 'two']) {
      const { policy, body } = answerOf(shell, number, 'plain');
      expect(policy).toContain(`style-src-elem 'self' 'nonce-${number}';`);
      expect(body.toString()).toContain(`<head><meta property="csp-nonce" nonce="${number}">`);
      expect(policy + body.toString()).not.toContain('{{');
    }
  });

  it('is the same page however it is packed', () => {
    const plain = answerOf(shell, 'one', 'plain').body;
    expect(brotliDecompressSync(answerOf(shell, 'one', 'br').body)).toEqual(plain);
    expect(gunzipSync(answerOf(shell, 'one', 'gzip').body)).toEqual(plain);
  });

  it('is another one as soon as a letter of it is, and the same whatever number it was made with', () => {
    expect(shellOf(HTML.replaceAll('abc', 'xyz'), HEADERS).etag).toBe(shell.etag);
    expect(shellOf(HTML.replace('a = 1', 'a = 2'), HEADERS).etag).not.toBe(shell.etag);
  });

  it('says what a place will ask for after what the page itself asks for, and is another one then', () => {
    const place = shellFor(shell, '<link href="/place.js">');
    const body = answerOf(place, 'one', 'plain').body.toString();
    expect(body).toContain('<link href="/place.js"></head>');
    expect(body.indexOf('/a.js')).toBeLessThan(body.indexOf('/place.js'));
    expect(place.etag).not.toBe(shell.etag);
    expect(body).toContain(`<meta name="${CARRIES_LOG_IN}">`);
    expect(answerOf(shell, 'one', 'plain').body.toString()).not.toContain(CARRIES_LOG_IN);
  });

  it('keeps what goes with every answer and drops what was of one', () => {
    expect(shell.headers).toMatchObject({ 'x-frame-options': 'SAMEORIGIN', 'cache-control': 'no-cache' });
    expect(Object.keys(shell.headers)).not.toContain('date');
    expect(Object.keys(shell.headers)).not.toContain('content-length');
    expect(Object.keys(shell.headers)).not.toContain('set-cookie');
    expect(Object.keys(shell.headers)).not.toContain('content-security-policy');
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
