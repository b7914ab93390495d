import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { NO_CHANGES, substitute } from '#core/film/log/lineup';
import { ALL_PLUS } from '#core/model/grade';
import type { LogEntry } from '#core/model/game';
import { anEntry } from '#core/testing/a-log';
import { snapBody } from '../../server/db/mappers';
import { ClipRow, CutRow, FilmNoteRow, GameRow, GradeRow, PlayerRow, SnapRow } from '../../server/db/models';
import { keepCut, listCuts, removeCut } from '../../server/usecases/cuts';
import { listSnaps, readSnap } from '../../server/usecases/film';
import { publishGame } from '../../server/usecases/schedule';
import { readLineup, saveLineup } from '../../server/usecases/lineup';
import { removeSnap, writeLog } from '../../server/usecases/log';
import { addNote, changeNote, removeNote } from '../../server/usecases/notes';
import { CALL, freshDatabase, makeProgram } from './fresh-database';
import { bookOf, markAs } from './marking';

type Program = Awaited<ReturnType<typeof makeProgram>>;
let db: Awaited<ReturnType<typeof freshDatabase>>;
let lanterns: Program;
let terns: Program;
beforeAll(async () => {
  db = await freshDatabase();
});
afterAll(() => db.drop());
let count = 0;
beforeEach(async () => {
  lanterns = await makeProgram(`Lanterns${count++}`);
  terns = await makeProgram(`Terns${count++}`);
});

const write = (
  entries: LogEntry[],
  more: { confirmed?: boolean; dryRun?: boolean; without?: number[] } = {},
  whose = lanterns,
) => writeLog(whose.members.assistant, lanterns.gameId, { entries, confirmed: false, dryRun: false, ...more });
const log = async (): Promise<Record<number, string>> =>
  Object.fromEntries(
    (await listSnaps(lanterns.members.coach, lanterns.gameId)).map(({ number, call, situation: s }) => [
      number,
      `${call.scheme} ${call.side} ${s.down}&${s.distance} ${s.gain}`,
    ]),
  );
const LEFT = { ...CALL, side: 'left' as const, formation: 'LT LG C RG RT H left' };

