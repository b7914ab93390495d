import type { H3Event } from 'h3';
import type * as z from 'zod';

/** What stands behind the question mark of an address, by its schema; 400 that says which word and why. */
export function readQuery<T>(event: H3Event, schema: z.ZodType<T>): T {
  const parsed = schema.safeParse(getQuery(event));
  if (parsed.success) return parsed.data;
  const says = parsed.error.issues.map((i) => `${i.path.map(String).join('.') || 'address'}: ${i.message}`).join('; ');
  throw createError({ statusCode: 400, message: `${says}.` });
}
