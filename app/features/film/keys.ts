import type { Ref } from 'vue';
import { standardOf } from '#core/grade/standards';
import type { Moment } from '#core/film/frames';
import type { Grade } from '#core/model/grade';
import { useKeys } from '~/features/hands/use-keys';
import type { Column } from '~/features/board/scale';
import { useFilm } from './store';

/** Keys of the likeliest faults of the selected man's block, in the order shown. */
export const FAULT_KEYS = ['a', 's', 'd', 'f', 'g', 'h'] as const;

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
type Film = ReturnType<typeof useFilm>;

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
  | 'none';

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
  /** It changes what is kept of the snap: nothing for the room, where nobody sees what it does. */
  readonly keeps?: true;
  /** `false` when it has nothing to do now. */
  readonly does: (hands: Hands, film: Film) => unknown;
}

/** A mark by one key. `again`: what the same key means for a man who has that mark already. */
export interface MarkKey {
  readonly key: string;
  readonly says: string;
  readonly part: Partial<Grade>;
  readonly again?: Partial<Grade>;
}
export const MARK_KEYS: readonly MarkKey[] = [
  { key: 'p', says: 'did his job', part: { assignment: 'right', technique: 'plus', fault: null } },
  { key: 'x', says: 'technique minus', part: { technique: 'minus' } },
  { key: 'w', says: 'wrong man', part: { assignment: 'wrong' } },
  { key: 'e', says: 'not his fault', part: { assignment: 'not his fault' } },
  {
    key: 'q',
    says: 'cannot tell, ask',
    part: { assignment: 'cannot tell' },
    again: { technique: 'cannot tell' },
  },
];

/** Gives a man the mark of a key. */
export function markBy(film: Film, man: string, { part, again }: MarkKey): void {
  film.change(man, again && film.marks[man]?.assignment === part.assignment ? again : part);
}

/** Does something to the man that is selected; without one there is nothing to do. */
const onMan =
  (does: (film: Film, man: string, hands: Hands) => void): Hand['does'] =>
  (hands, film) =>
    film.selected ? does(film, film.selected, hands) : false;

