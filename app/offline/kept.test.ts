import { describe, expect, it } from 'vitest';
import { changesWhoIsHere, isFile, isKept, isOfNobody } from './kept';

const at = (path: string): URL => new URL(path, 'https://chalk.example');

describe('what is kept on a device', () => {
  it.each(['/api/session', '/api/program', '/api/playbook', '/api/quiz', '/api/roster', '/api/weeks', '/api/weeks/6'])(
    '%s is',
    (path) => {
      expect(isKept(at(path), 'GET')).toBe(true);
      expect(isKept(at(`${path}?x=1`), 'GET')).toBe(true);
    },
  );

  it.each([
    ...['/api/book', '/api/book/snaps', '/api/mine', '/api/snaps/4', '/api/games/3/said', '/api/people', '/api/audit'],
    ...['/api/clips/4', '/api/films', '/api/copy', '/api/backups/x', '/api/weeks/6/quiz', '/api/huddle', '/quiz'],
  ])('%s is not: it says how somebody did, or is large, or is of the moment', (path) => {
    expect(isKept(at(path), 'GET')).toBe(false);
  });

  it('is only what was asked for, never what was sent', () => {
    for (const method of ['POST', 'PUT', 'DELETE']) expect(isKept(at('/api/quiz'), method)).toBe(false);
  });
});

describe('who is at the device', () => {
  it('is somebody else after a log-in, a log-out, another program, a first program or an invitation', () => {
    for (const [path, method] of [
      ['/api/session', 'POST'],
      ['/api/session', 'DELETE'],
      ['/api/session/program', 'PUT'],
      ['/api/begin', 'POST'],
      ['/api/tickets/join', 'POST'],
    ] as const)
      expect(changesWhoIsHere(at(path), method)).toBe(true);
    expect(changesWhoIsHere(at('/api/session'), 'GET')).toBe(false);
    expect(changesWhoIsHere(at('/api/quiz/answers'), 'POST')).toBe(false);
  });

  it('that it is nobody is not kept, and can still be read by whoever asked', async () => {
    const answer = (member: unknown): Response => Response.json({ member, demo: [] });
    const nobody = answer(null);
    expect(await isOfNobody(at('/api/session'), nobody)).toBe(true);
    expect(await nobody.json()).toEqual({ member: null, demo: [] });
    expect(await isOfNobody(at('/api/session'), answer({ userId: 1 }))).toBe(false);
    expect(await isOfNobody(at('/api/quiz'), answer(null))).toBe(false);
  });

  it('files of the application are told by their place', () => {
    expect([isFile(at('/_nuxt/abc.js')), isFile(at('/api/_nuxt/x')), isFile(at('/'))]).toEqual([true, false, false]);
  });
});
