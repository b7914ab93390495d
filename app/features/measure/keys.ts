import type { Hand } from '~/features/hands/hand';
import { useKeys } from '~/features/hands/use-keys';
import type { Step } from './steps';

/** What the keys of the measuring place reach. */
export interface MeasureHands {
  toggle: () => void;
  step: (frames: number) => void;
  jump: (to: 'snap' | 'contact' | 'whistle') => void;
  swap: () => void;
  arrange: () => void;
  zoom: () => void;
  slower: () => void;
  loop: () => void;
  to: (step: Step) => void;
  move: (x: number, y: number) => void;
  place: () => void;
  takeAway: () => void;
  ball: () => void;
  man: (by: number) => void;
  assist: () => void;
  bothFeet: () => void;
  help: () => void;
  back: () => void;
}

export type MeasureHand = Hand<MeasureHands>;

/** How far an arrow moves the cross, pixels of the screen; with shift. */
const NEAR = 1;
const FAR = 12;

const arrow = (key: string, cap: string, x: number, y: number, says: string): MeasureHand => ({
  key,
  cap,
  says,
  group: 'Point',
  does: (h, far) => h.move(x * (far ? FAR : NEAR), y * (far ? FAR : NEAR)),
});

/** Every key of the measuring place, once. */
export const MEASURE_HANDS: readonly MeasureHand[] = [
  arrow('ArrowLeft', '←', -1, 0, 'the cross to the left, farther with shift'),
  arrow('ArrowRight', '→', 1, 0, 'to the right'),
  arrow('ArrowUp', '↑', 0, -1, 'up'),
  arrow('ArrowDown', '↓', 0, 1, 'down'),
  { key: 'Enter', cap: 'Enter', says: 'here, as a click', group: 'Point', does: (h) => h.place() },
  { key: 'Backspace', cap: '⌫', says: 'take the last one away', group: 'Point', does: (h) => h.takeAway() },
  { key: 'x', cap: 'x', says: 'the next point is the ball', group: 'Point', does: (h) => h.ball() },
  { key: 'n', cap: 'n', says: 'the next man', group: 'Point', does: (h) => h.man(1) },
  { key: 'b', cap: 'b', says: 'the man before', group: 'Point', does: (h) => h.man(-1) },
  { key: 'a', cap: 'a', says: 'clicks go to the feet beside them, or stay', group: 'Point', does: (h) => h.assist() },
  { key: 'f', cap: 'f', says: 'both feet of each lineman, or between them', group: 'Point', does: (h) => h.bothFeet() },
  { key: ' ', cap: 'space', says: 'play or stop', group: 'Film', does: (h) => h.toggle() },
  { key: ',', cap: ',', says: 'one frame back', group: 'Film', does: (h) => h.step(-1) },
  { key: '.', cap: '.', says: 'one frame on', group: 'Film', does: (h) => h.step(1) },
  { key: 'j', cap: 'j', says: 'to the snap', group: 'Film', does: (h) => h.jump('snap') },
  { key: 'k', cap: 'k', says: 'to the first contact', group: 'Film', does: (h) => h.jump('contact') },
  { key: 'l', cap: 'l', says: 'to the whistle', group: 'Film', does: (h) => h.jump('whistle') },
  { key: 'v', cap: 'v', says: 'full, half, quarter speed', group: 'Film', does: (h) => h.slower() },
  { key: 'o', cap: 'o', says: 'over and over', group: 'Film', does: (h) => h.loop() },
  { key: 't', cap: 't', says: 'the other angle leads', group: 'Film', does: (h) => h.swap() },
  { key: 'y', cap: 'y', says: 'one picture large, or both alike', group: 'Film', does: (h) => h.arrange() },
  { key: 'z', cap: 'z', says: 'nearer; then drag, or alt and arrows', group: 'Film', does: (h) => h.zoom() },
  { key: '1', cap: '1', says: 'field marks', group: 'Steps', does: (h) => h.to('marks') },
  { key: '2', cap: '2', says: 'feet at the snap', group: 'Steps', does: (h) => h.to('feet') },
  { key: '3', cap: '3', says: 'ways through the play', group: 'Steps', does: (h) => h.to('ways') },
  { key: 'm', cap: 'm', says: 'back to the film', group: 'Steps', does: (h) => h.back() },
  { key: '?', cap: '?', says: 'this list', group: 'Steps', does: (h) => h.help() },
];

/** Arrows and Enter point, letters run the film, digits choose the step. */
export function useMeasureKeys(hands: MeasureHands): void {
  useKeys((event) => MEASURE_HANDS.find((h) => h.key === event.key)?.does(hands, event.shiftKey) ?? false);
}
