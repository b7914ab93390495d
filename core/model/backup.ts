import * as z from 'zod';

/** A backup of the whole installation that lies on its machine. */
export const BackupSchema = z.object({
  name: z.string().regex(/^[\w-]{1,60}\.tar$/, 'the name of a backup'),
  bytes: z.number(),
  made: z.string(),
  /** How many people were erased since: what is known of them is still in it. */
  erasedSince: z.int(),
});
export type Backup = z.infer<typeof BackupSchema>;

/** A backup that was put back. */
export const RestoredSchema = z.object({
  /** What was here before is in this backup. */
  before: BackupSchema.shape.name,
  /** As of when it is now, and what is missing. */
  says: z.string(),
});
export type Restored = z.infer<typeof RestoredSchema>;
