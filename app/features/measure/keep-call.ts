import { ref } from 'vue';
import { sayFront } from '#core/language/lineups/print-lineup';
import type { MeasuredFront } from '#core/film/alignment/front';
import type { MovementReading } from '#core/film/alignment/movement';
import type { Call } from '#core/model/snap';
import { useMeasure } from './store';

/** Keeps with the snap what the film shows of the front. Where men were graded against what was logged, somebody has to say yes first. */
export function useKeepCall() {
  const store = useMeasure();
  const pending = ref<{ call: Call; affected: string[] } | null>(null);

  async function keep(change: Partial<Call>): Promise<void> {
    const call = { ...store.snap!.call, ...change };
    const affected = await store.changeCall(call, false);
    pending.value = affected.length > 0 ? { call, affected } : null;
  }
  async function confirm(): Promise<void> {
    const { call } = pending.value!;
    pending.value = null;
    await store.changeCall(call, true);
  }
  const keepFront = (read: MeasuredFront, name: string): Promise<void> => keep({ front: read.text, frontName: name });
  /** The front as it was logged, with other movements. */
  const keepMovement = ({ movements }: MovementReading): Promise<void> => {
    const { front, formation } = store.call!;
    return keep({ front: sayFront({ ...front, movements: [...movements] }, formation) });
  };

  return { pending, confirm, keepFront, keepMovement };
}
