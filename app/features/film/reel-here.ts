import { watch } from 'vue';
import { useReel } from './reel';
import { useFilm } from './store';

/** The reel the page's address names: taken up at the snap that is shown, each step with its man in hand. */
export function useReelHere() {
  const film = useFilm();
  const route = useRoute();
  const reel = useReel();

  /** As it stands in an address; nothing without a reel. */
  const words = (): { reel?: string } => (reel.words.value ? { reel: reel.words.value } : {});

  async function take(): Promise<void> {
    await reel.open(String(route.query.reel ?? ''), film.snap?.id ?? null);
    if (reel.current.value) film.selected = reel.current.value.blocker;
  }
  watch(
    () => route.query.reel,
    () => void take(),
  );

  /** Goes on by so many; false past an end. */
  async function step(by: number): Promise<boolean> {
    const next = reel.step(by);
    if (!next) return false;
    await film.open(next.snapId);
    film.selected = next.blocker;
    return true;
  }
  return { reel, words, take, step };
}
