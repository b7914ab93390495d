import { createPinia, setActivePinia } from 'pinia';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { aMember } from '~/testing/a-member';
import { request, RequestProblem } from './request';
import { useSession } from './store';

let answer: (url: string, method: string, body?: unknown) => unknown;
beforeEach(() => {
  setActivePinia(createPinia());
  vi.stubGlobal('$fetch', async (url: string, { method, body }: { method: string; body?: unknown }) =>
    answer(url, method, body),
  );
});
afterEach(() => vi.unstubAllGlobals());
const fail = (status: number | undefined, data?: object) => () => {
  throw Object.assign(new Error('x'), { status, data });
};

describe('a request', () => {
  it.each<[string, () => never, string, boolean]>([
    ['a server that cannot be reached', fail(undefined), 'The server cannot be reached.', true],
    ['one that is being brought back', fail(503, { message: 'Back in a moment.' }), 'Back in a moment.', true],
    ['a refusal', fail(409, { message: 'Somebody else was faster.' }), 'Somebody else was faster.', false],
    ['an answer without words', fail(500), 'The server could not do this.', false],
  ])('says in words what went wrong: %s', async (_what, refuses, says, offline) => {
    answer = refuses;
    const problem = await request('/api/x').catch((p: unknown) => p);
    expect(problem).toBeInstanceOf(RequestProblem);
    expect([(problem as RequestProblem).message, (problem as RequestProblem).offline]).toEqual([says, offline]);
  });
});

describe('who is at the machine', () => {
  const member = aMember();
  it('is known after the log-in, may grade unless he is a player, and is gone after it ends', async () => {
    let role: 'coach' | 'player' = 'coach';
    answer = (url, method) =>
      method === 'GET'
        ? { demo: [], member: { ...member, role }, programs: [{ id: 1, name: 'Lanterns', role }] }
        : null;
    const session = useSession();
    expect([session.known, session.staff]).toEqual([false, false]);
    await session.logIn('coach@lanterns.example', 'x');
    expect([session.known, session.staff, session.member!.userName]).toEqual([true, true, 'Maren Quill']);
    role = 'player';
    await session.changeProgram(1);
    expect(session.staff).toBe(false);
    await session.logOut();
    expect(session.member).toBeNull();
  });

  it('stays who he was when a log-in is refused or the end of one does not arrive', async () => {
    answer = (_url, method) =>
      method === 'GET' ? { demo: [], member, programs: [] } : fail(401, { message: 'No.' })();
    const session = useSession();
    await session.load();
    await expect(session.logIn('a', 'b')).rejects.toThrow('No.');
    await expect(session.logOut()).rejects.toThrow('No.');
    expect(session.member).toEqual(member);
  });
});
