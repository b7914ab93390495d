import { QueryTypes } from 'sequelize';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { NO_CHANGES, substitute } from '#core/film/log/lineup';
import { DIMENSION_IDS } from '#core/grade/book/dimensions';
import { ALL_PLUS } from '#core/model/grade';
import { SHIPPED_SETTINGS } from '#core/model/settings';
import { anEntry } from '#core/testing/a-log';
import { bringUpBooks, keepBooksUp, tidyBooks } from '../../server/book/keep';
import * as bookOrder from '../../server/db/migrations/0018-book-order';
import * as bookWords from '../../server/db/migrations/0017-book-words';
import { GameRow, GradeRow, PlayerRow, SeasonRow, SnapRow } from '../../server/db/models';
import { nowOpen } from '../../server/opening';
import { readBook, readChoices, readSnapsBehind } from '../../server/usecases/book';
import { readPlayResults } from '../../server/usecases/book-plays';
import { changeCall } from '../../server/usecases/change-call';
import { readLineup, saveLineup } from '../../server/usecases/lineup';
import { writeLog } from '../../server/usecases/log';
import { changeProgram } from '../../server/usecases/program';
import { changeGame } from '../../server/usecases/schedule';
import { changeSituation } from '../../server/usecases/situations';
import { dueOf, forgetBook, wholeBook } from './book-rows';
import { CALL, freshDatabase, makeProgram } from './fresh-database';
import { markAs } from './marking';

type Program = Awaited<ReturnType<typeof makeProgram>>;
let db: Awaited<ReturnType<typeof freshDatabase>>;
let own: Program;
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

const due = (): Promise<number[]> => dueOf(db.sequelize, own.programId);
const marks = async (): Promise<number> => (await readBook(own.members.coach, 'block', {})).total.marks;
const playerAt = async (seat: string): Promise<number> =>
  (await PlayerRow.findOne({ where: { programId: own.programId, seat } }))!.id;

/** Whoever changes what the Book says, and the snaps (the first, the second) it has due for it. */
const WRITERS: [string, () => Promise<unknown>, number[]][] = [
  ['a mark', () => markAs(own.members.coach, own.snaps[1]!, [{ blocker: 'LG', grade: ALL_PLUS }]), [1]],
  ['a mark taken back', () => markAs(own.members.coach, own.snaps[0]!, [{ blocker: 'C', grade: null }]), [0]],
  ['another call', () => changeCall(own.members.coach, own.snaps[0]!, { ...CALL, side: 'left' }, true), [0]],
  ['a corrected situation', () => changeSituation(own.members.coach, own.snaps[0]!, { gain: 9 }), [0]],
  [
    'a snap that does not count',
    async () => {
      const row = (await SnapRow.findByPk(own.snaps[0]!))!;
      await row.update({ body: { ...(row.body as object), logged: { notCounted: 'scrimmage' } } });
    },
    [0],
  ],
  [
    'who was on the field',
    async () => {
      const { members, gameId } = own;
      const lineup = substitute(NO_CHANGES, { seat: 'LT', from: 1, playerId: await playerAt('H') });
      const { revision } = await readLineup(members.coach, gameId);
      expect((await saveLineup(members.coach, gameId, { revision, lineup, confirmed: true })).moved).toHaveLength(1);
    },
    [0],
  ],
  [
    'another opponent',
    () => changeGame(own.members.coach, own.gameId, { opponent: 'Fennick Otters', week: 3, playedOn: null }),
    [0, 1],
  ],
  [
    'another season',
    async () => {
      const { id } = await SeasonRow.create({ programId: own.programId, name: 'Another' });
      await GameRow.update({ seasonId: id }, { where: { id: own.gameId } });
    },
    [0, 1],
  ],
  [
    'another standard of a good play',
    () => changeProgram(own.members.coach, { settings: { ...SHIPPED_SETTINGS, standardYards: 9 } }),
    [0, 1],
  ],
];

