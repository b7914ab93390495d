import { describe, expect, it } from 'vitest';
import { effectScope, nextTick, reactive } from 'vue';
import { useEarly } from './early';

/** A key as far as it matters here. */
const key = (name: string): KeyboardEvent => ({ key: name }) as KeyboardEvent;

function opening(id: number) {
  const film = reactive({ opening: id as number | null, snap: { id: 1 } as { id: number } | null });
  const done: string[] = [];
  const scope = effectScope();
  const early = scope.run(() =>
    useEarly(film, (event) => {
      done.push(event.key);
      // A key that goes on to the next snap.
      if (event.key === 'Enter') film.opening = 3;
    }),
  )!;
  const arrives = async (there: number): Promise<void> => {
    film.snap = { id: there };
    film.opening = null;
    await nextTick();
  };
  return { film, done, early, arrives };
}

describe('keys pressed while a snap is being opened', () => {
  it('are held, which can be seen, and done in their order once it is there', async () => {
    const { done, early, arrives } = opening(2);
    expect(early.held.value).toBe(false);
    early.keep(key('5'));
    early.keep(key('x'));
    await nextTick();
    expect([done, early.held.value]).toEqual([[], true]);
    await arrives(2);
    expect([done, early.held.value]).toEqual([['5', 'x'], false]);
  });

  it('are no other snap’s where theirs could not be opened', async () => {
    const { done, early, arrives } = opening(2);
    early.keep(key('w'));
    await arrives(1);
    expect([done, early.held.value]).toEqual([[], false]);
  });

  it('wait again where one of them opens the next snap', async () => {
    const { done, early, arrives } = opening(2);
    for (const name of ['Enter', '4', 'w']) early.keep(key(name));
    await arrives(2);
    expect([done, early.held.value]).toEqual([['Enter'], true]);
    await arrives(3);
    expect([done, early.held.value]).toEqual([['Enter', '4', 'w'], false]);
  });
});
