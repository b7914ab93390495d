import type { H3Event } from 'h3';
import type * as z from 'zod';

/** The body of a request by its schema; 400 that says which field and why. */
export async function readInput<T>(event: H3Event, schema: z.ZodType<T>): Promise<T> {
  const body: unknown = await readBody(event).catch(() => {
    throw createError({ statusCode: 400, message: 'The request is not valid JSON. Nothing was changed.' });
  });
  const parsed = schema.safeParse(body);
  if (parsed.success) return parsed.data;
  const where = parsed.error.issues.map((i) => `${i.path.join('.') || 'request'}: ${i.message}`).join('; ');
  throw createError({ statusCode: 400, message: `${where}. Nothing was changed.` });
}

/** A whole number in the path, or 404: a made-up address leads nowhere. */
export function readId(event: H3Event, name = 'id'): number {
  const text = getRouterParam(event, name) ?? '';
  const id = /^\d{1,9}$/.test(text) ? Number(text) : NaN;
  if (Number.isNaN(id)) throw createError({ statusCode: 404, message: `There is no ${name} "${text}".` });
  return id;
}
