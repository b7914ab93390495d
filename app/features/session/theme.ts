import { useLocalStorage } from '@vueuse/core';
import { watchEffect, type Ref } from 'vue';

export type Theme = 'paper' | 'board';

const theme = (): Ref<Theme> => useLocalStorage<Theme>('violet-chalk-theme', 'paper');

/** Daylight paper or film-room board; remembered on this machine. */
export function useTheme(): Ref<Theme> {
  const current = theme();
  watchEffect(() => {
    document.documentElement.dataset.theme = current.value;
  });
  return current;
}
