import type { Ref } from 'vue';
import type { Moment } from '#core/film/frames';
import type { Column } from '~/features/board/scale';
import type { useFilm } from './store';

/** What a key can reach besides the store. */
export interface Hands {
  columns: Ref<Column[]>;
  toggle: () => void;
  step: (frames: number) => void;
  slower: () => void;
  loop: () => void;
  jump: (to: Moment) => void;
  markHere: (moment: Moment) => void;
  swap: () => void;
  arrange: () => void;
  zoom: () => void;
  go: (step: number) => void;
  note: () => void;
  /** The frame that is shown, to be looked at again. */
  frame: () => void;
  undo: () => void;
  help: () => void;
  measure: () => void;
  crop: () => void;
  run: () => void;
  write: () => void;
  room: () => void;
  beside: () => void;
  board: () => void;
  /** Something is being written on the film: the keys belong to that. */
  writing?: Ref<boolean>;
  /** Others look on, and see no grades. */
  inRoom?: Ref<boolean>;
}
export type Film = ReturnType<typeof useFilm>;

/** What can be done by a button as well. */
export type HandName =
  | Moment
  | 'play'
  | 'back'
  | 'on'
  | 'speed'
  | 'loop'
  | 'swap'
  | 'arrange'
  | 'zoom'
  | 'help'
  | 'measure'
  | 'crop'
  | 'run'
  | 'write'
  | 'room'
  | 'beside'
  | 'board'
  | 'before'
  | 'after'
  | 'rest'
  | 'note'
  | 'none'
  | 'frame'
  | 'noPart'
  | 'facts'
  | 'consequence'
  | 'outcome'
  | 'moved'
  | 'hips'
  | 'left'
  | 'pointsUp'
  | 'pointsDown'
  | 'finish'
  | 'take'
  | 'confirm';

/** One key of the film place: what it is called on the keyboard, what it does in words, and whether only those who grade have it. */
export interface Hand {
  /** By which a button that does the same finds it. */
  readonly name?: HandName;
  /** As the event names it; capitals with shift. */
  readonly key: string;
  /** As it is printed. */
  readonly cap: string;
  readonly says: string;
  readonly group: 'Film' | 'Snaps' | 'The man in hand';
  readonly staff?: true;
  /** It marks a man: also for a player who grades himself. */
  readonly marks?: true;
  /** It changes what is kept of the snap: nothing for the room, where nobody sees what it does. */
  readonly keeps?: true;
  /** `false` when it has nothing to do now. */
  readonly does: (hands: Hands, film: Film) => unknown;
}

/** Does something to the man that is selected; without one there is nothing to do. */
export const onMan =
  (does: (film: Film, man: string, hands: Hands) => unknown): Hand['does'] =>
  (hands, film) =>
    film.selected ? does(film, film.selected, hands) : false;
