import { vi } from 'vitest';
import { isJsonShelf, type BookShelf } from '#core/calls/playbook';
import { readTree } from '#core/language/read';
import { failWith, steered, type Steering } from './steer';
import type { OwnDocument } from '~/features/playbook/store';

/** The server as the stores see it, in memory: it can be down, slow, or refuse. */
export interface FakeServer extends Steering {
  /** The text kept under a short name; `null` when there is none. */
  kept(shelf: BookShelf, slug: string): string | null;
  count(shelf: BookShelf): number;
  /** What was asked for, in order: "PUT /api/program". */
  readonly asked: readonly string[];
}

interface Body {
  texts?: { shelf: BookShelf; text: string; opponent?: string | null }[];
  text?: string;
  base?: number;
  draft?: boolean;
  retired?: boolean;
  opponent?: string | null;
}

/** Puts a server in the place of `$fetch` for one test. */
export function serve(): FakeServer {
  let documents: OwnDocument[] = [];
  let program: object = {};
  const { steering, pass } = steered();
  const asked: string[] = [];

  const fail = failWith;
  const change = (id: number, to: Partial<OwnDocument>): void => {
    documents = documents.map((d) => (d.id === id ? { ...d, ...to } : d));
  };
  function add({ texts = [] }: Body): void {
    for (const { shelf, text, opponent = null } of texts) {
      const slug = isJsonShelf(shelf) ? (JSON.parse(text) as { id: string }).id : readTree(text).tree!.id;
      if (documents.some((d) => d.shelf === shelf && d.slug === slug)) fail(409, `There is a "${slug}" already.`);
      documents = [
        ...documents,
        {
          id: documents.length + 1,
          shelf,
          slug,
          opponent,
          retired: false,
          players: false,
          text,
          version: 1,
          draft: null,
        },
      ];
    }
  }
  function answerTo(method: string, url: string, body: Body): unknown {
    const own = /^\/api\/playbook\/(\d+)(\/shelf)?$/.exec(url);
    if (url === '/api/playbook') return method === 'POST' ? add(body) : documents;
    if (url === '/api/program') return method === 'PUT' ? (program = body) : program;
    if (!own) return fail(404, `nobody serves ${url}`);
    const document = documents.find((d) => d.id === Number(own[1])) ?? fail(404, 'There is no such text.');
    if (own[2]) return change(document.id, body as Partial<OwnDocument>);
    if (body.base !== document.version) return fail(409, 'Somebody else has saved it in the meantime.');
    change(document.id, { text: body.text!, version: document.version + 1 });
    return { version: document.version + 1, draft: false };
  }

  vi.stubGlobal('$fetch', async (url: string, { method = 'GET', body = {} }: { method?: string; body?: Body } = {}) => {
    asked.push(`${method} ${url}`);
    await pass();
    return structuredClone(answerTo(method, url, body));
  });

  return {
    asked,
    kept: (shelf, slug) => documents.find((d) => d.shelf === shelf && d.slug === slug)?.text ?? null,
    count: (shelf) => documents.filter((d) => d.shelf === shelf).length,
    ...steering,
  };
}
