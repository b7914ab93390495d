import { createHash } from 'node:crypto';
import { CARRIES_LOG_IN } from '#core/model/carried';
import { brotliCompressSync, constants, gzipSync } from 'node:zlib';
import { OF_ONE_ANSWER } from './one-answer';

/** The page every place begins with, made once: with the place of its number, and the headers that go with it. */
export interface Shell {
  readonly page: string;
  readonly policy: string;
  readonly etag: string;
  readonly headers: Readonly<Record<string, string>>;
}

/** Stands where the number of an answer comes. */
const NUMBER = '{{number}}';

/** Headers that say how the one answer was packed and kept, and its policy: the page has its own. */
const OF_THE_ANSWER_IT_IS_MADE_OF = [
  ...OF_ONE_ANSWER,
  'content-length',
  'content-encoding',
  'etag',
  'cache-control',
  'content-security-policy',
];

const sha256 = (text: string): string => createHash('sha256').update(text).digest('base64');
const etagOf = (page: string): string => `"${sha256(page).slice(0, 22)}"`;

/** The scripts that stand in the page itself, each as the policy names it. */
export const hashesOf = (html: string): string[] =>
  [...html.matchAll(/<script(?![^>]*\ssrc=)[^>]*>([\s\S]*?)<\/script>/g)].map(
    ([, text]) => `'sha256-${sha256(text!)}'`,
  );

/**
 * Makes the page of one answer into the page of all: its scripts are named by what they are, so that one which is not in the page as it was
 * built never runs. Components write their styles while they run: those carry the number of the answer, which the page knows and nobody else.
 */
export function shellOf(html: string, headers: Readonly<Record<string, string>>): Shell {
  const page = html
    .replace(/ nonce="[^"]*"/g, '')
    .replace('<head>', `<head><meta property="csp-nonce" nonce="${NUMBER}">`);
  const scripts = [...new Set(hashesOf(page))].join(' ');
  const policy = (headers['content-security-policy'] ?? '')
    .split(';')
    .map((part) => part.replace(/'nonce-[^']*'/, /^\s*style/.test(part) ? `'nonce-${NUMBER}'` : scripts))
    .join(';');
  const kept = Object.fromEntries(
    Object.entries(headers).filter(([name]) => !OF_THE_ANSWER_IT_IS_MADE_OF.includes(name)),
  );
  return {
    page,
    policy,
    etag: etagOf(page),
    headers: { ...kept, 'cache-control': 'no-cache', vary: 'accept-encoding' },
  };
}

/** The same page for one place and somebody who carries a log-in, which says so and what that place will ask for. */
export const shellFor = (shell: Shell, links: string): Shell => {
  const page = shell.page.replace('</head>', `<meta name="${CARRIES_LOG_IN}">${links}</head>`);
  return { ...shell, page, etag: etagOf(page) };
};

/** One answer: the page with a number nobody could know before, packed as a browser takes it, and the policy that goes with it. */
export function answerOf(
  shell: Shell,
  number: string,
  as: Encoding,
): { readonly body: Buffer; readonly policy: string } {
  const plain = Buffer.from(shell.page.replaceAll(NUMBER, number));
  return { body: PACKED[as](plain), policy: shell.policy.replaceAll(NUMBER, number) };
}

type Encoding = 'br' | 'gzip' | 'plain';
const PACKED: Readonly<Record<Encoding, (plain: Buffer) => Buffer>> = {
  br: (plain) => brotliCompressSync(plain, { params: { [constants.BROTLI_PARAM_QUALITY]: 4 } }),
  gzip: (plain) => gzipSync(plain),
  plain: (plain) => plain,
};

/** In which of the ways the page is kept a browser takes it. */
export function encodingFor(accepted: string): Encoding {
  const taken = accepted.split(',').map((part) => part.trim().split(';'));
  const takes = (name: string): boolean => taken.some(([n, q]) => n === name && !/^q=0(\.0*)?$/.test(q?.trim() ?? ''));
  if (takes('br')) return 'br';
  return takes('gzip') ? 'gzip' : 'plain';
}
