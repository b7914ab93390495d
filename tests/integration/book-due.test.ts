import { QueryTypes } from 'sequelize';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { NO_CHANGES, substitute } from '#core/film/log/lineup';
import { ALL_PLUS } from '#core/model/grade';
import { SHIPPED_SETTINGS } from '#core/model/settings';
import { anEntry } from '#core/testing/a-log';
import { bringUpBooks, keepBooksUp } from '../../server/book/keep';
import * as bookOrder from '../../server/db/migrations/0018-book-order';
import * as bookWords from '../../server/db/migrations/0017-book-words';
import { GameRow, GradeRow, PlayerRow, SeasonRow, SnapRow } from '../../server/db/models';
import { nowOpen } from '../../server/opening';
import { readBook, readChoices } from '../../server/usecases/book';
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
import { waitsOrEnds } from './waits';

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
    expect(await waitsOrEnds(db.sequelize, reading)).toBe('waits');
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
