import { createPinia, setActivePinia } from 'pinia';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { OwnSession } from '#core/model/account';
import { serveRoutes, type RoutesServer } from '~/testing/routes';
import { useAccount } from './store';

const at = (id: string, here: boolean): OwnSession => ({
  ...{ id, machine: `machine ${id}`, here },
  ...{ startedAt: '2026-11-20T10:00:00Z', seenAt: '2026-11-27T10:00:00Z' },
});
let sessions: OwnSession[];
let server: RoutesServer;
beforeEach(() => {
  setActivePinia(createPinia());
  sessions = [at('a', true), at('b', false)];
  server = serveRoutes({
    'GET /api/account/sessions': () => sessions,
    'DELETE /api/account/sessions/*': (_b, url) =>
      void (sessions = sessions.filter((s) => s.id !== url.pathname.split('/').at(-1))),
    'PUT /api/account/name': () => null,
    'PUT /api/account/password': () => void (sessions = sessions.filter((s) => s.here)),
    'GET /api/session': () => ({
      demo: [],
      member: null,
      programs: [],
      canBegin: false,
      deviceKey: null,
      keeper: false,
    }),
    'POST /api/programs': () => ({ programId: 7 }),
    'POST /api/demo': () => ({ programId: 1 }),
    'POST /api/copy': () => ({ programId: 8 }),
  });
});
afterEach(() => vi.unstubAllGlobals());

describe('one’s account', () => {
  it('shows where one is logged in, and ends it there', async () => {
    const account = useAccount();
    await account.load();
    await account.end(account.sessions[1]!);
    expect([account.sessions.map((s) => s.id), account.notice]).toEqual([['a'], 'You are logged out at machine b.']);
  });

  it('changes the password, after which one is logged in here only', async () => {
    const account = useAccount();
    await account.load();
    server.refuse(403, 'That is not your password now.');
    expect(await account.changePassword('x', 'a long new one')).toBe(false);
    expect([account.problem, account.sessions.length]).toEqual(['That is not your password now.', 2]);
    expect(await account.changePassword('right', 'a long new one')).toBe(true);
    expect(account.sessions.map((s) => s.here)).toEqual([true]);
    expect(await account.changeName('Maren')).toBe(true);
  });

  it('makes programs, visits the demo and brings a copy in, and is busy no longer than that', async () => {
    const account = useAccount();
    expect(await account.makeProgram('Wrens')).toBe(true);
    expect(await account.visitDemo()).toBe(true);
    server.slow();
    const coming = account.bringIn(new File(['zip'], 'copy.zip'));
    await expect.poll(() => server.asked.at(-1)!.what).toBe('POST /api/copy');
    expect(account.bringing).toBe(true);
    server.answer();
    expect([await coming, account.bringing]).toEqual([true, false]);
    server.refuse(400, 'This is no copy of a program.');
    expect([await account.bringIn(new File([''], 'x')), account.bringing]).toEqual([false, false]);
    expect(account.problem).toBe('This is no copy of a program.');
  });
});
