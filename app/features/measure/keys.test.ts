import { describe, expect, it, vi } from 'vitest';
import { MEASURE_HANDS, type MeasureHands } from './keys';

const hands = (): MeasureHands =>
  Object.fromEntries(
    [
      'toggle',
      'step',
      'jump',
      'swap',
      'arrange',
      'zoom',
      'slower',
      'loop',
      'to',
      'move',
      'place',
      'takeAway',
      'ball',
      'man',
      'assist',
      'help',
      'back',
    ].map((name) => [name, vi.fn()]),
  ) as unknown as MeasureHands;
const press = (key: string, far = false): MeasureHands => {
  const all = hands();
  MEASURE_HANDS.find((h) => h.key === key)!.does(all, far);
  return all;
};

describe('the keys of the measuring place', () => {
  it('are each one key and say what they do', () => {
    expect(new Set(MEASURE_HANDS.map((h) => h.key)).size).toBe(MEASURE_HANDS.length);
    expect(MEASURE_HANDS.every((h) => h.says && h.cap)).toBe(true);
  });
  it('move the cross by a pixel, and by a dozen with shift', () => {
    expect(press('ArrowLeft').move).toHaveBeenCalledWith(-1, 0);
    expect(press('ArrowDown', true).move).toHaveBeenCalledWith(0, 12);
  });
  it('choose a step, a man, a frame', () => {
    expect(press('2').to).toHaveBeenCalledWith('feet');
    expect(press('b').man).toHaveBeenCalledWith(-1);
    expect(press('.').step).toHaveBeenCalledWith(1);
    expect(press('Enter').place).toHaveBeenCalled();
  });
});
