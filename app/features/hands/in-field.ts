/** True where keys belong to what is being filled in, so that they are no shortcuts. */
export const inField = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement &&
  (target.isContentEditable ||
    ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName) ||
    target.closest('.p-select, .p-select-overlay') !== null);

/** Gives the keys back to the board once a word of the call has been chosen. */
export function releaseFocus(): void {
  if (document.activeElement instanceof HTMLElement) document.activeElement.blur();
}
