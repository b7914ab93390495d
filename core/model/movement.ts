import * as z from 'zod';
import { SideSchema } from './side';

const id = z.string();
const gap = z.enum(['A', 'B', 'C', 'D']);

/** What a front does after the snap, as data. */
export const MovementSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('slant'), who: id.nullable(), side: SideSchema }),
  z.object({ kind: z.literal('pinch') }),
  z.object({ kind: z.literal('loop'), who: id, side: SideSchema }),
  z.object({ kind: z.literal('twist'), first: id, second: id }),
  z.object({ kind: z.literal('blitz'), who: id, gap, side: SideSchema }),
  z.object({ kind: z.literal('scrape'), who: id, side: SideSchema }),
  z.object({ kind: z.literal('edge'), who: id, side: SideSchema }),
  z.object({ kind: z.literal('down'), who: id, side: SideSchema }),
  z.object({ kind: z.literal('drop'), who: id }),
  z.object({ kind: z.literal('exchange'), first: id, second: id }),
]);
export type Movement = z.infer<typeof MovementSchema>;
