import * as z from 'zod';

/** Most choices a man or a movement may have; keeps a hand-written space from growing past counting. */
export const MAX_CHOICES = 40;

/**
 * A family of fronts as data. Every man has a list of clauses in the notation of fronts ("T 3 right", "W 30 left @4"), one of which is
 * taken; `null` means he is not there. The same for movements, each choice being a list of movement clauses.
 */
export const SpaceSchema = z.object({
  id: z.string().regex(/^[a-z0-9-]+$/),
  name: z.string().min(1).max(80),
  men: z
    .array(z.array(z.string().max(60).nullable()).min(1).max(MAX_CHOICES))
    .min(1)
    .max(11),
  /** Every man on the line also stands this far (feet) to either side of each place; 0 for not. */
  jitter: z.number().min(0).max(1).default(0),
  movements: z
    .array(z.array(z.string().max(40)).max(4))
    .min(1)
    .max(MAX_CHOICES)
    .default([[]]),
});
export type Space = z.infer<typeof SpaceSchema>;
