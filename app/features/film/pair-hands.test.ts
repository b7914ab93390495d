import { describe, expect, it, vi } from 'vitest';
import { ref, shallowRef } from 'vue';
import { pairHands } from './pair-hands';

const aPair = () => ({
  transport: {
    ...{ toggle: vi.fn(), seek: vi.fn(), slower: vi.fn(), jump: vi.fn() },
    ...{ frame: ref(40), looping: ref(false) },
  },
  ...{ swap: vi.fn(), arrange: vi.fn(), zoom: vi.fn() },
});

describe('the keys of a pair of pictures', () => {
  it('run it, step from the frame that is shown, and turn over and over on and off', () => {
    const pair = aPair();
    const hands = pairHands(shallowRef(pair));
    hands.step(-1);
    hands.step(5);
    expect(pair.transport.seek.mock.calls).toEqual([[39], [45]]);
    hands.loop();
    expect(pair.transport.looping.value).toBe(true);
    hands.loop();
    expect(pair.transport.looping.value).toBe(false);
    for (const hand of ['toggle', 'slower', 'swap', 'arrange', 'zoom'] as const) hands[hand]();
    hands.jump('contact');
    const { transport, swap, arrange, zoom } = pair;
    for (const did of [transport.toggle, transport.slower, swap, arrange, zoom]) expect(did).toHaveBeenCalledTimes(1);
    expect(transport.jump.mock.calls).toEqual([['contact']]);
  });

  it('do nothing while there is none', () => {
    const { jump, step, ...others } = pairHands(ref(null));
    jump('snap');
    step(1);
    for (const hand of Object.values(others)) expect(hand()).toBeUndefined();
  });
});
