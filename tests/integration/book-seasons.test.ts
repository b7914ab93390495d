import { QueryTypes } from 'sequelize';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { DIMENSION_IDS } from '#core/grade/book/dimensions';
import { ALL_PLUS } from '#core/model/grade';
import { tidyBooks } from '../../server/book/keep';
import { bringToMind } from '../../server/book/packed';
import { GameRow, GradeRow, SeasonRow, SnapRow } from '../../server/db/models';
import { readBook, readSnapsBehind } from '../../server/usecases/book';
import { forgetBook } from './book-rows';
import { freshDatabase, makeProgram } from './fresh-database';
import { markAs } from './marking';
import { waitsOrEnds } from './waits';

let db: Awaited<ReturnType<typeof freshDatabase>>;
let own: Awaited<ReturnType<typeof makeProgram>>;
let count = 0;
beforeAll(async () => {
  db = await freshDatabase();
});
afterAll(() => db.drop());
beforeEach(async () => {
  own = await makeProgram(`Own${count++}`);
  await markAs(own.members.coach, own.snaps[0]!, [
    { blocker: 'LT', grade: ALL_PLUS },
    { blocker: 'C', grade: { ...ALL_PLUS, technique: 'minus', faults: ['high-pads'] } },
  ]);
  await readBook(own.members.coach, 'man', {});
});

