import * as z from 'zod';
import { NightSnapSchema } from '#core/model/night';
import { outbox } from '~/features/outbox/outbox';

/** A snap tapped on this device, with whose game it is; `sent` once it is in the game's log. */
export const TappedSchema = z.object({ gameId: z.int(), sent: z.boolean(), snap: NightSnapSchema });
export type Tapped = z.infer<typeof TappedSchema>;
const snaps = outbox('night', TappedSchema);

export const keepTapped = (tapped: Tapped): Promise<void> => snaps.put(tapped.snap.id, tapped);
export const dropTapped = (ids: readonly string[]): Promise<void> => snaps.drop(ids);
export const tappedOf = async (gameId: number): Promise<Tapped[]> =>
  (await snaps.all()).filter((t) => t.gameId === gameId).sort((a, b) => a.snap.number - b.snap.number);
/** What has arrived need not lie here any more. */
export const dropSent = async (): Promise<void> =>
  snaps.drop((await snaps.all()).filter((t) => t.sent).map((t) => t.snap.id));
