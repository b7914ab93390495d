import type { H3Event } from 'h3';
import * as z from 'zod';

/** What stands behind the question mark of an address, by its schema; 400 that says which word and why. */
export function readQuery<T>(event: H3Event, schema: z.ZodType<T>): T {
  const parsed = schema.safeParse(getQuery(event));
  if (parsed.success) return parsed.data;
  const says = parsed.error.issues.map((i) => `${i.path.map(String).join('.') || 'address'}: ${i.message}`).join('; ');
  throw createError({ statusCode: 400, message: `${says}.` });
}

/** Which part of a long list is asked for. */
export const PageSchema = z.object({
  skip: z.coerce.number().int().min(0).max(1_000_000).default(0),
  take: z.coerce.number().int().min(1).max(200).default(50),
});
