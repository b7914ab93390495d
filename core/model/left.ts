import * as z from 'zod';

/** A man who has left, as long as something is known of him. */
export const LeftManSchema = z.object({
  id: z.int(),
  name: z.string(),
  left: z.string(),
});
export type LeftMan = z.infer<typeof LeftManSchema>;
