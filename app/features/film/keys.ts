import { useEventListener } from '@vueuse/core';
import { ref, type ComputedRef, type Ref } from 'vue';
import { inField } from '~/features/hands/in-field';
import { useKeys } from '~/features/hands/use-keys';
import { factBy, PAD_HANDS } from '~/features/pad/hands';
import { useEarly } from './early';
import type { Hand, HandName, Hands } from './hand';
import { useFilm } from './store';

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
  { key: ';', cap: ';', says: 'to the throw, where it is marked', group: 'Film', does: (h) => h.jump('throw') },
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
  {
    name: 'throw',
    key: ':',
    cap: 'shift ;',
    says: 'here the ball is thrown',
    group: 'Film',
    staff: true,
    keeps: true,
    does: (h) => h.markHere('throw'),
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
    marks: true,
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
    name: 'confirm',
    key: 'Y',
    cap: 'shift y',
    says: 'everybody else as the film proposes, next snap',
    group: 'Snaps',
    staff: true,
    keeps: true,
    does: (h, film) => {
      if (Object.keys(film.proposals).length === 0) return false;
      film.confirmRest();
      film.selected = null;
      return h.go(1);
    },
  },
  {
    key: 'Escape',
    cap: 'Esc',
    says: 'nobody in hand',
    group: 'The man in hand',
    does: (_h, film) => void (film.selected = null),
  },
  ...PAD_HANDS,
];

/** What is printed on the key that does the same as a button. */
export const capOf = (name: HandName): string => FILM_HANDS.find((h) => h.name === name)!.cap;

/** Arrows with shift go ten frames. */
const FAR = 10;

/** The grader's hands: film on space and arrows, men on digits, marks on letters, the whole snap on Enter. */
export function useFilmKeys(hands: Hands): { naming: Ref<boolean>; held: ComputedRef<boolean> } {
  const film = useFilm();
  const { keep, held } = useEarly(film, does);

  function press(event: KeyboardEvent): unknown {
    const isFilm = FILM_HANDS.some((h) => h.key === event.key && h.group === 'Film');
    if (film.opening === null || isFilm) return does(event);
    keep(event);
    return true;
  }

  /** A letter after the key of the facts names one of them. */
  const naming = ref(false);
  function does(event: KeyboardEvent): unknown {
    if (naming.value) {
      naming.value = false;
      return factBy(film, event.key);
    }
    const column = /^[1-9]$/.test(event.key) ? hands.columns.value[Number(event.key) - 1] : undefined;
    if (column) return (film.selected = column.id);
    const hand = FILM_HANDS.find((h) => h.key === event.key);
    const isClosed = hand?.staff && film.readOnly && !(hand.marks && film.mayMark);
    if (!hand || isClosed || (hand.keeps && hands.inRoom?.value)) return false;
    if (event.shiftKey && event.key === 'ArrowLeft') return hands.step(-FAR);
    if (event.shiftKey && event.key === 'ArrowRight') return hands.step(FAR);
    if (hand.name === 'facts' && film.selected) naming.value = true;
    return hand.does(hands, film);
  }

  useKeys((event) => (hands.writing?.value ? false : press(event)));
  useEventListener('keydown', (event: KeyboardEvent) => {
    if (!(event.ctrlKey || event.metaKey) || event.key !== 'z' || inField(event.target) || !film.mayMark) return;
    event.preventDefault();
    hands.undo();
  });
  return { naming, held };
}
