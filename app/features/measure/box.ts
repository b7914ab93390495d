import * as z from 'zod';
import { MeasuringSchema } from '#core/model/measured';
import { outbox } from '~/features/outbox/outbox';

/** What somebody measured of a snap and has not arrived, with what it began from. */
const UnsentSchema = z.object({ user: z.int(), snap: z.int(), before: MeasuringSchema, mine: MeasuringSchema });
export type Unsent = z.infer<typeof UnsentSchema>;
const box = outbox('measuring', UnsentSchema);
const keyOf = ({ user, snap }: Pick<Unsent, 'user' | 'snap'>): string => `${user} ${snap}`;

export const keepUnsent = (unsent: Unsent): Promise<void> => box.put(keyOf(unsent), unsent);
export const dropUnsent = (of: Pick<Unsent, 'user' | 'snap'>): Promise<void> => box.drop([keyOf(of)]);
/** A device somebody has logged out of holds nothing of his. */
export const clearUnsent = box.clear;
export const unsentOf = async (user: number): Promise<Unsent[]> => (await box.all()).filter((u) => u.user === user);