describe('the log of a game', () => {
  it('adds snaps and changes others, with what men are asked then', async () => {
    expect(await write([anEntry(2, LEFT, { gain: 3 }), anEntry(5, CALL, { down: 2, distance: 6 })])).toMatchObject({
      written: true,
      added: [5],
      changed: [2],
    });
    expect(await log()).toEqual({ 1: 'power right 1&10 4', 2: 'power left 1&10 3', 5: 'power right 2&6 0' });
    const row = (await SnapRow.findOne({ where: { gameId: lanterns.gameId, number: 2 } }))!;
    expect(snapBody(row).resolution.side).toBe('left');
  });

  it('lets what followed follow again', async () => {
    await write([anEntry(1, CALL, { gain: 4 }), anEntry(2, CALL, { down: 2, distance: 6, gain: 1 })]);
    expect((await write([anEntry(1, CALL, { gain: 8 })])).changed).toEqual([1, 2]);
    expect(await log()).toMatchObject({ 1: 'power right 1&10 8', 2: 'power right 2&2 1' });
  });

  it('takes snaps out with what it writes, all or none', async () => {
    await write([anEntry(5), anEntry(6)]);
    expect(await write([anEntry(1, LEFT)], { without: [5, 6, 99] })).toMatchObject({ written: true, changed: [1] });
    expect(Object.keys(await log())).toEqual(['1', '2']);
    await markAs(lanterns.members.coach, lanterns.snaps[1]!, [{ blocker: 'LT', grade: ALL_PLUS }]);
    const before = await log();
    await expect(write([anEntry(1, CALL), anEntry(8)], { without: [2] })).rejects.toMatchObject({
      statusCode: 409,
      message: expect.stringMatching(/^Snap 2 has 1 grade: .* Nothing was changed\.$/),
    });
    expect(await log()).toEqual(before);
    // One that is taken out and written is a new one.
    expect(await write([anEntry(1, CALL, { gain: 2 })], { without: [1] })).toMatchObject({ added: [1], changed: [] });
    expect((await log())[1]).toBe('power right 1&10 2');
  });

  it('writes nothing on trial, and says the same', async () => {
    const before = await log();
    const trial = await write([anEntry(1, LEFT), anEntry(9)], { dryRun: true });
    expect(trial).toMatchObject({ written: false, added: [9], changed: [1] });
    expect(await log()).toEqual(before);
    expect(await write([anEntry(1, LEFT), anEntry(9)])).toEqual({ ...trial, written: true });
  });

  it('asks before graded men were asked something else, and then keeps their marks', async () => {
    await markAs(lanterns.members.coach, lanterns.snaps[1]!, [{ blocker: 'LT', grade: ALL_PLUS }]);
    const before = await log();
    expect(await write([anEntry(2, LEFT), anEntry(7)])).toMatchObject({
      written: false,
      affected: [{ number: 2, men: ['LT'] }],
    });
    expect(await log()).toEqual(before);
    expect((await write([anEntry(2, LEFT), anEntry(7)], { confirmed: true })).written).toBe(true);
    expect(await GradeRow.count({ where: { snapId: lanterns.snaps[1]! } })).toBe(1);
  });

  it('names every call that cannot be worked out, and writes none of them', async () => {
    const before = await log();
    const bad = [anEntry(3), anEntry(4, { scheme: 'flea-flicker' }), anEntry(5, { front: 'T 3 right; N 3 right' })];
    await expect(write(bad)).rejects.toMatchObject({
      statusCode: 400,
      message: expect.stringMatching(/snap 4: .*flea-flicker.*snap 5: .*one spot.*Nothing was changed/s),
    });
    await expect(write([anEntry(3), anEntry(3)])).rejects.toMatchObject({
      statusCode: 400,
      message: 'Snap 3 is said twice. Nothing was changed.',
    });
    expect(await log()).toEqual(before);
  });

  it('loses nothing when two write at once', async () => {
    await Promise.all(Array.from({ length: 10 }, (_, i) => write([anEntry(10 + i, CALL, { gain: i })])));
    expect(Object.keys(await log())).toHaveLength(12);
  });

  it('takes a snap out, but none that was graded', async () => {
    const [first, second] = lanterns.snaps as [number, number];
    await markAs(lanterns.members.coach, first, [{ blocker: 'LT', grade: ALL_PLUS }]);
    await expect(removeSnap(lanterns.members.coach, first)).rejects.toMatchObject({
      statusCode: 409,
      message: expect.stringContaining('has 1 grade'),
    });
    await removeSnap(lanterns.members.coach, second);
    expect(Object.keys(await log())).toEqual(['1']);
  });

  it('is not another program’s, and neither are its snaps', async () => {
    await expect(write([anEntry(1)], {}, terns)).rejects.toMatchObject({ statusCode: 404 });
    await expect(removeSnap(terns.members.coach, lanterns.snaps[0]!)).rejects.toMatchObject({ statusCode: 404 });
    expect(Object.keys(await log())).toHaveLength(2);
  });

  it('keeps a snap that does not count out of the book, with its marks', async () => {
    const [first] = lanterns.snaps as [number];
    await markAs(lanterns.members.coach, first, [{ blocker: 'LT', grade: ALL_PLUS }]);
    expect(await bookOf(lanterns.members.coach)).toHaveLength(1);
    const entry = anEntry(1, CALL, { gain: 4, hash: 'left' });
    await write([{ ...entry, logged: { ...entry.logged, notCounted: 'kneel' } }]);
    expect(await bookOf(lanterns.members.coach)).toEqual([]);
    expect(await GradeRow.count({ where: { snapId: first } })).toBe(1);
  });
});

