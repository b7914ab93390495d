import { createPinia, setActivePinia } from 'pinia';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { ProgramBody } from '#core/model/program';
import { usePlaybook } from '~/features/playbook/store';
import { serveRoutes, type RoutesServer } from '~/testing/routes';
import { STEPS } from './steps';
import { useFirst } from './store';

let program: ProgramBody;
let texts: { shelf: 'fronts'; text: string; opponent: string }[];
let server: RoutesServer;
beforeEach(async () => {
  setActivePinia(createPinia());
  [program, texts] = [{ begun: [] }, []];
  server = serveRoutes({
    'GET /api/playbook': () =>
      texts.map(({ shelf, text, opponent }, i) => ({
        ...{ id: i + 1, shelf, text, opponent, slug: /^front (\S+)/.exec(text)![1]! },
        ...{ retired: false, players: false, version: 1, draft: null },
      })),
    'POST /api/playbook': (body: { texts: typeof texts }) => void texts.push(...body.texts),
    'GET /api/program': () => program,
    'PUT /api/program': (change: ProgramBody) => (program = { ...program, ...change }),
    'POST /api/games': () => null,
  });
  await usePlaybook().load();
});
afterEach(() => vi.unstubAllGlobals());

describe('what a program does its own way', () => {
  it('counts at once, each change builds on the one before, and what is refused is taken back', async () => {
    const playbook = usePlaybook();
    server.slow();
    const changes = [playbook.changeProgram({ plays: ['power'] })];
    changes.push(playbook.changeProgram({ plays: [...playbook.program.plays!, 'duo'] }));
    expect(playbook.program.plays).toEqual(['power', 'duo']);
    server.answer();
    await Promise.all(changes);
    expect([program.plays, playbook.program.plays]).toEqual([
      ['power', 'duo'],
      ['power', 'duo'],
    ]);
    server.refuse(400, 'No.');
    await expect(playbook.changeProgram({ plays: [] })).rejects.toThrow('No.');
    expect(playbook.program.plays).toEqual(['power', 'duo']);
  });
});

describe('the first steps', () => {
  it('go on from one that is open to the next, in any order, until all are taken', async () => {
    const first = useFirst();
    expect([first.isFresh, first.at]).toEqual([true, 'play']);
    first.go('men');
    expect(first.at).toBe('men');
    await first.take('men');
    expect(first.at).toBe('grade');
    for (const { id } of STEPS) await first.take(id);
    expect([first.isFresh, program.begun!.length]).toEqual([false, STEPS.length]);
  });

  it('are taken as fast as anybody taps: none is lost, and one that could not be kept is shown again', async () => {
    const [first, playbook] = [useFirst(), usePlaybook()];
    server.slow();
    const taps = [first.take('play')];
    expect(first.at).toBe('see');
    taps.push(first.take('see'), first.togglePlay('power'), first.togglePlay('duo'));
    await expect.poll(() => server.asked.some((a) => a.what === 'PUT /api/program')).toBe(true);
    server.answer();
    expect(await Promise.all(taps)).toEqual([true, true, true, true]);
    expect([program.begun, program.plays, first.at]).toEqual([['play', 'see'], ['power', 'duo'], 'words']);
    server.down();
    expect(await first.take('words')).toBe(false);
    expect([first.at, playbook.program.begun]).toEqual(['words', ['play', 'see']]);
  });

  it('are not asked of a program that never had them', async () => {
    program = {};
    await usePlaybook().load();
    expect(useFirst().isFresh).toBe(false);
  });

  it('take a play and let it go by one tap; only what was taken is offered, and all until then', async () => {
    const [first, playbook] = [useFirst(), usePlaybook()];
    const all = playbook.schemes.length;
    await first.togglePlay('power');
    await first.togglePlay('duo');
    expect(playbook.plays.flatMap((g) => g.items.map((i) => i.id))).toEqual(['duo', 'power']);
    expect(playbook.playsWith('iso').flatMap((g) => g.items.map((i) => i.id))).toContain('iso');
    await first.togglePlay('power');
    await first.togglePlay('duo');
    expect(playbook.schemes).toHaveLength(all);
  });

  it('write down the next opponent with his front, once', async () => {
    const [first, playbook] = [useFirst(), usePlaybook()];
    expect(await first.meet('Quillport Terns', 3, 'under')).toBe('quillport-terns-under');
    expect(playbook.own('fronts', 'quillport-terns-under')).toMatchObject({ opponent: 'Quillport Terns' });
    expect(playbook.book.clauses('fronts', 'quillport-terns-under')).toBe(playbook.book.clauses('fronts', 'under'));
    expect(await first.meet('Quillport Terns', 3, 'under')).toBe('quillport-terns-under');
    expect(texts).toHaveLength(1);
    server.down();
    expect(await first.meet('Graymoor Millers', 4, 'odd')).toBeNull();
    expect(first.problem).toBe('The server cannot be reached.');
  });

  it('have somewhere to be changed later, each', () => {
    for (const { later } of STEPS) expect(later.to).toMatch(/^\/\w/);
  });
});
