// @vitest-environment happy-dom
import 'fake-indexeddb/auto';
import { createPinia, setActivePinia } from 'pinia';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { NOTHING_MEASURED } from '#core/model/measured';
import { useMarks } from '~/features/marks/store';
import { dropUnsent, keepUnsent, unsentOf, type Unsent } from '~/features/measure/box';
import { aMember } from '~/testing/a-member';
import { serveRoutes, type RoutesServer } from '~/testing/routes';
import { failWith } from '~/testing/steer';
import { leave } from './leave';
import { useSession } from './store';

const MEASURED: Unsent = {
  ...{ user: 3, snap: 7, page: 'before', before: NOTHING_MEASURED },
  mine: { ...NOTHING_MEASURED, bends: [{ id: 'C', team: 'offence', seconds: 1, x: 2, y: 3 }] },
};
/** The server has too much to do to take what was measured. */
let isBusy: boolean;
let server: RoutesServer;
const went = vi.fn();
beforeEach(async () => {
  await dropUnsent(...(await unsentOf(3)));
  setActivePinia(createPinia());
  went.mockReset();
  vi.spyOn(window.location, 'assign').mockImplementation(went);
  isBusy = false;
  server = serveRoutes({
    'DELETE /api/session': () => ({ loggedOut: true }),
    'GET /api/snaps/7/measuring': () => ({ revision: 2, measuring: NOTHING_MEASURED }),
    'PUT /api/snaps/7/measuring': () => (isBusy ? failWith(429, 'Too much at once.') : { revision: 3 }),
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

  it('sends what was measured and lies here first', async () => {
    await keepUnsent(MEASURED);
    await leave();
    expect(server.asked.map((a) => a.what)).toEqual([
      'GET /api/snaps/7/measuring',
      'PUT /api/snaps/7/measuring',
      'DELETE /api/session',
    ]);
    expect(await unsentOf(3)).toEqual([]);
  });

  it('leaves what was measured and could not be taken yet to him alone', async () => {
    await keepUnsent(MEASURED);
    isBusy = true;
    await leave();
    expect((await unsentOf(3)).map((unsent) => unsent.mine)).toEqual([MEASURED.mine]);
    expect([await unsentOf(4), went.mock.calls]).toEqual([[], [['/login']]]);
  });

  it('that does not arrive changes nothing: what waits goes on waiting', async () => {
    const resume = vi.spyOn(useMarks(), 'resume').mockResolvedValue();
    server.down();
    await expect(leave()).rejects.toThrow('cannot be reached');
    expect([resume.mock.calls.length, localStorage.length, went.mock.calls]).toEqual([1, 2, []]);
    expect(useSession().member).not.toBeNull();
  });
});
