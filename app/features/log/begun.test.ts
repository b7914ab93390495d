// @vitest-environment happy-dom
import { createPinia, setActivePinia } from 'pinia';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { nextTick } from 'vue';
import { NO_CHANGES } from '#core/film/log/lineup';
import { anEntry, anItem } from '#core/testing/a-log';
import { useSession } from '~/features/session/store';
import { aMember } from '~/testing/a-member';
import { readBegun } from './begun';
import { useLog } from './store';

const game = (id: number) => ({ id, opponent: 'Fennick Otters', week: id, published: false, snaps: 1 });
beforeEach(() => {
  localStorage.clear();
  vi.stubGlobal('$fetch', async (url: string) => {
    if (url === '/api/roster') return [];
    if (url === '/api/games') return [game(1), game(2)];
    if (url.endsWith('/lineup')) return { revision: 0, lineup: NO_CHANGES };
    if (url.endsWith('/snaps')) return [anItem(anEntry(1))];
    if (url.endsWith('/log')) return { written: true, added: [2], changed: [], affected: [] };
    throw new Error(`nobody serves ${url}`);
  });
});
afterEach(() => vi.unstubAllGlobals());

/** The log of a game as somebody finds it who opens the page. */
async function openedBy(userId: number, of = 1): Promise<ReturnType<typeof useLog>> {
  setActivePinia(createPinia());
  useSession().member = aMember({ userId });
  const log = useLog();
  await log.open(of);
  return log;
}

describe('a snap that was begun', () => {
  it('is there after a reload, for whoever began it and in its game alone', async () => {
    const before = await openedBy(3);
    before.putLogged({ said: 'Granite' });
    before.putSituation({ gain: 7 });
    await nextTick();
    const again = await openedBy(3);
    expect([again.draft!.number, again.draft!.logged.said, again.draft!.situation.gain]).toEqual([2, 'Granite', 7]);
    expect((await openedBy(4)).draft!.logged.said).toBe('');
    expect((await openedBy(3, 2)).draft!.logged.said).toBe('');
    expect((await openedBy(3)).draft!.logged.said).toBe('Granite');
  });

  it('is gone once it is logged', async () => {
    const log = await openedBy(3);
    log.putLogged({ said: 'Granite' });
    await log.save();
    await nextTick();
    expect(readBegun(localStorage.getItem('violet-chalk-log-begun') ?? 'null')).toBeNull();
  });

  it('that no build can read is nothing, and stops nobody', async () => {
    for (const text of ['{"half":', '{"userId":3,"gameId":1,"entry":{}}', '7']) {
      expect(readBegun(text)).toBeNull();
      localStorage.setItem('violet-chalk-log-begun', text);
      expect((await openedBy(3)).draft!.number).toBe(2);
    }
  });
});
