import { computed, ref, shallowRef } from 'vue';
import { attempting } from '~/features/session/attempt';
import { usePlaybook } from '~/features/playbook/store';
import type { Stop } from './reel-stops';
import { comingPart } from '~/features/session/part';

/** Snaps behind a number of the Book, or those on which two graders differ, watched one after the other over as many games as they are from. */
export function useReel() {
  const playbook = usePlaybook();
  const words = ref('');
  const snaps = shallowRef<readonly Stop[]>([]);
  const at = ref(0);
  const problem = ref('');
  const attempt = attempting(problem);
  const current = computed<Stop | null>(() => snaps.value[at.value] ?? null);

  /** Takes up the reel an address names, at the snap that is shown; no words, no reel. */
  async function open(reel: string, snapId: number | null): Promise<void> {
    if (reel !== words.value) {
      words.value = reel;
      snaps.value = [];
      if (!reel) return;
      await attempt(async () => {
        // Most snaps are watched without one: what finds its stops comes with the first.
        const { stopsOf } = await comingPart(import('./reel-stops'));
        const found = await stopsOf(reel, playbook.program.faults);
        if (words.value === reel) snaps.value = found;
      });
    }
    const shown = snaps.value.findIndex((s) => s.snapId === snapId);
    if (current.value?.snapId !== snapId && shown >= 0) at.value = shown;
  }

  /** The snap so many on, or `null` past an end; two men of one snap are two steps. */
  function step(by: number): Stop | null {
    const next = snaps.value[at.value + by] ?? null;
    if (next) at.value += by;
    return next;
  }
  return { words, snaps, at, current, problem, open, step };
}
