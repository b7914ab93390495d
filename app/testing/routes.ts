import { vi } from 'vitest';

/** What a route answers: by what was sent and what stands in its address. */
export type Answer = (body: never, url: URL) => unknown;

/** A server that answers some routes, can be down, slow, or refuse once. */
export interface RoutesServer {
  /** What was asked for, in order, with what was sent: "PUT /api/people/3". */
  readonly asked: readonly { readonly what: string; readonly body: unknown }[];
  down(): void;
  up(): void;
  /** The next request is refused with this answer. */
  refuse(status: number, message: string): void;
  /** Requests wait until `answer` is called. */
  slow(): void;
  answer(): void;
}

/** Puts a server in the place of `$fetch` for one test; its routes are "METHOD /path", a `*` for one part of a path. */
export function serveRoutes(routes: Readonly<Record<string, Answer>>): RoutesServer {
  const asked: { what: string; body: unknown }[] = [];
  let reachable = true;
  let refusal: { status: number; message: string } | null = null;
  let waiting: (() => void)[] | null = null;
  const find = (what: string): Answer => {
    for (const [route, answer] of Object.entries(routes))
      if (new RegExp(`^${route.replace(/[.]/g, '\\.').replace('*', '[^/]+')}$`).test(what)) return answer;
    throw new Error(`nobody serves ${what}`);
  };
  vi.stubGlobal('$fetch', async (path: string, { method = 'GET', body }: { method?: string; body?: unknown } = {}) => {
    const url = new URL(path, 'http://chalk.example');
    asked.push({ what: `${method} ${url.pathname}`, body });
    if (waiting) await new Promise<void>((go) => waiting!.push(go));
    if (!reachable) throw new Error('connection refused');
    const refused = refusal;
    refusal = null;
    if (refused) throw Object.assign(new Error(refused.message), { status: refused.status, data: refused });
    return structuredClone(find(`${method} ${url.pathname}`)(body as never, url)) ?? null;
  });
  return {
    asked,
    down: () => void (reachable = false),
    up: () => void (reachable = true),
    refuse: (status, message) => void (refusal = { status, message }),
    slow: () => void (waiting = []),
    answer: () => {
      const held = waiting ?? [];
      waiting = null;
      for (const go of held) go();
    },
  };
}
