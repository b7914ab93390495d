import type { H3Event } from 'h3';
import type * as z from 'zod';
import { findUnkeepable } from '#core/model/keepable';

/** How many bytes a request may have, and how many before anybody has logged in. */
export const LARGEST_INPUT = 1_000_000;
export const BEFORE_LOG_IN = 4_000;

/** The body of a request by its schema; 400 that says which field and why, 413 as soon as more comes than may. */
export async function readInput<T>(event: H3Event, schema: z.ZodType<T>, largest = LARGEST_INPUT): Promise<T> {
  const body = parseJson(await readBytes(event, largest));
  const unkeepable = findUnkeepable(body);
  if (unkeepable) refuse(`${placeOf(unkeepable.path)}: ${unkeepable.what}`);
  const parsed = schema.safeParse(body);
  if (parsed.success) return parsed.data;
  return refuse(parsed.error.issues.map((i) => `${placeOf(i.path)}: ${i.message}`).join('; '));
}

const placeOf = (path: readonly PropertyKey[]): string => path.map(String).join('.') || 'request';

function refuse(what: string): never {
  throw createError({ statusCode: 400, message: `${what}. Nothing was changed.` });
}

function parseJson(bytes: Buffer): unknown {
  try {
    return JSON.parse(new TextDecoder('utf-8', { fatal: true }).decode(bytes));
  } catch {
    return refuse('The request is not valid JSON');
  }
}

/** Counts what really comes: a length that was announced, or none, decides nothing. */
async function readBytes(event: H3Event, largest: number): Promise<Buffer> {
  const parts: Buffer[] = [];
  let size = 0;
  // What is left unread is dropped with the connection, after the answer.
  for await (const part of event.node.req.iterator({ destroyOnReturn: false }) as AsyncIterable<Buffer>) {
    size += part.length;
    if (size > largest) {
      setResponseHeader(event, 'Connection', 'close');
      throw createError({
        statusCode: 413,
        message: `The request is larger than ${Math.round(largest / 1000)} kB. Nothing was changed.`,
      });
    }
    parts.push(part);
  }
  return Buffer.concat(parts);
}

/** A whole number in the path, or 404: a made-up address leads nowhere. */
export function readId(event: H3Event, name = 'id'): number {
  const text = getRouterParam(event, name) ?? '';
  const id = /^\d{1,9}$/.test(text) ? Number(text) : NaN;
  if (Number.isNaN(id)) throw createError({ statusCode: 404, message: `There is no ${name} "${text}".` });
  return id;
}
