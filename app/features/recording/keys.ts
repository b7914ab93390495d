import type { NamedHand } from '~/features/hands/hand';

/** What the keys of the cutting place reach. */
export interface CuttingHands {
  toggle: () => void;
  step: (frames: number) => void;
  seconds: (by: number) => void;
  faster: () => void;
  begin: () => void;
  end: () => void;
  snap: () => void;
  take: () => void;
  drop: () => void;
  next: (by: number) => void;
  help: () => void;
}
const FAR = 10;

/** Every key of the cutting place, once. */
export const CUTTING_HANDS: readonly NamedHand<CuttingHands>[] = [
  { hand: 'toggle', key: ' ', cap: 'space', says: 'play or stop', group: 'Film', does: (h) => h.toggle() },
  {
    hand: 'step',
    key: 'ArrowLeft',
    cap: '←',
    says: 'one frame back, ten with shift',
    group: 'Film',
    does: (h, far) => h.step(far ? -FAR : -1),
  },
  {
    hand: 'step',
    key: 'ArrowRight',
    cap: '→',
    says: 'one frame on, ten with shift',
    group: 'Film',
    does: (h, far) => h.step(far ? FAR : 1),
  },
  { hand: 'seconds', key: ',', cap: ',', says: 'five seconds back', group: 'Film', does: (h) => h.seconds(-5) },
  { hand: 'seconds', key: '.', cap: '.', says: 'five seconds on', group: 'Film', does: (h) => h.seconds(5) },
  {
    hand: 'faster',
    key: 'v',
    cap: 'v',
    says: 'full, double, four times the speed',
    group: 'Film',
    does: (h) => h.faster(),
  },
  { hand: 'begin', key: 'i', cap: 'i', says: 'a snap begins here', group: 'Cuts', does: (h) => h.begin() },
  { hand: 'snap', key: 's', cap: 's', says: 'here the ball is snapped', group: 'Cuts', does: (h) => h.snap() },
  { hand: 'end', key: 'o', cap: 'o', says: 'and here it is over', group: 'Cuts', does: (h) => h.end() },
  {
    hand: 'next',
    key: 'ArrowDown',
    cap: '↓',
    says: 'the next one, taken or suggested',
    group: 'Cuts',
    does: (h) => h.next(1),
  },
  { hand: 'next', key: 'ArrowUp', cap: '↑', says: 'the one before', group: 'Cuts', does: (h) => h.next(-1) },
  {
    hand: 'take',
    key: 'Enter',
    cap: 'Enter',
    says: 'take what is suggested here, on to the next',
    group: 'Cuts',
    does: (h) => h.take(),
  },
  { hand: 'drop', key: 'Backspace', cap: '⌫', says: 'drop the one in hand', group: 'Cuts', does: (h) => h.drop() },
  { hand: 'help', key: '?', cap: '?', says: 'this list', group: 'Film', does: (h) => h.help() },
];