describe('a season that is over', () => {
  let over: number;
  const counted = async (): Promise<number[]> =>
    (
      await db.sequelize.query<{ id: number }>('select season_id as id from book_counted where program_id = :program', {
        type: QueryTypes.SELECT,
        replacements: { program: own.programId },
      })
    ).map((row) => row.id);
  beforeEach(async () => {
    over = (await GameRow.findByPk(own.gameId))!.seasonId;
    const now = await SeasonRow.create({ programId: own.programId, name: 'Now' });
    const game = await GameRow.create({
      ...{ programId: own.programId, seasonId: now.id, opponent: 'Graymoor Millers', week: 1, published: true },
    });
    const { body } = (await SnapRow.findByPk(own.snaps[0]!))!;
    const snap = await SnapRow.create({ programId: own.programId, gameId: game.id, number: 1, body });
    await markAs(own.members.coach, snap.id, [{ blocker: 'RT', grade: { ...ALL_PLUS, phases: { drive: 'done' } } }]);
  });

  it('is counted once, the one that is played is not', async () => {
    await tidyBooks();
    await tidyBooks();
    expect(await counted()).toEqual([over]);
  });

  it.each(DIMENSION_IDS)('comes to the same by %s, whether it is counted again or not', async (by) => {
    const again = [
      await readBook(own.members.coach, by, {}),
      await readBook(own.members.coach, by, { season: [`${over}`] }),
    ];
    await tidyBooks();
    const known = [
      await readBook(own.members.coach, by, {}),
      await readBook(own.members.coach, by, { season: [`${over}`] }),
    ];
    expect(known).toEqual(again);
    expect(known[0]!.total.marks).toBe(3);
    expect(known[1]!.total.marks).toBe(2);
  });

  it.each(DIMENSION_IDS)('comes to the same of some values of %s, whether it is counted again or not', async (of) => {
    const there = (await readBook(own.members.coach, of, {})).lines.map((line) => line.key);
    const wanted = [...there.slice(0, 2), 'never said', '01'];
    const filters = [{ [of]: wanted }, { [of]: wanted, season: [`${over}`] }, { [of]: ['never said'] }];
    const read = (): Promise<unknown[]> =>
      Promise.all(
        filters.flatMap((filter) => [
          readBook(own.members.coach, of, filter),
          readBook(own.members.coach, 'fault', filter),
          readSnapsBehind(own.members.coach, filter, 'both', { skip: 0, take: 50 }),
        ]),
      );
    const again = await read();
    await tidyBooks();
    expect(await read()).toEqual(again);
  });

  /** Takes the marks of the season away behind its back. */
  const withoutMarks = async (): Promise<void> => {
    await db.sequelize.query(
      'alter table book_marks disable trigger user; delete from book_marks where season_id = :over; alter table book_marks enable trigger user',
      { replacements: { over } },
    );
  };
  it('is read from what was kept of it, also for a player and whatever more is asked', async () => {
    const { coach, player } = own.members;
    await GameRow.update({ published: true }, { where: { id: own.gameId } });
    const read = (): Promise<unknown[]> =>
      Promise.all([
        readBook(coach, 'place', { season: [`${over}`] }),
        readBook(coach, 'fault', { unit: ['tackles', 'centre'], down: ['1', '2', '3', '4'] }),
        readBook(player, 'place', {}),
      ]);
    const before = await read();
    expect(before).toMatchObject([{ total: { marks: 2 } }, { total: { marks: 3 } }, { total: { marks: 1 } }]);
    await tidyBooks();
    await withoutMarks();
    expect(await read()).toEqual(before);
  });

  it('stays in mind once it was read', async () => {
    await tidyBooks();
    const before = await readBook(own.members.coach, 'place', {});
    await db.sequelize.query('delete from book_columns where season_id = :over', { replacements: { over } });
    expect(await readBook(own.members.coach, 'place', {})).toEqual(before);
  });

  it('is brought to mind before anybody has asked', async () => {
    const before = await readBook(own.members.coach, 'place', {});
    await tidyBooks();
    await bringToMind(db.sequelize);
    await db.sequelize.query('delete from book_columns where season_id = :over', { replacements: { over } });
    await withoutMarks();
    expect(await readBook(own.members.coach, 'place', {})).toEqual(before);
  });

  it('is read anew where somebody changes it while it is read', async () => {
    await tidyBooks();
    const changing = await db.sequelize.transaction();
    await db.sequelize.query('lock table book_columns in access exclusive mode', { transaction: changing });
    const reading = readBook(own.members.coach, 'place', {});
    expect(await waitsOrEnds(db.sequelize, reading)).toBe('waits');
    await GradeRow.destroy({ where: { snapId: own.snaps[0]!, blocker: 'C', sheet: 0 }, transaction: changing });
    await changing.commit();
    expect((await reading).lines.map(({ key, marks: n }) => [key, n])).toEqual([
      ['LT', 1],
      ['RT', 1],
    ]);
  });

  it('is read off its marks where a column of it was never kept', async () => {
    await tidyBooks();
    await db.sequelize.query("delete from book_columns where name = 'blocker' and season_id = :over", {
      replacements: { over },
    });
    expect((await readBook(own.members.coach, 'place', {})).lines.map((l) => l.key)).toEqual(['C', 'LT', 'RT']);
  });

  it('may have no marks at all', async () => {
    await db.sequelize.query('delete from book_marks where season_id = :over', { replacements: { over } });
    await tidyBooks();
    expect(await counted()).toEqual([over]);
    expect((await readBook(own.members.coach, 'place', {})).total.marks).toBe(1);
    expect((await readBook(own.members.coach, 'place', { season: [`${over}`] })).lines).toEqual([]);
  });

  it.each([
    ['a mark', () => markAs(own.members.coach, own.snaps[1]!, [{ blocker: 'C', grade: ALL_PLUS }])],
    ['its last mark taken back', () => GradeRow.destroy({ where: { snapId: own.snaps[0]!, sheet: 0 } })],
    ['a snap taken out', () => SnapRow.destroy({ where: { id: own.snaps[0]! } })],
    ['its game gone', () => GameRow.destroy({ where: { id: own.gameId } })],
  ])('is counted again after %s', async (_, change) => {
    await tidyBooks();
    await change();
    const { total } = await readBook(own.members.coach, 'man', {});
    expect(await counted()).toEqual([]);
    await forgetBook(db.sequelize, own.programId);
    expect((await readBook(own.members.coach, 'man', {})).total).toEqual(total);
  });

  it('is not counted while somebody is marking it', async () => {
    await readBook(own.members.coach, 'man', {});
    const marking = await db.sequelize.transaction();
    await GradeRow.destroy({ where: { snapId: own.snaps[0]!, blocker: 'C', sheet: 0 }, transaction: marking });
    const tidying = tidyBooks();
    expect(await waitsOrEnds(db.sequelize, tidying)).toBe('waits');
    await marking.commit();
    await tidying;
    expect((await readBook(own.members.coach, 'man', { season: [`${over}`] })).total.marks).toBe(1);
  });
});
