import { defineEventHandler, getRequestHeader, type EventHandler, type H3Event } from 'h3';
import { OF_ONE_ANSWER } from './one-answer';

/** Where files lie whose names say what is in them: what went out once under a name is what goes out under it for ever. */
const BUILT = '/_nuxt/';

/** Who asks with one of these wants to hear something else than the whole file. */
const OTHERWISE = ['range', 'if-none-match', 'if-modified-since'];

interface BuiltFile {
  readonly headers: readonly (readonly [name: string, value: string | number | readonly string[]])[];
  readonly body: Buffer;
}

/** Built files in memory: read from the disk once, and not forty times for every place that somebody opens. */
export interface BuiltFiles {
  /** Answers with a file that has gone out before; leaves everything else to whoever comes next. */
  readonly answer: EventHandler;
  /** Keeps what has just gone out, where it is a whole built file. */
  readonly keep: (event: H3Event, answer: { readonly body?: unknown } | undefined) => void;
}

/** Under what a file is kept: its address, and whether it goes out packed. `null` where it is no file of the page, or not asked for as a whole. */
function placeOf(event: H3Event): string | null {
  const { path, method } = event;
  const isWhole = method === 'GET' && !OTHERWISE.some((name) => getRequestHeader(event, name) !== undefined);
  if (!isWhole || !path.startsWith(BUILT) || path.includes('?')) return null;
  const taken = (getRequestHeader(event, 'accept-encoding') ?? '').split(',').map((part) => part.trim());
  return `${taken.includes('gzip') ? 'packed' : 'plain'} ${path}`;
}

export function builtFiles(): BuiltFiles {
  const kept = new Map<string, BuiltFile>();
  return {
    answer: defineEventHandler((event) => {
      const file = kept.get(placeOf(event) ?? '');
      if (!file) return;
      const { res } = event.node;
      for (const [name, value] of file.headers) res.setHeader(name, value);
      res.end(file.body);
    }),
    keep(event, answer) {
      const { res } = event.node;
      const place = placeOf(event);
      const body = answer?.body;
      if (place === null || kept.has(place) || res.statusCode !== 200 || !Buffer.isBuffer(body)) return;
      const headers = Object.entries(res.getHeaders()).flatMap(([name, value]) =>
        value === undefined || OF_ONE_ANSWER.includes(name) ? [] : [[name, value] as const],
      );
      kept.set(place, { headers, body });
    },
  };
}
