// @vitest-environment happy-dom
import { createPinia, setActivePinia } from 'pinia';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { useMarks } from '~/features/marks/store';
import { aMember } from '~/testing/a-member';
import { serveRoutes, type RoutesServer } from '~/testing/routes';
import { leave } from './leave';
import { useSession } from './store';

let server: RoutesServer;
const went = vi.fn();
beforeEach(() => {
  setActivePinia(createPinia());
  went.mockReset();
  vi.spyOn(window.location, 'assign').mockImplementation(went);
  server = serveRoutes({ 'DELETE /api/session': () => ({ loggedOut: true }) });
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

  it('that does not arrive changes nothing: what waits goes on waiting', async () => {
    const resume = vi.spyOn(useMarks(), 'resume').mockResolvedValue();
    server.down();
    await expect(leave()).rejects.toThrow('cannot be reached');
    expect([resume.mock.calls.length, localStorage.length, went.mock.calls]).toEqual([1, 2, []]);
    expect(useSession().member).not.toBeNull();
  });
});
