import { useEventListener } from '@vueuse/core';
import type { Ref } from 'vue';
import { standardOf } from '#core/grade/standards';
import { inField } from '~/features/hands/in-field';
import type { Column } from '~/features/board/scale';
import { useFilm } from './store';

/** Keys of the likeliest faults of the selected man's block, in the order shown. */
export const FAULT_KEYS = ['a', 's', 'd', 'f', 'g', 'h'] as const;

interface Hands {
  columns: Ref<Column[]>;
  toggle: () => void;
  step: (frames: number) => void;
  slower: () => void;
  go: (step: number) => void;
  note: () => void;
}

/** The grader's hands: film on space and arrows, men on digits, marks on letters, the whole snap on Enter. */
export function useFilmKeys(hands: Hands): void {
  const film = useFilm();

  function markKey(key: string): boolean {
    const man = film.selected;
    if (!man || film.readOnly) return false;
    const block = film.snap?.resolution.assignments.find((a) => a.blocker === man)?.block ?? '';
    const fault = standardOf(block)?.faults[FAULT_KEYS.indexOf(key as (typeof FAULT_KEYS)[number])];
    if (fault) film.change(man, { technique: 'minus', fault });
    else if (key === 'p')
      film.mark(man, { assignment: 'right', technique: 'plus', fault: null, note: film.marks[man]?.note ?? '' });
    else if (key === 'x') film.change(man, { technique: 'minus' });
    else if (key === 'w') film.change(man, { assignment: 'wrong' });
    else if (key === 'e') film.change(man, { assignment: 'not his fault' });
    else if (key === 'q')
      film.change(
        man,
        film.marks[man]?.assignment === 'cannot tell' ? { technique: 'cannot tell' } : { assignment: 'cannot tell' },
      );
    else if (key === 'Backspace') film.mark(man, null);
    else if (key === 'n') hands.note();
    else return false;
    return true;
  }

  function filmKey(event: KeyboardEvent): boolean {
    switch (event.key) {
      case ' ':
        hands.toggle();
        return true;
      case 'ArrowLeft':
        hands.step(event.shiftKey ? -10 : -1);
        return true;
      case 'ArrowRight':
        hands.step(event.shiftKey ? 10 : 1);
        return true;
      case 'ArrowUp':
        hands.go(-1);
        return true;
      case 'ArrowDown':
        hands.go(1);
        return true;
      case 'v':
        hands.slower();
        return true;
      case 'Escape':
        film.selected = null;
        return true;
      case 'Enter':
        if (film.readOnly) return false;
        film.restPlus();
        film.selected = null;
        hands.go(1);
        return true;
      default:
        return false;
    }
  }

  useEventListener('keydown', (event: KeyboardEvent) => {
    if (event.ctrlKey || event.metaKey || event.altKey || inField(event.target)) return;
    const onButton = event.target instanceof HTMLElement && ['BUTTON', 'A', 'SUMMARY'].includes(event.target.tagName);
    if (onButton && (event.key === 'Enter' || event.key === ' ')) return;
    const column = /^[1-9]$/.test(event.key) ? hands.columns.value[Number(event.key) - 1] : undefined;
    if (column) film.selected = column.id;
    else if (!filmKey(event) && !markKey(event.key)) return;
    event.preventDefault();
  });
}
