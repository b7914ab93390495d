import * as z from 'zod';
import { MeasuringSchema } from '#core/model/measured';
import { outbox } from '~/features/outbox/outbox';

/** What somebody measured of a snap on one page and has not arrived, with what it began from. */
const UnsentSchema = z.object({
  user: z.int(),
  snap: z.int(),
  page: z.string(),
  before: MeasuringSchema,
  mine: MeasuringSchema,
});
export type Unsent = z.infer<typeof UnsentSchema>;
const box = outbox('measuring', UnsentSchema);
type Whose = Pick<Unsent, 'user' | 'snap' | 'page'>;
const keyOf = ({ user, snap, page }: Whose): string => `${user} ${snap} ${page}`;

export const keepUnsent = (unsent: Unsent): Promise<void> => box.put(keyOf(unsent), unsent);
export const dropUnsent = (...all: readonly Whose[]): Promise<void> => box.drop(all.map(keyOf));
export const unsentOf = async (user: number): Promise<Unsent[]> => (await box.all()).filter((u) => u.user === user);
