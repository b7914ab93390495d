import type { Moment } from '#core/film/frames';
import type { NamedHand } from '~/features/hands/hand';

/** What the keys reach where two reps are side by side. */
export interface BesideHands {
  toggle: () => void;
  step: (frames: number) => void;
  jump: (to: Moment) => void;
  slower: () => void;
  loop: () => void;
  swap: () => void;
  lock: () => void;
  zoom: () => void;
  crop: () => void;
  back: () => void;
  help: () => void;
}
const FAR = 10;
const frames = (n: number, far: boolean): number => (far ? n * FAR : n);

/** Every key where two reps are side by side, once. */
export const BESIDE_HANDS: readonly NamedHand<BesideHands>[] = [
  { hand: 'toggle', key: ' ', cap: 'space', says: 'play or stop both', group: 'Film', does: (h) => h.toggle() },
  {
    hand: 'step',
    key: 'ArrowLeft',
    cap: '←',
    says: 'one frame back, ten with shift',
    group: 'Film',
    does: (h, far) => h.step(frames(-1, far)),
  },
  {
    hand: 'step',
    key: 'ArrowRight',
    cap: '→',
    says: 'one frame on, ten with shift',
    group: 'Film',
    does: (h, far) => h.step(frames(1, far)),
  },
  { hand: 'jump', key: 'j', cap: 'j', says: 'to the snap', group: 'Film', does: (h) => h.jump('snap') },
  { hand: 'jump', key: 'k', cap: 'k', says: 'to his first contact', group: 'Film', does: (h) => h.jump('contact') },
  { hand: 'jump', key: 'l', cap: 'l', says: 'to the whistle', group: 'Film', does: (h) => h.jump('whistle') },
  { hand: 'slower', key: 'v', cap: 'v', says: 'full, half, quarter speed', group: 'Film', does: (h) => h.slower() },
  { hand: 'loop', key: 'o', cap: 'o', says: 'over and over', group: 'Film', does: (h) => h.loop() },
  { hand: 'swap', key: 't', cap: 't', says: 'both from the other angle', group: 'Two reps', does: (h) => h.swap() },
  {
    hand: 'lock',
    key: 'q',
    cap: 'q',
    says: 'locked at first contact, or at the snap',
    group: 'Two reps',
    does: (h) => h.lock(),
  },
  { hand: 'zoom', key: 'z', cap: 'z', says: 'nearer, both', group: 'Two reps', does: (h) => h.zoom() },
  {
    hand: 'crop',
    key: 'c',
    cap: 'c',
    says: 'stay on him while near, where he was followed',
    group: 'Two reps',
    does: (h) => h.crop(),
  },
  { hand: 'back', key: 'Escape', cap: 'Esc', says: 'back to the film', group: 'Two reps', does: (h) => h.back() },
  { hand: 'help', key: '?', cap: '?', says: 'this list', group: 'Two reps', does: (h) => h.help() },
];
