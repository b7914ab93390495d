import { createPinia, setActivePinia } from 'pinia';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { NewPlayer, Player } from '#core/roster/player';
import { serveRoutes, type RoutesServer } from '~/testing/routes';
import { tryRoster } from './lines';
import { useRoster } from './store';

const man = (id: number, number: number, name: string, more: Partial<Player> = {}): Player => ({
  ...{ id, number, name, seat: '', seats: [], defence: '', weight: null, left: false },
  ...more,
});
let there: Player[];
let server: RoutesServer;
beforeEach(() => {
  setActivePinia(createPinia());
  there = [man(1, 61, 'Anselm Rook', { seat: 'RG' }), man(2, 55, 'Jory Pell', { left: true })];
  server = serveRoutes({
    'GET /api/roster': () => there,
    'POST /api/roster': ({ players }: { players: NewPlayer[] }) =>
      void there.push(...players.map((p, i) => ({ ...man(there.length + i + 1, 0, ''), ...p }))),
    'PUT /api/roster/*': (after: Player, url) => {
      const id = Number(url.pathname.split('/').at(-1));
      there = there.map((p) => (p.id === id ? { ...p, ...after, id } : p));
    },
    'POST /api/roster/*/erase': () => void there.pop(),
  });
});
afterEach(() => vi.unstubAllGlobals());

describe('the roster', () => {
  it('knows who plays now, and who wears what where', async () => {
    const roster = useRoster();
    await roster.open();
    expect(roster.here.map((p) => p.name)).toEqual(['Anselm Rook']);
    expect(roster.numbers.RG).toBe(61);
  });

  it('takes men, changes one by what is given of him, and erases one', async () => {
    const roster = useRoster();
    await roster.open();
    await roster.add([{ ...man(0, 64, 'Odo Lisk'), seats: ['LG'] }]);
    expect(roster.notice).toBe('Odo Lisk is on the roster.');
    await roster.change(roster.players[0]!, { number: 62 });
    expect(server.asked.findLast((a) => a.what === 'PUT /api/roster/1')!.body).toEqual({
      ...{ number: 62, name: 'Anselm Rook', seat: 'RG', seats: [], defence: '', weight: null, left: false },
    });
    expect(roster.players[0]!.number).toBe(62);
    await roster.erase(roster.players.at(-1)!);
    expect([roster.players.length, roster.notice]).toEqual([
      2,
      'Everything said of Odo Lisk is erased. Counts stay without a name.',
    ]);
  });

  it('stays as it was when it cannot be changed, and keeps what was typed', async () => {
    const roster = useRoster();
    await roster.open();
    roster.draft = '64 Odo Lisk';
    server.down();
    expect(await roster.add([man(0, 64, 'Odo Lisk')])).toBe(false);
    expect(await roster.change(roster.players[0]!, { number: 1 })).toBe(false);
    expect([roster.players[0]!.number, roster.draft, roster.problem]).toEqual([
      61,
      '64 Odo Lisk',
      'The server cannot be reached.',
    ]);
  });
});

describe('men typed or pasted', () => {
  it.each<[string, string]>([
    ['commas', '64, Odo Lisk, G'],
    ['semicolons', '64;Odo Lisk;G'],
    ['tabs', '64\tOdo Lisk\tG'],
    ['spaces', '64 Odo Lisk G'],
    ['a table with heads', 'No;Name;Pos\r\n64;Odo Lisk;G\r\n'],
    ['quotes', '64,"Odo Lisk",G'],
  ])('are read between %s', (_what, text) => {
    expect(tryRoster(text, []).players).toMatchObject([{ number: 64, name: 'Odo Lisk', seats: ['LG', 'RG'] }]);
  });

  it('leave out who is there already, and say which line cannot be read', () => {
    const { players, problems, known } = tryRoster('61 Anselm Rook\n\nMat Ober\n64 Odo Lisk', [
      { number: 61, name: 'Anselm Rook' },
    ]);
    expect([players.map((p) => p.number), problems.map((p) => p.line), known]).toEqual([[64], [3], 1]);
  });
});
