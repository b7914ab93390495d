import * as z from 'zod';
import { SideSchema } from './side';

export const PressureResultSchema = z.enum(['held', 'late', 'short']);
export type PressureResult = z.infer<typeof PressureResultSchema>;

/** One pressure against a protection, who has whom under it. Seconds from the snap. */
export const PressureSchema = z.object({
  rushers: z.array(z.string()),
  /** Who goes first and who loops behind him. */
  twist: z.tuple([z.string(), z.string()]).nullable(),
  result: PressureResultSchema,
  pickedUp: z.array(z.object({ rusher: z.string(), by: z.array(z.string()) })),
  /** Whom nobody has: the gap he comes through, when he is at the spot. */
  free: z.array(z.object({ id: z.string(), gap: z.string(), arrives: z.number() })),
  late: z.array(z.string()),
  passedOff: z.tuple([z.string(), z.string()]).nullable(),
});
export type PressureReport = z.infer<typeof PressureSchema>;

const CountsSchema = z.object({ all: z.number(), held: z.number(), late: z.number(), short: z.number() });

/** A protection against every legal pressure of one front. */
export const PressureProofSchema = z.object({
  scheme: z.string(),
  side: SideSchema,
  tags: z.array(z.string()),
  /** Who is declared. */
  mike: z.string().nullable(),
  /** When the ball is out, seconds. */
  time: z.number(),
  counts: CountsSchema,
  /** By how many come. */
  byNumber: z.array(z.object({ rushers: z.number(), counts: CountsSchema })),
  /** Who comes free and where, the most frequent first, with the smallest pressure that frees him. */
  ways: z.array(
    z.object({ id: z.string(), gap: z.string(), count: z.number(), soonest: z.number(), smallest: PressureSchema }),
  ),
  /** Who is by himself on whom when the fewest come, and who gets a second man. */
  alone: z.array(
    z.object({
      blocker: z.string(),
      on: z.string(),
      /** Seconds in hand before his rusher is past him; the least first. */ spare: z.number(),
    }),
  ),
  doubles: z.array(z.object({ on: z.string(), by: z.array(z.string()) })),
});
export type PressureProof = z.infer<typeof PressureProofSchema>;
