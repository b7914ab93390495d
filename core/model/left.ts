import * as z from 'zod';

/** A man who has left, as long as something is known of him. */
export const LeftManSchema = z.object({
  id: z.int(),
  name: z.string(),
  left: z.string(),
  /** When everything said of him is erased by itself; `null` where the program keeps it until somebody erases it. */
  due: z.string().nullable(),
});
export type LeftMan = z.infer<typeof LeftManSchema>;
