import { randomUUID } from 'node:crypto';

/** What is written down of a request: no name, no address, nothing that was typed. */
export interface RequestLine {
  /** Tells one request from another in the log and in what a page shows. */
  readonly id: string;
  readonly method: string;
  /** The route as it is declared: "/api/snaps/:id"; `page` for places, `file` for files of the page. */
  readonly route: string;
  readonly status: number;
  readonly ms: number;
}

export const newRequestId = (): string => randomUUID().slice(0, 8);

/** The route of an address by what is declared, numbers and secrets of it left out. */
export function routeOf(path: string, declared: string | undefined): string {
  if (path.startsWith('/api/'))
    return declared && declared !== '/api/**' && declared !== '/**' ? declared : '/api/none';
  return path.startsWith('/_nuxt/') || /\.\w+$/.test(path) ? 'file' : 'page';
}

/** How loud a line is: what went wrong here is louder than what was refused. */
export function levelOf({ status, route }: Pick<RequestLine, 'status' | 'route'>): 'error' | 'info' | 'debug' {
  if (status >= 500) return 'error';
  return route === 'file' || route === '/api/health' ? 'debug' : 'info';
}
