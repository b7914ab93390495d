import { describe, expect, it } from 'vitest';
import { NEWS, NOT_ANY_MORE, Watchers, type Watcher } from './watchers';

function watcher(id: string): Watcher & { readonly got: string[]; closed: number | null } {
  const one = {
    ...{ id, got: [] as string[], closed: null as number | null },
    send: (message: string) => void one.got.push(message),
    close: (code?: number) => void (one.closed = code ?? 0),
  };
  return one;
}
const stays = async (): Promise<boolean> => true;

describe('who watches', () => {
  it('is told of his own program and of no other', () => {
    const all = new Watchers();
    const [ours, theirs] = [watcher('a'), watcher('b')];
    all.add(ours, 1, stays);
    all.add(theirs, 2, stays);
    all.tell(1);
    expect([ours.got, theirs.got]).toEqual([[NEWS], []]);
    all.tellAll();
    expect([ours.got.length, theirs.got.length]).toEqual([2, 1]);
  });

  it('who has gone is told nothing', () => {
    const all = new Watchers();
    const one = watcher('a');
    all.add(one, 1, stays);
    all.drop('a');
    all.tell(1);
    expect([one.got, all.count]).toEqual([[], 0]);
  });

  it('who may not watch any more is sent away; who cannot be looked up just now stays', async () => {
    const all = new Watchers();
    const [gone, unknown, here] = [watcher('a'), watcher('b'), watcher('c')];
    all.add(gone, 1, async () => false);
    all.add(unknown, 1, async () => Promise.reject(new Error('no database')));
    all.add(here, 1, stays);
    await all.sweep();
    expect([gone.closed, unknown.closed, here.closed]).toEqual([NOT_ANY_MORE, null, null]);
    all.tell(1);
    expect([gone.got.length, unknown.got.length, here.got.length]).toEqual([0, 1, 1]);
  });
});