describe('who was on the field', () => {
  const save = (revision: number, lineup: Parameters<typeof saveLineup>[2]['lineup'], confirmed = false) =>
    saveLineup(lanterns.members.assistant, lanterns.gameId, { revision, lineup, confirmed });
  const spare = () => PlayerRow.create({ programId: lanterns.programId, name: 'Spare', number: 66, seat: '' });

  it('decides whose a grade is', async () => {
    const { id } = await spare();
    expect((await save(0, substitute(NO_CHANGES, { from: 2, seat: 'LG', playerId: id }))).saved).toBe(true);
    for (const snap of lanterns.snaps) await markAs(lanterns.members.coach, snap, [{ blocker: 'LG', grade: ALL_PLUS }]);
    const marks = await bookOf(lanterns.members.coach);
    expect(marks.map((m) => m.man)).toEqual([expect.stringContaining('LG'), '66 Spare']);
    const { field } = await readSnap(lanterns.members.coach, lanterns.snaps[1]!);
    expect(field.find((m) => m.seat === 'LG')).toEqual({ seat: 'LG', name: 'Spare', number: 66 });
  });

  it('asks before grades become another man’s', async () => {
    const { id } = await spare();
    for (const snap of lanterns.snaps) await markAs(lanterns.members.coach, snap, [{ blocker: 'LG', grade: ALL_PLUS }]);
    const lineup = substitute(NO_CHANGES, { from: 2, seat: 'LG', playerId: id });
    const asked = { moved: [{ number: 2, blocker: 'LG' }] };
    expect(await save(0, lineup)).toMatchObject({ saved: false, revision: 0, ...asked });
    expect((await readLineup(lanterns.members.coach, lanterns.gameId)).lineup).toEqual(NO_CHANGES);
    expect(await save(0, lineup, true)).toMatchObject({ saved: true, revision: 1, ...asked });
    expect((await bookOf(lanterns.members.coach)).map((m) => m.man)[1]).toBe('66 Spare');
  });

  it('is written by one of two at once, and the other is told', async () => {
    const { id } = await spare();
    const outcomes = await Promise.allSettled(
      [1, 2, 3].map((from) => save(0, substitute(NO_CHANGES, { from, seat: 'LT', playerId: id }))),
    );
    expect(outcomes.filter((o) => o.status === 'fulfilled')).toHaveLength(1);
    for (const o of outcomes) if (o.status === 'rejected') expect(o.reason).toMatchObject({ statusCode: 409 });
    expect((await readLineup(lanterns.members.coach, lanterns.gameId)).revision).toBe(1);
  });

  it('names nobody of another roster, and is not another program’s', async () => {
    const other = (await PlayerRow.findOne({ where: { programId: terns.programId } }))!;
    await expect(save(0, substitute(NO_CHANGES, { from: 1, seat: 'LT', playerId: other.id }))).rejects.toMatchObject({
      statusCode: 400,
      message: expect.stringContaining('nobody on the roster'),
    });
    await expect(readLineup(terns.members.coach, lanterns.gameId)).rejects.toMatchObject({ statusCode: 404 });
    await expect(
      saveLineup(terns.members.coach, lanterns.gameId, { revision: 0, lineup: NO_CHANGES, confirmed: true }),
    ).rejects.toMatchObject({ statusCode: 404 });
  });

  it('shows a player himself and nobody else', async () => {
    await publishGame(lanterns.members.coach, lanterns.gameId, true);
    const seats = async (member = lanterns.members.coach): Promise<string[]> =>
      (await readSnap(member, lanterns.snaps[0]!)).field.map((m) => m.seat);
    expect(await seats(lanterns.members.player)).toEqual(['C']);
    expect((await seats()).length).toBeGreaterThan(4);
  });
});