describe('what the Book has due', () => {
  it.each(WRITERS)(
    'is noted with %s, and whoever reads the Book next finds it as made anew',
    async (_, write, snaps) => {
      expect(await due()).toEqual([]);
      await write();
      expect(await due()).toEqual(snaps.map((i) => own.snaps[i]!).sort((a, b) => a - b));
      await readBook(own.members.coach, 'man', {});
      expect(await due()).toEqual([]);
      const kept = await wholeBook(own.programId);
      await forgetBook(db.sequelize, own.programId);
      await bringUpBooks();
      expect(kept).toEqual(await wholeBook(own.programId));
      expect(kept.length).toBeGreaterThan(0);
    },
  );

  it('is nothing after the words of its marks were numbered and put in order, and what it says stays word for word', async () => {
    await readBook(own.members.coach, 'man', {});
    const [kept, lines] = [await wholeBook(own.programId), await readBook(own.members.coach, 'play', {})];
    expect(kept.length).toBeGreaterThan(2);
    const queries = db.sequelize.getQueryInterface();
    await bookOrder.down(queries);
    expect(await wholeBook(own.programId)).toEqual(kept);
    await bookWords.down(queries);
    const said = await db.sequelize.query('select distinct blocker, scheme, side from book_marks order by 1', {
      type: QueryTypes.SELECT,
    });
    await bookWords.up(queries);
    await bookOrder.up(queries);
    const now = await db.sequelize.query('select distinct blocker, scheme, side from book_grades order by 1', {
      type: QueryTypes.SELECT,
    });
    expect(now).toEqual(said);
    expect([await due(), await wholeBook(own.programId)]).toEqual([[], kept]);
    expect(await readBook(own.members.coach, 'play', {})).toEqual(lines);
  });

  it('are not the marks somebody keeps for himself', async () => {
    await markAs(own.members.assistant, own.snaps[0]!, [{ blocker: 'LT', grade: ALL_PLUS }], 'own');
    expect(await due()).toEqual([]);
  });

  it('is a new snap, and nothing of one that was taken out or of a game that is gone', async () => {
    await writeLog(own.members.coach, own.gameId, { entries: [anEntry(7, CALL)], confirmed: false, dryRun: false });
    expect((await due()).length).toBeGreaterThan(0);
    await readBook(own.members.coach, 'man', {});
    await SnapRow.destroy({ where: { id: own.snaps[0]! } });
    expect([await marks(), await due()]).toEqual([0, []]);
    await GameRow.destroy({ where: { id: own.gameId } });
    expect(await wholeBook(own.programId)).toEqual([]);
  });

  it('goes with a program that is taken away', async () => {
    await markAs(own.members.coach, own.snaps[1]!, [{ blocker: 'C', grade: ALL_PLUS }]);
    await db.sequelize.query('delete from programs where id = :id', { replacements: { id: own.programId } });
    expect([await due(), await wholeBook(own.programId)]).toEqual([[], []]);
  });

  it.each([
    ['plays', async () => (await readPlayResults(own.members.coach, 'play', {})).total.counts.snaps],
    ['choices', async () => (await readChoices(own.members.coach, ['play'], {})).play![0]!.marks],
  ])('is brought up to date before %s are read', async (_, read) => {
    await markAs(own.members.coach, own.snaps[1]!, [{ blocker: 'C', grade: ALL_PLUS }]);
    expect(await read()).toBeGreaterThan(1);
    expect(await due()).toEqual([]);
  });

  it('is brought up to date again and again where nobody reads it', async () => {
    nowOpen();
    const stop = keepBooksUp(5);
    await markAs(own.members.coach, own.snaps[1]!, [{ blocker: 'C', grade: ALL_PLUS }]);
    await expect.poll(due, { timeout: 60_000 }).toEqual([]);
    stop();
    expect(await marks()).toBe(3);
  });
});

/** Whether somebody is held up by a lock of the database, or has come to his end before that. */
async function waitsOrEnds(doing: Promise<unknown>): Promise<'waits' | 'ends'> {
  let hasEnded = false;
  void doing.finally(() => (hasEnded = true));
  for (;;) {
    const [waiting] = await db.sequelize.query(
      `select 1 from pg_stat_activity where datname = current_database() and wait_event_type = 'Lock'`,
      { type: QueryTypes.SELECT },
    );
    if (waiting || hasEnded) return waiting ? 'waits' : 'ends';
  }
}

describe('two at once', () => {
  it('who read together find every mark once', async () => {
    await markAs(own.members.coach, own.snaps[1]!, [
      { blocker: 'LG', grade: ALL_PLUS },
      { blocker: 'RG', grade: ALL_PLUS },
    ]);
    expect(await Promise.all([marks(), marks(), marks(), marks()])).toEqual([4, 4, 4, 4]);
  });

  it('a reader waits for a grader who is at the snap, and finds what he marked', async () => {
    const snapId = own.snaps[0]!;
    await markAs(own.members.coach, snapId, [{ blocker: 'LT', grade: { ...ALL_PLUS, note: 'first' } }]);
    const grading = await db.sequelize.transaction();
    await SnapRow.findByPk(snapId, { lock: grading.LOCK.UPDATE, transaction: grading });
    await GradeRow.update(
      { body: { ...ALL_PLUS, faults: ['false-step'] } },
      { where: { snapId, blocker: 'LT', sheet: 0 }, transaction: grading },
    );
    const reading = readBook(own.members.coach, 'fault', {});
    expect(await waitsOrEnds(reading)).toBe('waits');
    await grading.commit();
    expect((await reading).lines.map((l) => l.key).sort()).toEqual(['false-step', 'high-pads']);
  });

  it('what is marked while the Book is brought up to date is due again', async () => {
    const snapId = own.snaps[0]!;
    const grading = await db.sequelize.transaction();
    await GradeRow.update(
      { body: { ...ALL_PLUS, faults: ['false-step'] } },
      { where: { snapId, blocker: 'LT', sheet: 0 }, transaction: grading },
    );
    expect((await readBook(own.members.coach, 'fault', {})).lines.map((l) => l.key)).toEqual(['high-pads']);
    await grading.commit();
    expect(await due()).toEqual([snapId]);
    expect((await readBook(own.members.coach, 'fault', {})).lines).toHaveLength(2);
  });
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

  it('is read anew where somebody changes it while it is read', async () => {
    await tidyBooks();
    const changing = await db.sequelize.transaction();
    await db.sequelize.query('lock table book_columns in access exclusive mode', { transaction: changing });
    const reading = readBook(own.members.coach, 'place', {});
    expect(await waitsOrEnds(reading)).toBe('waits');
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
    expect(await waitsOrEnds(tidying)).toBe('waits');
    await marking.commit();
    await tidying;
    expect((await readBook(own.members.coach, 'man', { season: [`${over}`] })).total.marks).toBe(1);
  });
});