/** Every key of the film place, once: what is pressed, what is shown with `?`, and what is done. */
export const FILM_HANDS: readonly Hand[] = [
  { name: 'play', key: ' ', cap: 'space', says: 'play or stop', group: 'Film', does: (h) => h.toggle() },
  {
    name: 'back',
    key: 'ArrowLeft',
    cap: '←',
    says: 'one frame back, ten with shift',
    group: 'Film',
    does: (h) => h.step(-1),
  },
  {
    name: 'on',
    key: 'ArrowRight',
    cap: '→',
    says: 'one frame on, ten with shift',
    group: 'Film',
    does: (h) => h.step(1),
  },
  { name: 'speed', key: 'v', cap: 'v', says: 'full, half, quarter speed', group: 'Film', does: (h) => h.slower() },
  {
    name: 'loop',
    key: 'o',
    cap: 'o',
    says: 'over and over, from the snap to the whistle',
    group: 'Film',
    does: (h) => h.loop(),
  },
  { key: 'j', cap: 'j', says: 'to the snap', group: 'Film', does: (h) => h.jump('snap') },
  { key: 'k', cap: 'k', says: 'to the first contact', group: 'Film', does: (h) => h.jump('contact') },
  { key: 'l', cap: 'l', says: 'to the whistle', group: 'Film', does: (h) => h.jump('whistle') },
  {
    name: 'snap',
    key: 'J',
    cap: 'shift j',
    says: 'here is the snap',
    group: 'Film',
    staff: true,
    keeps: true,
    does: (h) => h.markHere('snap'),
  },
  {
    name: 'contact',
    key: 'K',
    cap: 'shift k',
    says: 'here is the contact',
    group: 'Film',
    staff: true,
    keeps: true,
    does: (h) => h.markHere('contact'),
  },
  {
    name: 'whistle',
    key: 'L',
    cap: 'shift l',
    says: 'here is the whistle',
    group: 'Film',
    staff: true,
    keeps: true,
    does: (h) => h.markHere('whistle'),
  },
  { name: 'swap', key: 't', cap: 't', says: 'the other angle leads', group: 'Film', does: (h) => h.swap() },
  {
    name: 'arrange',
    key: 'y',
    cap: 'y',
    says: 'one picture large, or both alike',
    group: 'Film',
    does: (h) => h.arrange(),
  },
  {
    name: 'zoom',
    key: 'z',
    cap: 'z',
    says: 'nearer; then drag, or alt and arrows',
    group: 'Film',
    does: (h) => h.zoom(),
  },
  {
    name: 'crop',
    key: 'c',
    cap: 'c',
    says: 'stay near on him through the play, where he was followed',
    group: 'The man in hand',
    staff: true,
    does: (h) => h.crop(),
  },
  {
    name: 'measure',
    key: 'm',
    cap: 'm',
    says: 'measure on this film',
    group: 'Film',
    staff: true,
    does: (h) => h.measure(),
  },
  {
    name: 'write',
    key: 'i',
    cap: 'i',
    says: 'write or draw on this frame',
    group: 'Film',
    staff: true,
    does: (h) => h.write(),
  },
  {
    name: 'room',
    key: 'u',
    cap: 'u',
    says: 'for the room: film alone, no grades',
    group: 'Film',
    does: (h) => h.room(),
  },
  {
    name: 'board',
    key: 'b',
    cap: 'b',
    says: 'what was asked runs on the board beside the film',
    group: 'Film',
    does: (h) => h.board(),
  },
  {
    name: 'beside',
    key: 'B',
    cap: 'shift b',
    says: 'this rep beside another: on the first snap, then on the second',
    group: 'Film',
    staff: true,
    does: (h) => h.beside(),
  },
  { name: 'help', key: '?', cap: '?', says: 'this list', group: 'Film', does: (h) => h.help() },
  {
    name: 'run',
    key: 'r',
    cap: 'r',
    says: 'one after the other: all snaps of the cut, nothing but the plays',
    group: 'Snaps',
    staff: true,
    does: (h) => h.run(),
  },
  { name: 'before', key: 'ArrowUp', cap: '↑', says: 'the snap before', group: 'Snaps', does: (h) => h.go(-1) },
  { name: 'after', key: 'ArrowDown', cap: '↓', says: 'the snap after', group: 'Snaps', does: (h) => h.go(1) },
  {
    name: 'rest',
    key: 'Enter',
    cap: 'Enter',
    says: 'everybody else did his job, next snap',
    group: 'Snaps',
    staff: true,
    keeps: true,
    does: (h, film) => {
      film.restPlus();
      film.selected = null;
      h.go(1);
    },
  },
  {
    key: 'Escape',
    cap: 'Esc',
    says: 'nobody in hand',
    group: 'The man in hand',
    does: (_h, film) => void (film.selected = null),
  },
  ...MARK_KEYS.map((mark): Hand => ({
    key: mark.key,
    cap: mark.key,
    says: mark.says,
    group: 'The man in hand',
    staff: true,
    keeps: true,
    does: onMan((film, man) => markBy(film, man, mark)),
  })),
  {
    name: 'note',
    key: 'n',
    cap: 'n',
    says: 'a note',
    group: 'The man in hand',
    staff: true,
    keeps: true,
    does: onMan((_film, _man, h) => h.note()),
  },
  {
    name: 'none',
    key: 'Backspace',
    cap: '⌫',
    says: 'no mark',
    group: 'The man in hand',
    staff: true,
    keeps: true,
    does: onMan((film, man) => film.mark(man, null)),
  },
  ...FAULT_KEYS.map((key, i): Hand => ({
    key,
    cap: key,
    says: `fault ${i + 1} of his block`,
    group: 'The man in hand',
    staff: true,
    keeps: true,
    does: (_hands, film) => {
      const block = film.snap?.resolution.assignments.find((a) => a.blocker === film.selected)?.block ?? '';
      const fault = standardOf(block)?.faults[i];
      if (!film.selected || !fault) return false;
      film.change(film.selected, { technique: 'minus', fault });
    },
  })),
];

/** What is printed on the key that does the same as a button. */
export const capOf = (name: HandName): string => FILM_HANDS.find((h) => h.name === name)!.cap;

/** Arrows with shift go ten frames. */
const FAR = 10;

/** The grader's hands: film on space and arrows, men on digits, marks on letters, the whole snap on Enter. */
export function useFilmKeys(hands: Hands): void {
  const film = useFilm();

  function press(event: KeyboardEvent): unknown {
    const column = /^[1-9]$/.test(event.key) ? hands.columns.value[Number(event.key) - 1] : undefined;
    if (column) return (film.selected = column.id);
    const hand = FILM_HANDS.find((h) => h.key === event.key);
    if (!hand || (hand.staff && film.readOnly) || (hand.keeps && hands.inRoom?.value)) return false;
    if (event.shiftKey && event.key === 'ArrowLeft') return hands.step(-FAR);
    if (event.shiftKey && event.key === 'ArrowRight') return hands.step(FAR);
    return hand.does(hands, film);
  }

  useKeys((event) => (hands.writing?.value ? false : press(event)));
}