describe('cuts', () => {
  it('are kept by name, once, for the program alone', async () => {
    const cut = { play: ['power'], quarter: ['3'] };
    const kept = await keepCut(lanterns.members.assistant, 'Power, third quarter', cut);
    expect(await listCuts(lanterns.members.coach)).toEqual([{ id: kept.id, name: 'Power, third quarter', cut }]);
    await expect(keepCut(lanterns.members.coach, 'Power, third quarter', {})).rejects.toMatchObject({
      statusCode: 409,
      message: expect.stringContaining('already'),
    });
    await keepCut(terns.members.coach, 'Power, third quarter', cut);
    await expect(removeCut(terns.members.coach, kept.id)).rejects.toMatchObject({ statusCode: 404 });
    await removeCut(lanterns.members.coach, kept.id);
    expect(await listCuts(lanterns.members.coach)).toEqual([]);
    expect(await CutRow.count({ where: { programId: terns.programId } })).toBe(1);
  });
});

describe('notes on film', () => {
  const NOTE = {
    frame: 10,
    until: 20,
    text: 'Hips past the heel',
    shapes: [
      {
        kind: 'arrow' as const,
        at: [
          { x: 0.2, y: 0.3 },
          { x: 0.5, y: 0.5 },
        ],
      },
    ],
    players: false,
  };
  const clipOf = async (): Promise<number> => {
    const body = { framesPerSecond: 30, frames: 100, snapFrame: 24, contactFrame: 40, whistleFrame: 90 };
    const { programId, snaps } = lanterns;
    const made = await ClipRow.create({ programId, snapId: snaps[0]!, angle: 'end zone', file: 'x.webm', body });
    return made.id;
  };
  const seen = async (member = lanterns.members.coach): Promise<string[]> =>
    (await readSnap(member, lanterns.snaps[0]!)).notes.map((n) => n.text);

  it('are seen by the staff, and by players only where they are meant for them', async () => {
    const clip = await clipOf();
    await publishGame(lanterns.members.coach, lanterns.gameId, true);
    const own = await addNote(lanterns.members.assistant, clip, NOTE);
    await addNote(lanterns.members.coach, clip, { ...NOTE, text: 'For all', players: true });
    expect(await seen()).toEqual(['Hips past the heel', 'For all']);
    expect(await seen(lanterns.members.player)).toEqual(['For all']);
    expect((await readSnap(lanterns.members.coach, lanterns.snaps[0]!)).notes[0]).toMatchObject({ ...NOTE, ...own });
    await removeNote(lanterns.members.coach, own.id);
    expect(await seen()).toEqual(['For all']);
  });

  it('are changed by one of two at once, and the other is told', async () => {
    const { id } = await addNote(lanterns.members.coach, await clipOf(), NOTE);
    const outcomes = await Promise.allSettled(
      ['a', 'b', 'c'].map((text) => changeNote(lanterns.members.coach, id, 1, { ...NOTE, text })),
    );
    expect(outcomes.filter((o) => o.status === 'fulfilled')).toHaveLength(1);
    for (const o of outcomes) if (o.status === 'rejected') expect(o.reason).toMatchObject({ statusCode: 409 });
    expect((await FilmNoteRow.findByPk(id))!.revision).toBe(2);
  });

  it('stay within their clip and their program', async () => {
    const clip = await clipOf();
    await expect(addNote(lanterns.members.coach, clip, { ...NOTE, until: 100 })).rejects.toMatchObject({
      statusCode: 400,
      message: 'until: this clip has no frame 100. Nothing was changed.',
    });
    const { id } = await addNote(lanterns.members.coach, clip, NOTE);
    for (const way of [
      () => addNote(terns.members.coach, clip, NOTE),
      () => changeNote(terns.members.coach, id, 1, NOTE),
      () => removeNote(terns.members.coach, id),
    ])
      await expect(way()).rejects.toMatchObject({ statusCode: 404 });
    expect(await seen()).toEqual(['Hips past the heel']);
    await GameRow.destroy({ where: { id: lanterns.gameId } });
    expect(await FilmNoteRow.count({ where: { id } })).toBe(0);
  });
});
