import * as z from 'zod';

const word = z
  .string()
  .trim()
  .min(1)
  .max(30)
  .regex(/^[\p{L}\p{N}'’ -]+$/u);

/**
 * How a program says its calls. Every part has its own words; within a part no two may be alike, and no word of one part may begin
 * like a whole word of another that can stand in the same place. Numbers are built from the carrier and the hole.
 */
export const NamingSchema = z.object({
  style: z.enum(['words', 'numbers']),
  /** Scheme id to what it is called. */
  plays: z.record(z.string(), word),
  sides: z.object({ left: word, right: word }),
  /** Formation id to its prefix. */
  formations: z.record(z.string(), word),
  /** Motion ("Z left") to its prefix. */
  motions: z.record(z.string(), word),
  /** Tag to its suffix. */
  tags: z.record(z.string(), word),
  numbers: z.object({
    /** Which side the even holes are on. */
    even: z.enum(['left', 'right']),
    /** The carrier's digit, by scheme; `default` for all others. */
    carriers: z.record(z.string(), z.string().regex(/^[1-9]$/)),
    /** Pairs of hole digits by scheme, the odd one first: [1, 2] is the A gaps. */
    holes: z.record(z.string(), z.tuple([z.int().min(1).max(9), z.int().min(0).max(8)])),
  }),
});
export type Naming = z.infer<typeof NamingSchema>;

/** A call as a program names it. */
export interface NamedCall {
  readonly scheme: string;
  readonly side: 'left' | 'right';
  readonly formation: string | null;
  readonly motion: string | null;
  readonly tags: readonly string[];
}
