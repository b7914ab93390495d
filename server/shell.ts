import { createHash } from 'node:crypto';
import { brotliCompressSync, constants, gzipSync } from 'node:zlib';

/** The page every place begins with, made once: its bytes as they go out, and the headers that go with them. */
export interface Shell {
  readonly plain: Buffer;
  readonly br: Buffer;
  readonly gzip: Buffer;
  readonly etag: string;
  readonly headers: Readonly<Record<string, string>>;
}

/** Headers that are of one answer and not of the page. */
const OF_ONE_ANSWER = [
  'date',
  'connection',
  'keep-alive',
  'content-length',
  'content-encoding',
  'transfer-encoding',
  'etag',
  'cache-control',
  // Nobody is given what somebody else was to keep.
  'set-cookie',
];

const sha256 = (text: string): string => createHash('sha256').update(text).digest('base64');

/** The scripts that stand in the page itself, each as the policy names it. */
export const hashesOf = (html: string): string[] =>
  [...html.matchAll(/<script(?![^>]*\ssrc=)[^>]*>([\s\S]*?)<\/script>/g)].map(
    ([, text]) => `'sha256-${sha256(text!)}'`,
  );

/**
 * Makes the page of one answer into the page of all: without the number that is good for one answer only, its scripts named by what they are. A
 * script that is not in the page as it was built never runs. Styles may stand in the page: components write theirs while they run.
 */
export function shellOf(html: string, headers: Readonly<Record<string, string>>): Shell {
  const page = html.replace(/ nonce="[^"]*"/g, '');
  const plain = Buffer.from(page);
  const policy = (headers['content-security-policy'] ?? '').replace(
    /'nonce-[^']*'/g,
    [...new Set(hashesOf(page))].join(' '),
  );
  const kept = Object.fromEntries(Object.entries(headers).filter(([name]) => !OF_ONE_ANSWER.includes(name)));
  return {
    plain,
    br: brotliCompressSync(plain, { params: { [constants.BROTLI_PARAM_QUALITY]: 9 } }),
    gzip: gzipSync(plain),
    etag: `"${sha256(page).slice(0, 22)}"`,
    headers: { ...kept, 'content-security-policy': policy, 'cache-control': 'no-cache', vary: 'accept-encoding' },
  };
}

/** In which of the ways the page is kept a browser takes it. */
export function encodingFor(accepted: string): 'br' | 'gzip' | 'plain' {
  const taken = accepted.split(',').map((part) => part.trim().split(';'));
  const takes = (name: string): boolean => taken.some(([n, q]) => n === name && !/^q=0(\.0*)?$/.test(q?.trim() ?? ''));
  if (takes('br')) return 'br';
  return takes('gzip') ? 'gzip' : 'plain';
}
