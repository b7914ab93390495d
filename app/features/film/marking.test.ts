import { createPinia, setActivePinia } from 'pinia';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { ALL_PLUS, type Grade } from '#core/model/grade';
import { useMarks } from '~/features/marks/store';
import { useSession } from '~/features/session/store';
import { aMember } from '~/testing/a-member';
import { FilmServer, MEN } from '~/testing/film-server';
import { useFilm } from './store';

const LATE: Grade = { ...ALL_PLUS, technique: 'minus', faults: ['left-late'] };
let at: FilmServer;
beforeEach(() => {
  setActivePinia(createPinia());
  vi.useFakeTimers();
  at = new FilmServer().serve();
  useSession().member = aMember();
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});
async function opened(id: number | null = 21) {
  const film = useFilm();
  await useMarks().resume();
  await film.open(id);
  return film;
}
const settled = (): Promise<unknown> => vi.advanceTimersByTimeAsync(0);

describe('a mark', () => {
  it('stands at once, and is sent', async () => {
    const film = await opened();
    film.mark('LT', LATE);
    expect(film.marks.LT).toEqual(LATE);
    expect(film.snaps[0]!.graded).toEqual([{ blocker: 'LT', grade: LATE }]);
    await settled();
    expect([at.markOf(21, 'LT'), useMarks().waiting]).toEqual([LATE, []]);
  });

  it('is still there when its snap is opened again before it was sent', async () => {
    const film = await opened();
    at.reachable = false;
    film.mark('LT', LATE);
    await settled();
    at.reachable = true;
    await film.open(22);
    await film.open(21);
    expect(film.marks.LT).toEqual(LATE);
  });

  it('stands on what was seen: one given after another of mine is no quarrel', async () => {
    const film = await opened();
    film.mark('LT', LATE);
    await settled();
    film.change('LT', { note: 'late' });
    await settled();
    film.change('LT', { consequence: 'fatal' });
    await settled();
    expect(at.markOf(21, 'LT')).toEqual({ ...LATE, note: 'late', consequence: 'fatal' });
    expect(useMarks().aside).toEqual([]);
  });

  it('of somebody else is not overwritten: both stand side by side until one is chosen', async () => {
    const film = await opened();
    at.marks.set(21, 'LT', ALL_PLUS);
    film.mark('LT', LATE);
    await settled();
    const [lies] = useMarks().aside;
    expect([at.markOf(21, 'LT'), lies!.entry.grade, lies!.aside.other]).toEqual([
      ALL_PLUS,
      LATE,
      expect.objectContaining({ grade: ALL_PLUS, by: 'Theo Brandt' }),
    ]);
    await film.takeTheirs(lies!);
    expect([film.marks.LT, useMarks().aside]).toEqual([ALL_PLUS, []]);
    at.marks.set(21, 'LT', { ...ALL_PLUS, note: 'again' });
    film.mark('LT', LATE);
    await settled();
    await film.takeMine(useMarks().aside[0]!);
    expect([at.markOf(21, 'LT'), useMarks().waiting]).toEqual([LATE, []]);
  });

  it('is given to everybody who has none by one key, and taken back by one step', async () => {
    const film = await opened();
    film.mark('LT', LATE);
    film.restPlus();
    await settled();
    expect(at.marks.of(21)).toHaveLength(MEN.length);
    expect(at.markOf(21, 'LT')).toEqual(LATE);
    await film.open(22);
    await film.undo();
    await settled();
    expect([film.snap!.id, at.marks.of(21).map((m) => m.blocker)]).toEqual([21, ['LT']]);
    await film.undo();
    await settled();
    expect(at.marks.of(21)).toEqual([]);
    await film.undo();
    expect(film.marks).toEqual({});
  });

  it('of a double stands with both men, each keeping his own', async () => {
    const film = await opened();
    film.mark('RG', LATE);
    film.changePair(['RG', 'RT'], { movement: 'done' });
    film.changePair(['RG', 'RT'], { left: 'RT', when: 'early' });
    await settled();
    const pair = { movement: 'done', hips: null, left: 'RT', when: 'early' };
    expect(at.markOf(21, 'RG')).toEqual({ ...LATE, pair });
    expect(at.markOf(21, 'RT')).toEqual({ ...ALL_PLUS, pair });
  });

  it('follows its rubric: wrong man takes the points, a minus leaves a beaten man’s', async () => {
    const film = await opened();
    film.snap = { ...film.snap!, rubric: 'points@1' };
    film.change('LT', { assignment: 'wrong' });
    film.change('LG', { technique: 'minus' });
    film.restPlus();
    const points = ['LT', 'LG', 'C'].map((man) => film.marks[man]!.points);
    expect(points).toEqual([0, 1, 3]);
  });

  it('is given by nobody who may only look', async () => {
    useSession().member = aMember({ userId: 5, role: 'player', playerId: 9 });
    const film = await opened(21);
    film.mark('LT', LATE);
    await settled();
    expect([film.marks, useMarks().waiting, at.asked.includes('GET /api/games')]).toEqual([{}, [], false]);
  });
});

describe('a player who grades himself', () => {
  it('marks his own place on a sheet of his own, and nobody else’s', async () => {
    useSession().member = aMember({ userId: 5, role: 'player', playerId: 9 });
    at.ownGrades = true;
    const film = await opened(21);
    expect([film.men, film.sheet, film.mayMark, film.readOnly]).toEqual([['C'], 'own', true, true]);
    film.restPlus();
    await settled();
    expect(at.marks.of(21).map((m) => m.blocker)).toEqual(['C']);
  });
});
