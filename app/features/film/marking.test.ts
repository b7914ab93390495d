import { describe, expect, it } from 'vitest';
import { ALL_PLUS, type Grade } from '#core/model/grade';
import { useMarks } from '~/features/marks/store';
import { useSession } from '~/features/session/store';
import { aMember } from '~/testing/a-member';
import { MEN } from '~/testing/film-server';
import { openedFilm, settled, withFilmServer } from '~/testing/opened-film';

const LATE: Grade = { ...ALL_PLUS, technique: 'minus', faults: ['left-late'] };
const at = withFilmServer();

describe('a mark', () => {
  it('stands at once, and is sent', async () => {
    const film = await openedFilm();
    film.mark('LT', LATE);
    expect(film.marks.LT).toEqual(LATE);
    expect(film.snaps[0]!.graded).toEqual([{ blocker: 'LT', grade: LATE }]);
    await settled();
    expect([at.server.markOf(21, 'LT'), useMarks().waiting]).toEqual([LATE, []]);
  });

  it('is still there when its snap is opened again before it was sent', async () => {
    const film = await openedFilm();
    at.server.reachable = false;
    film.mark('LT', LATE);
    await settled();
    at.server.reachable = true;
    await film.open(22);
    await film.open(21);
    expect(film.marks.LT).toEqual(LATE);
  });

  it('stands on what was seen: one given after another of mine is no quarrel', async () => {
    const film = await openedFilm();
    film.mark('LT', LATE);
    await settled();
    film.change('LT', { note: 'late' });
    await settled();
    film.change('LT', { consequence: 'fatal' });
    await settled();
    expect(at.server.markOf(21, 'LT')).toEqual({ ...LATE, note: 'late', consequence: 'fatal' });
    expect(useMarks().aside).toEqual([]);
  });

  it('of somebody else is not overwritten: both stand side by side until one is chosen', async () => {
    const film = await openedFilm();
    at.server.marks.set(21, 'LT', ALL_PLUS);
    film.mark('LT', LATE);
    await settled();
    const [lies] = useMarks().aside;
    expect([at.server.markOf(21, 'LT'), lies!.entry.grade, lies!.aside.other]).toEqual([
      ALL_PLUS,
      LATE,
      expect.objectContaining({ grade: ALL_PLUS, by: 'Theo Brandt' }),
    ]);
    await film.takeTheirs(lies!);
    expect([film.marks.LT, useMarks().aside]).toEqual([ALL_PLUS, []]);
    at.server.marks.set(21, 'LT', { ...ALL_PLUS, note: 'again' });
    film.mark('LT', LATE);
    await settled();
    await film.takeMine(useMarks().aside[0]!);
    expect([at.server.markOf(21, 'LT'), useMarks().waiting]).toEqual([LATE, []]);
  });

  it('is given to everybody who has none by one key, and taken back by one step', async () => {
    const film = await openedFilm();
    film.mark('LT', LATE);
    film.restPlus();
    await settled();
    expect(at.server.marks.of(21)).toHaveLength(MEN.length);
    expect(at.server.markOf(21, 'LT')).toEqual(LATE);
    await film.open(22);
    await film.undo();
    await settled();
    expect([film.snap!.id, at.server.marks.of(21).map((m) => m.blocker)]).toEqual([21, ['LT']]);
    await film.undo();
    await settled();
    expect(at.server.marks.of(21)).toEqual([]);
    await film.undo();
    expect(film.marks).toEqual({});
  });

  it('of a double stands with both men, each keeping his own', async () => {
    const film = await openedFilm();
    film.mark('RG', LATE);
    film.changePair(['RG', 'RT'], { movement: 'done' });
    film.changePair(['RG', 'RT'], { left: 'RT', when: 'early' });
    await settled();
    const pair = { movement: 'done', hips: null, left: 'RT', when: 'early' };
    expect(at.server.markOf(21, 'RG')).toEqual({ ...LATE, pair });
    expect(at.server.markOf(21, 'RT')).toEqual({ ...ALL_PLUS, pair });
  });

  it('follows its rubric: wrong man takes the points, a minus leaves a beaten man’s', async () => {
    const film = await openedFilm();
    film.snap = { ...film.snap!, rubric: 'points@1' };
    film.change('LT', { assignment: 'wrong' });
    film.change('LG', { technique: 'minus' });
    film.restPlus();
    const points = ['LT', 'LG', 'C'].map((man) => film.marks[man]!.points);
    expect(points).toEqual([0, 1, 3]);
  });

  it('is given by nobody who may only look', async () => {
    useSession().member = aMember({ userId: 5, role: 'player', playerId: 9 });
    const film = await openedFilm(21);
    film.mark('LT', LATE);
    await settled();
    expect([film.marks, useMarks().waiting, at.server.asked.includes('GET /api/games')]).toEqual([{}, [], false]);
  });
});

describe('a player who grades himself', () => {
  it('marks his own place on a sheet of his own, and nobody else’s', async () => {
    useSession().member = aMember({ userId: 5, role: 'player', playerId: 9 });
    at.server.ownGrades = true;
    const film = await openedFilm(21);
    expect([film.men, film.sheet, film.mayMark, film.readOnly]).toEqual([['C'], 'own', true, true]);
    film.restPlus();
    await settled();
    expect(at.server.marks.of(21).map((m) => m.blocker)).toEqual(['C']);
  });
});
