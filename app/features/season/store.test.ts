import { createPinia, setActivePinia } from 'pinia';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Schedule, Scheduled } from '#core/model/schedule';
import { serveRoutes, type RoutesServer } from '~/testing/routes';
import { useSeason } from './store';

let there: Schedule;
let server: RoutesServer;
beforeEach(() => {
  setActivePinia(createPinia());
  const game = { id: 1, opponent: 'Quillport Terns', week: 2, playedOn: null, snaps: 5, films: 0 };
  there = { seasons: [{ id: 1, name: '2026', games: 1 }], games: [game] };
  server = serveRoutes({
    'GET /api/schedule': () => there,
    'POST /api/games': (g: Scheduled) => void there.games.push({ ...g, id: 2, snaps: 0, films: 0 }),
    'PUT /api/games/*': (g: Scheduled) => void (there.games[0] = { ...there.games[0]!, ...g }),
    'DELETE /api/games/*': () => void there.games.pop(),
    'PUT /api/season': ({ name }: { name: string }) => void (there.seasons[0]!.name = name),
    'POST /api/season': ({ name }: { name: string }) => {
      there.seasons.unshift({ id: 2, name, games: 0 });
      there.games = [];
    },
  });
});
afterEach(() => vi.unstubAllGlobals());

describe('a season', () => {
  it('goes week by week', async () => {
    const season = useSeason();
    await season.load();
    expect([season.season!.name, season.nextWeek, season.opponents]).toEqual(['2026', 3, ['Quillport Terns']]);
    await season.add({ opponent: 'Graymoor Millers', week: 3, playedOn: '2026-11-28' });
    expect([season.nextWeek, season.notice]).toEqual([4, 'Week 3: Graymoor Millers.']);
    await season.change(season.schedule.games[0]!, { week: 1 });
    expect(season.schedule.games[0]).toMatchObject({ opponent: 'Quillport Terns', week: 1 });
    await season.remove(season.schedule.games[1]!);
    expect(season.schedule.games).toHaveLength(1);
  });

  it('is renamed, and the next one begins empty with the other kept', async () => {
    const season = useSeason();
    await season.load();
    await season.rename('Autumn 2026');
    await season.begin('2027');
    expect(season.schedule.seasons.map((s) => s.name)).toEqual(['2027', 'Autumn 2026']);
    expect([season.season!.name, season.nextWeek]).toEqual(['2027', 1]);
    expect(season.notice).toContain('2027 has begun');
  });

  it('stays as it was when something is refused', async () => {
    const season = useSeason();
    await season.load();
    server.refuse(409, 'This game has snaps or film and stays.');
    expect(await season.remove(season.schedule.games[0]!)).toBe(false);
    expect([season.problem, season.notice, season.schedule.games.length]).toEqual([
      'This game has snaps or film and stays.',
      '',
      1,
    ]);
  });
});
