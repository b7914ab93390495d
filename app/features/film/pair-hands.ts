import type { Ref } from 'vue';
import type { Transport } from './transport';

/** A pair of pictures, as whoever runs it by keys sees it. */
interface Pair {
  readonly transport: Pick<Transport, 'toggle' | 'seek' | 'slower' | 'jump' | 'frame' | 'looping'>;
  readonly swap: () => void;
  readonly arrange: () => void;
  readonly zoom: () => void;
}

/** What the keys of every place with a pair of pictures do to it; nothing while there is none. */
export const pairHands = (pair: Readonly<Ref<Pair | null>>) => ({
  toggle: (): void => pair.value?.transport.toggle(),
  step: (frames: number): void => pair.value?.transport.seek(pair.value.transport.frame.value + frames),
  slower: (): void => pair.value?.transport.slower(),
  loop: (): void => {
    if (pair.value) pair.value.transport.looping.value = !pair.value.transport.looping.value;
  },
  jump: (to: Parameters<Transport['jump']>[0]): void => pair.value?.transport.jump(to),
  swap: (): void => pair.value?.swap(),
  arrange: (): void => pair.value?.arrange(),
  zoom: (): void => pair.value?.zoom(),
});
