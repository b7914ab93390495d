import * as z from 'zod';

/** How often a man did his job at a block: right man and technique, as it was graded. */
export const BlockRecordSchema = z.object({
  playerId: z.int(),
  block: z.string(),
  good: z.int(),
  of: z.int(),
  /** His faults at it, the most frequent first. */
  faults: z.array(z.object({ fault: z.string(), count: z.int() })),
});
export type BlockRecord = z.infer<typeof BlockRecordSchema>;
