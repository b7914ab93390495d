import { createPinia, setActivePinia } from 'pinia';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Invitation, People, Person } from '#core/model/account';
import { serveRoutes, type RoutesServer } from '~/testing/routes';
import { usePeople } from './store';

const person = (id: number, role: Person['role']): Person => ({
  ...{ id, name: `Person ${id}`, email: `p${id}@club.example`, role, playerId: null, seenAt: null },
});
let there: People;
let server: RoutesServer;
beforeEach(() => {
  setActivePinia(createPinia());
  there = { people: [person(1, 'coach'), person(2, 'assistant')], waiting: [] };
  server = serveRoutes({
    'GET /api/people': () => there,
    'POST /api/people/invitations': ({ role, name, email, playerId }: Invitation) => {
      there.waiting.push({ id: 9, name, email, role, playerId, expiresAt: '2026-12-01T00:00:00Z' });
      return { token: 'T'.repeat(32) };
    },
    'DELETE /api/people/invitations/*': () => void (there.waiting = []),
    'PUT /api/people/*': ({ role }: Person) => void (there.people[1] = person(2, role)),
    'DELETE /api/people/*': () => void there.people.pop(),
    'POST /api/people/*/reset': () => ({ token: 'R'.repeat(32) }),
  });
});
afterEach(() => vi.unstubAllGlobals());
const INVITATION: Invitation = { role: 'reader', name: 'Ivo', email: 'ivo@club.example', playerId: null };

describe('the people of a program', () => {
  it('are invited by a link that is shown once, and gone with the next thing done', async () => {
    const people = usePeople();
    await people.load();
    expect(await people.invite(INVITATION)).toBe(true);
    expect(people.link).toEqual({ path: '/join', token: 'T'.repeat(32), for: 'Ivo', sent: true });
    expect(people.found.waiting.map((w) => w.name)).toEqual(['Ivo']);
    await people.withdraw(9);
    expect([people.link, people.found.waiting]).toEqual([null, []]);
    expect(people.notice).toContain('taken back');
    await people.invite({ ...INVITATION, name: '', email: '' });
    expect(people.link).toMatchObject({ for: 'whom you invited', sent: false });
  });

  it('are changed, taken out and given a link for a new password', async () => {
    const people = usePeople();
    await people.load();
    await people.change(people.found.people[1]!, 'reader', null);
    expect(people.found.people[1]!.role).toBe('reader');
    await people.reset(people.found.people[1]!);
    expect(people.link).toMatchObject({ path: '/reset', for: 'Person 2', sent: true });
    await people.remove(people.found.people[1]!);
    expect([people.found.people.length, people.notice]).toEqual([
      1,
      'Person 2 is out, and logged out. What he wrote and graded stays.',
    ]);
  });

  it('stay as they were when the server refuses or cannot be reached, and it says so', async () => {
    const people = usePeople();
    await people.load();
    server.refuse(409, 'A program needs a line coach.');
    expect(await people.remove(people.found.people[0]!)).toBe(false);
    expect([people.problem, people.notice, people.found.people.length]).toEqual([
      'A program needs a line coach.',
      '',
      2,
    ]);
    server.down();
    expect(await people.invite(INVITATION)).toBe(false);
    expect([people.problem, people.link]).toEqual(['The server cannot be reached.', null]);
    server.up();
    expect(await people.load()).toBe(true);
    expect(people.problem).toBe('');
  });
});
