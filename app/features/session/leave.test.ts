// @vitest-environment happy-dom
import 'fake-indexeddb/auto';
import { IDBFactory } from 'fake-indexeddb';
import { createPinia, setActivePinia } from 'pinia';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { NOTHING_MEASURED } from '#core/model/measured';
import { useMarks } from '~/features/marks/store';
import { keepUnsent, unsentOf } from '~/features/measure/box';
import { aMember } from '~/testing/a-member';
import { serveRoutes, type RoutesServer } from '~/testing/routes';
import { leave } from './leave';
import { useSession } from './store';

const BEND = { id: 'C', team: 'offence', seconds: 1, x: 2, y: 3 } as const;
let server: RoutesServer;
const went = vi.fn();
beforeEach(() => {
  setActivePinia(createPinia());
  went.mockReset();
  vi.spyOn(window.location, 'assign').mockImplementation(went);
  vi.stubGlobal('indexedDB', new IDBFactory());
  server = serveRoutes({
    'DELETE /api/session': () => ({ loggedOut: true }),
    'GET /api/snaps/7/measuring': () => ({ revision: 2, measuring: NOTHING_MEASURED }),
    'PUT /api/snaps/7/measuring': () => ({ revision: 3 }),
  });
  localStorage.setItem('violet-chalk-theme', 'board');
  localStorage.setItem('violet-chalk-ratings', '{"61":2}');
  useSession().member = aMember({ userId: 3 });
});
afterEach(() => {
  vi.unstubAllGlobals();
  vi.restoreAllMocks();
});

describe('logging out', () => {
  it('locks what has not arrived before the session ends, and leaves nothing but the theme', async () => {
    const marks = useMarks();
    const order: string[] = [];
    vi.spyOn(marks, 'lock').mockImplementation(async () => void order.push(`locked, ${server.asked.length} asked`));
    await leave();
    expect(order).toEqual(['locked, 0 asked']);
    expect([localStorage.getItem('violet-chalk-theme'), localStorage.length]).toEqual(['board', 1]);
    expect([useSession().member, went.mock.calls]).toEqual([null, [['/login']]]);
  });

  it('sends what was measured and lies here, and leaves nothing of it', async () => {
    await keepUnsent({
      user: 3,
      snap: 7,
      page: 'before',
      before: NOTHING_MEASURED,
      mine: { ...NOTHING_MEASURED, bends: [BEND] },
    });
    await leave();
    expect(server.asked.map((a) => a.what)).toEqual([
      'GET /api/snaps/7/measuring',
      'PUT /api/snaps/7/measuring',
      'DELETE /api/session',
    ]);
    expect(await unsentOf(3)).toEqual([]);
  });

  it('that does not arrive changes nothing: what waits goes on waiting', async () => {
    const resume = vi.spyOn(useMarks(), 'resume').mockResolvedValue();
    server.down();
    await expect(leave()).rejects.toThrow('cannot be reached');
    expect([resume.mock.calls.length, localStorage.length, went.mock.calls]).toEqual([1, 2, []]);
    expect(useSession().member).not.toBeNull();
  });
});
