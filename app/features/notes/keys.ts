import { DRAWN_KINDS } from '#core/model/film-note';
import { useKeys } from '~/features/hands/use-keys';
import type { Writing } from './writing';

interface WritingHand {
  readonly key: string;
  readonly cap: string;
  readonly says: string;
  readonly group: 'Writing on film';
  readonly does: (writing: Writing, far: boolean, more: More) => unknown;
}
/** What the keys reach besides the note: the film under it, and the field for words. */
interface More {
  readonly step: (frames: number) => void;
  readonly words: () => void;
}

const hand = (key: string, cap: string, says: string, does: WritingHand['does']): WritingHand => ({
  key,
  cap,
  says,
  group: 'Writing on film',
  does,
});

/** Every key while something is written on the film, once. */
export const WRITING_HANDS: readonly WritingHand[] = [
  hand('ArrowLeft', '←', 'the cross to the left, farther with shift', (w, far) => w.move(-1, 0, far)),
  hand('ArrowRight', '→', 'to the right', (w, far) => w.move(1, 0, far)),
  hand('ArrowUp', '↑', 'up', (w, far) => w.move(0, -1, far)),
  hand('ArrowDown', '↓', 'down', (w, far) => w.move(0, 1, far)),
  hand('Enter', 'Enter', 'here, as a click', (w) => w.place(w.cross.value)),
  hand('Backspace', '⌫', 'take the last one back', (w) => w.takeBack()),
  ...DRAWN_KINDS.map((kind, i) => hand(String(i + 1), String(i + 1), `draw: ${kind}`, (w) => w.take(kind))),
  hand(',', ',', 'one frame back', (_w, _far, more) => more.step(-1)),
  hand('.', '.', 'one frame on', (_w, _far, more) => more.step(1)),
  hand('w', 'w', 'write words', (_w, _far, more) => more.words()),
  hand('s', 's', 'keep it', (w) => void (w.isEmpty.value || w.keep())),
  hand('Escape', 'Esc', 'leave it', (w) => w.leave()),
];

/** While something is written on the film the keys belong to it. */
export function useWritingKeys(writing: Writing, more: More): void {
  useKeys((event) =>
    writing.writing.value
      ? (WRITING_HANDS.find((h) => h.key === event.key)?.does(writing, event.shiftKey, more) ?? true)
      : false,
  );
}
