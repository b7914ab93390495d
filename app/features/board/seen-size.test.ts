// @vitest-environment happy-dom
import { mount } from '@vue/test-utils';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { defineComponent, h, nextTick, ref } from 'vue';
import { useSeenSize } from './seen-size';

/** What the browser tells, when it does. */
let tell: (width: number, height: number) => void;
beforeEach(() => {
  class Observer {
    constructor(told: (entries: { contentRect: { width: number; height: number } }[]) => void) {
      tell = (width, height) => told([{ contentRect: { width, height } }]);
    }
    observe(): void {}
    disconnect(): void {}
  }
  vi.stubGlobal('ResizeObserver', Observer);
});
afterEach(() => vi.unstubAllGlobals());

describe('how large something is drawn', () => {
  it('is told by the browser, measured by nobody, and nothing while it is not there', async () => {
    const measured = vi.spyOn(HTMLElement.prototype, 'offsetWidth', 'get');
    const isThere = ref(true);
    let size!: ReturnType<typeof useSeenSize>;
    const Place = defineComponent(() => {
      const place = ref<HTMLElement | null>(null);
      size = useSeenSize(place);
      return () => (isThere.value ? h('p', { ref: place }) : h('b'));
    });
    mount(Place);
    await nextTick();
    expect([size.width.value, size.height.value]).toEqual([0, 0]);
    tell(640, 360);
    expect([size.width.value, size.height.value]).toEqual([640, 360]);
    expect(measured).not.toHaveBeenCalled();
    isThere.value = false;
    await nextTick();
    await nextTick();
    expect([size.width.value, size.height.value]).toEqual([0, 0]);
  });
});
