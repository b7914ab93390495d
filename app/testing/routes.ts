import { vi } from 'vitest';
import { steered, type Steering } from './steer';

/** What a route answers: by what was sent and what stands in its address. */
export type Answer = (body: never, url: URL) => unknown;

/** A server that answers some routes, can be down, slow, or refuse once. */
export interface RoutesServer extends Steering {
  /** What was asked for, in order, with what was sent: "PUT /api/people/3". */
  readonly asked: readonly { readonly what: string; readonly body: unknown }[];
}

/** Puts a server in the place of `$fetch` for one test; its routes are "METHOD /path", a `*` for one part of a path. */
export function serveRoutes(routes: Readonly<Record<string, Answer>>): RoutesServer {
  const asked: { what: string; body: unknown }[] = [];
  const { steering, pass } = steered();
  const find = (what: string): Answer => {
    for (const [route, answer] of Object.entries(routes))
      if (new RegExp(`^${route.replace(/[.]/g, '\\.').replace('*', '[^/]+')}$`).test(what)) return answer;
    throw new Error(`nobody serves ${what}`);
  };
  vi.stubGlobal('$fetch', async (path: string, { method = 'GET', body }: { method?: string; body?: unknown } = {}) => {
    const url = new URL(path, 'http://chalk.example');
    asked.push({ what: `${method} ${url.pathname}`, body });
    await pass();
    return structuredClone(find(`${method} ${url.pathname}`)(body as never, url)) ?? null;
  });
  return { asked, ...steering };
}
