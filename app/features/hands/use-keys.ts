import { useEventListener } from '@vueuse/core';
import { inField } from './in-field';

/** Gives the keys of a place to `press`, which says `false` where a key has nothing to do; fields, dialogs and buttons keep theirs. */
export function useKeys(press: (event: KeyboardEvent) => unknown): void {
  useEventListener('keydown', (event: KeyboardEvent) => {
    if (event.ctrlKey || event.metaKey || event.altKey || inField(event.target)) return;
    // An open list of keys has the keyboard to itself.
    if (event.target instanceof HTMLElement && event.target.closest('dialog')) return;
    const onButton = event.target instanceof HTMLElement && ['BUTTON', 'A', 'SUMMARY'].includes(event.target.tagName);
    if (onButton && (event.key === 'Enter' || event.key === ' ')) return;
    if (press(event) !== false) event.preventDefault();
  });
}
