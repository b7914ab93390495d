import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { DIMENSION_IDS, SNAP_DIMENSIONS, type BookFilter, type Dimension } from '#core/grade/book/dimensions';
import type { BookLine } from '#core/grade/book/lines';
import { SPREAD_PARTS, spreadOf, type Spread } from '#core/grade/book/spread';
import { MEASURE_IDS, type Measure } from '#core/grade/book/measures';
import { PLAY_COUNT_IDS } from '#core/grade/book/play-result';
import { NOTHING_FOUND } from '#core/model/finding';
import { MISS_WEIGHTS } from '#core/grade/book/weigh';
import { ALL_PLUS, type Consequence } from '#core/model/grade';
import { PLAYED_GAMES } from '#demo/season';
import { bringUpBooks } from '../../server/book/keep';
import { BookSnapRow, ClipRow, GameRow, GradeRow, PlayerRow, ProgramRow } from '../../server/db/models';
import { readFinding, writeFinding } from '../../server/usecases/findings';
import { findMember, type Member } from '../../server/session/member';
import { readBook, readChoices, readSnapsBehind } from '../../server/usecases/book';
import { readPlayResults, readPlaysBehind } from '../../server/usecases/book-plays';
import { listSnaps } from '../../server/usecases/film';
import { loadDemo } from '../../server/usecases/load-demo';
import { changeProgram } from '../../server/usecases/program';
import { freshDatabase, makeProgram } from './fresh-database';
import { bookRows, forgetBook, wholeBook, type BookRow } from './book-rows';
import { markAs } from './marking';
import { SHIPPED_SETTINGS } from '#core/model/settings';

let db: Awaited<ReturnType<typeof freshDatabase>>;
let coach: Member;
let player: Member;
let rows: BookRow[];
let opponents: Map<number, string>;
let gains: Map<number, number>;
beforeAll(async () => {
  db = await freshDatabase();
  await loadDemo({ enterable: true });
  const { id } = (await ProgramRow.findOne())!;
  coach = (await findMember(1, id))!;
  player = (await findMember(3, id))!;
  rows = await bookRows(id);
  gains = new Map((await BookSnapRow.findAll()).map((s) => [s.snapId, s.gain]));
  opponents = new Map((await GameRow.findAll()).map((g) => [g.id, g.opponent]));
});
afterAll(() => db.drop());

/** The values a row stands under, reckoned here. */
const VALUES: Record<Dimension, (row: BookRow) => unknown[]> = {
  man: (r) => [r.playerId],
  place: (r) => [r.blocker],
  unit: (r) => [r.unit],
  pair: (r) => [r.pair],
  play: (r) => [`${r.scheme} ${r.side}`],
  block: (r) => [r.block],
  help: (r) => [r.help],
  phase: (r) => [...r.phasesDone, ...r.phasesNot],
  fault: (r) => r.faults as string[],
  fact: (r) => r.facts as string[],
  consequence: (r) => [r.consequence],
  foe: (r) => [r.target === null ? null : `${r.target as string} of ${opponents.get(r.gameId)}`],
  front: (r) => [r.front],
  formation: (r) => [r.formation],
  side: (r) => [r.side],
  down: (r) => [r.down],
  distance: (r) => [r.distance],
  quarter: (r) => [r.quarter],
  zone: (r) => [r.zone],
  gained: (r) => [r.gained],
  yard: (r) => [Math.max(-5, Math.min(20, gains.get(r.snapId)!))],
  opponent: (r) => [opponents.get(r.gameId)],
  game: (r) => [r.gameId],
  season: (r) => [r.seasonId],
  earned: (r) => [spreadOf(r.earned, r.possible)],
  rubric: (r) => [r.rubric],
};
const valuesOf = (by: Dimension, row: BookRow): string[] =>
  VALUES[by](row)
    .filter((v) => v !== null && v !== undefined)
    .map(String);
const isIn = (filter: BookFilter, row: BookRow): boolean =>
  Object.entries(filter).every(([key, wanted]) => valuesOf(key as Dimension, row).some((v) => wanted!.includes(v)));

const COLUMN: Partial<Record<Measure, string>> = {
  assignment: 'assignment',
  technique: 'technique',
  both: 'bothKept',
  finish: 'finish',
  outcome: 'outcome',
  film: 'film',
};
/** What was done as asked counts once, whatever came of the play. */
const weightOf = ({ earned, possible, consequence }: BookRow): number =>
  consequence === null || spreadOf(earned, possible) === 'all' ? 1 : MISS_WEIGHTS[consequence as Consequence];
function countOf(measure: Measure, of: readonly BookRow[]): { good: number; of: number; unknown: number } {
  if (measure === 'score') {
    const scored = of.filter((r) => r.possible > 0);
    const sum = (part: 'earned' | 'possible'): number =>
      expect.closeTo(
        scored.reduce((s, r) => s + r[part], 0),
        3,
      ) as number;
    return { good: sum('earned'), of: sum('possible'), unknown: of.length - scored.length };
  }
  if (measure === 'weighed') {
    const sum = (part: 'earned' | 'possible'): number =>
      expect.closeTo(
        of.reduce((s, r) => s + r[part] * weightOf(r), 0),
        3,
      ) as number;
    return { good: sum('earned'), of: sum('possible'), unknown: of.filter((r) => r.possible <= 0).length };
  }
  const told = of.map((r) => r[COLUMN[measure]!]).filter((v) => v !== null);
  return { good: told.filter(Boolean).length, of: told.length, unknown: of.length - told.length };
}
const lineOf = (key: string, of: readonly BookRow[]): Partial<BookLine> => ({
  key,
  marks: of.length,
  counts: Object.fromEntries(MEASURE_IDS.map((m) => [m, countOf(m, of)])) as BookLine['counts'],
  spread: Object.fromEntries(
    SPREAD_PARTS.map((part) => [part, of.filter((r) => spreadOf(r.earned, r.possible) === part).length]),
  ) as Spread,
});

describe('the book', () => {
  it.each(DIMENSION_IDS)(
    'by %s says what a reckoning by hand says, every grade in its lines and in its sum',
    async (by) => {
      const { lines, total, more } = await readBook(coach, by, {});
      const keys = [...new Set(rows.flatMap((r) => valuesOf(by, r)))];
      expect(lines.map((l) => l.key).sort()).toEqual(keys.sort());
      expect(more).toBe(0);
      for (const line of lines) {
        const own = rows.filter((r) => valuesOf(by, r).includes(line.key));
        const reckoned = lineOf(line.key, own);
        if (by === 'phase') {
          const done = own.filter((r) => r.phasesDone.includes(line.key)).length;
          reckoned.counts!.technique = { good: done, of: own.length, unknown: 0 };
        }
        expect(line).toMatchObject(reckoned);
      }
      expect(total).toMatchObject({ marks: rows.length, counts: lineOf('all', rows).counts });
      if (by === 'man') expect(total.spread).toEqual(lineOf('all', rows).spread);
    },
  );

  it.each([
    [{ front: ['Over'] }],
    [{ block: ['double', 'climb'], down: ['1', '2'] }],
    [{ fault: ['wrong-man'] }],
    [{ opponent: ['Quillport Terns'], unit: ['guards'] }],
    [{ play: ['power right'], distance: ['long'] }],
    [{ phase: ['drive'] }],
    [{ fact: ['knockdown', 'sack'] }],
    [{ pair: ['C and LG'], zone: ['our half'] }],
    [{ yard: ['-5', '4', '20'] }],
    [{ yard: ['4; drop table grades'] }],
    [{ foe: ['RE of Quillport Terns', 'N of Graymoor Millers'] }],
    [{ consequence: ['fatal', 'costly'], unit: ['guards'] }],
    [{ earned: ['more', 'less'], down: ['1'] }],
    [{ place: ["'; drop table grades; --"] }],
  ] as BookFilter[][])('narrowed to %o holds those rows and no others, also behind its numbers', async (filter) => {
    const wanted = rows.filter((r) => isIn(filter!, r));
    const { total } = await readBook(coach, 'block', filter!);
    expect(total.marks).toBe(wanted.length);
    const behind = await readSnapsBehind(coach, filter!, 'both', { skip: 0, take: 200 });
    expect(behind.total).toBe(wanted.length);
    expect(behind.snaps).toHaveLength(Math.min(200, wanted.length));
  });

  it('opens every number to its very snaps, page by page, the misses first', async () => {
    const { lines } = await readBook(coach, 'place', {});
    const line = lines.find((l) => l.key === 'RT')!;
    const pages = [];
    for (let skip = 0; skip < line.marks; skip += 50)
      pages.push(...(await readSnapsBehind(coach, { place: ['RT'] }, 'technique', { skip, take: 50 })).snaps);
    expect(new Set(pages.map((s) => s.snapId)).size).toBe(line.marks);
    const kinds = pages.map((s) => s.grade.technique);
    expect(kinds.filter((k) => k === 'plus')).toHaveLength(line.counts.technique.good);
    expect(kinds.findIndex((k) => k === 'plus')).toBeGreaterThan(kinds.lastIndexOf('minus'));
    for (const s of pages.filter((p) => p.gameId !== pages[0]!.gameId)) expect(s.man).toMatch(/^\d+ /);
  });

  it('gives only snaps on film when those are asked for', async () => {
    const { programId } = coach;
    const all = await readSnapsBehind(coach, {}, 'both', { skip: 0, take: 200 });
    const snapId = all.snaps.at(-1)!.snapId;
    const body = { framesPerSecond: 30, frames: 90, snapFrame: 30, contactFrame: 40, whistleFrame: 80 };
    const made = await ClipRow.create({ programId, snapId, angle: 'sideline', file: 'x.webm', body });
    const filmed = new Set((await ClipRow.findAll({ where: { programId } })).map((c) => c.snapId));
    const found = await readSnapsBehind(coach, {}, 'both', { skip: 0, take: 200 }, true);
    await made.destroy();
    expect(found.snaps.map((s) => s.snapId)).toContain(snapId);
    expect(found.snaps.filter((s) => !filmed.has(s.snapId))).toEqual([]);
    expect(found.total).toBe(rows.filter((r) => filmed.has(r.snapId as number)).length);
    expect(found.total).toBeLessThan(all.total);
  });

  it('counts faults beside every line, the most frequent first', async () => {
    const { lines } = await readBook(coach, 'place', {});
    for (const { key, faults } of lines) {
      const own = rows.filter((r) => r.blocker === key).flatMap((r) => r.faults as string[]);
      for (const { fault, count } of faults) expect(count).toBe(own.filter((f) => f === fault).length);
      expect(faults.reduce((sum, f) => sum + f.count, 0)).toBe(own.length);
      expect(faults.map((f) => f.count)).toEqual(faults.map((f) => f.count).sort((a, b) => b - a));
    }
  });

  it('offers what a filter can be set to, beside everything else that is set', async () => {
    const filter: BookFilter = { block: ['double'], front: ['Over'] };
    const choices = await readChoices(coach, ['block', 'man'], filter);
    const over = rows.filter((r) => isIn({ front: ['Over'] }, r));
    expect(choices.block!.map((c) => c.key).sort()).toEqual([...new Set(over.map((r) => String(r.block)))].sort());
    for (const { key, label, marks } of choices.man!) {
      expect(marks).toBe(rows.filter((r) => isIn({ ...filter, man: [key] }, r)).length);
      expect(label).toMatch(/^\d+ \w+/);
    }
  });

  it('says what plays came to, and that adds up', async () => {
    const snaps = (await BookSnapRow.findAll()).map((r) => r.get() as Record<string, unknown>);
    for (const by of SNAP_DIMENSIONS) {
      const { lines, total, gains } = await readPlayResults(coach, by, {});
      expect(gains.reduce((sum, g) => sum + g.blocked + g.missed + g.untold, 0)).toBe(snaps.length);
      expect(gains.reduce((sum, g) => sum + g.missed, 0)).toBe(snaps.filter((s) => s.blocked === false).length);
      expect(lines.reduce((sum, l) => sum + l.counts.snaps, 0)).toBe(
        by === 'zone' ? snaps.filter((s) => s.zone !== null).length : snaps.length,
      );
      expect(total.counts.successes).toBe(lines.reduce((sum, l) => sum + l.counts.successes, 0));
      for (const { counts } of lines)
        expect(counts.blockedFailed + counts.missedWorked).toBeLessThanOrEqual(counts.graded);
    }
    const { total } = await readPlayResults(coach, 'play', { opponent: ['Saltmarsh Union'] });
    const own = snaps.filter((s) => opponents.get(s.gameId as number) === 'Saltmarsh Union');
    expect([total.counts.snaps, total.yards]).toEqual([own.length, own.reduce((sum, s) => sum + Number(s.gain), 0)]);
    const touched = own.flatMap((s) => (s.beforeContact === null ? [] : [Number(s.beforeContact)]));
    expect(touched.length).toBeGreaterThan(0);
    expect([total.counts.touched, total.beforeContact]).toEqual([touched.length, touched.reduce((a, b) => a + b, 0)]);
    await expect(readPlayResults(coach, 'fault', {})).rejects.toMatchObject({ statusCode: 400 });
  });
});

describe('the plays behind a figure', () => {
  it('are as many as the figure says, each with what speaks for it', async () => {
    const { lines } = await readPlayResults(coach, 'play', {});
    for (const { key, counts } of lines)
      for (const count of PLAY_COUNT_IDS) {
        const { plays, total } = await readPlaysBehind(coach, { play: [key] }, count, { skip: 0, take: 200 });
        expect([count, plays.length, total]).toEqual([count, counts[count], counts[count]]);
        expect(new Set(plays.map((p) => p.snapId)).size).toBe(plays.length);
        if (count === 'blockedFailed') expect(plays.every((p) => p.blocked && p.missed.length === 0)).toBe(true);
        if (count === 'missedWorked') expect(plays.every((p) => p.missed.length > 0)).toBe(true);
        if (count === 'stuffed') expect(plays.every((p) => p.gain <= 0)).toBe(true);
      }
  });

  it('come a page at a time, the shortest gains first, and say where a failure began once somebody worked it out', async () => {
    const all = await readPlaysBehind(coach, {}, 'snaps', { skip: 0, take: 200 });
    const second = await readPlaysBehind(coach, {}, 'snaps', { skip: 5, take: 5 });
    expect(second.plays).toEqual(all.plays.slice(5, 10));
    expect(all.plays.map((p) => p.gain)).toEqual(all.plays.map((p) => p.gain).sort((a, b) => a - b));
    const { snapId } = all.plays[0]!;
    const chain = [{ man: 'RG', says: 'left the double late' }];
    const finding = { ...NOTHING_FOUND, cause: { chain, root: 'RG', verdict: null, note: '' } };
    const { revision } = await readFinding(coach, snapId);
    await writeFinding(coach, snapId, { revision, finding });
    const [told] = (await readPlaysBehind(coach, {}, 'snaps', { skip: 0, take: 1 })).plays;
    expect(told!.cause).toEqual(['RG: left the double late']);
  });
});

describe('a player’s book', () => {
  it('holds his own marks of published games and nobody else’s, whatever he asks for', async () => {
    const { total } = await readBook(player, 'man', {});
    const own = rows.filter((r) => r.playerId === player.playerId);
    expect(total.marks).toBe(own.length);
    const other = (await PlayerRow.findOne({ where: { number: 61 } }))!;
    expect((await readBook(player, 'block', { man: [String(other.id)] })).total.marks).toBe(0);
    const game = (await GameRow.findOne({ where: { opponent: 'Graymoor Millers' } }))!;
    await game.update({ published: false });
    expect((await readBook(player, 'game', {})).lines.map((l) => l.key)).not.toContain(String(game.id));
    await game.update({ published: true });
  });

  it('of one who is nobody on the roster is empty', async () => {
    expect((await readBook({ ...player, playerId: null }, 'block', {})).total.marks).toBe(0);
  });
});

describe('what a filter’s ids are called', () => {
  it('is told with the page, and a player is told nobody’s name but his own', async () => {
    const other = (await PlayerRow.findOne({ where: { number: 61 } }))!;
    const [gameId] = [...opponents.keys()];
    const filter = { man: [String(other.id), String(player.playerId), 'x', '999999999'], game: [String(gameId)] };
    expect((await readBook(coach, 'block', filter)).names).toEqual({
      [`man ${other.id}`]: '61 Anselm Rook',
      [`man ${player.playerId}`]: '55 Jory Pell',
      [`game ${gameId}`]: expect.stringMatching(/^Week \d, /),
    });
    expect((await readBook(player, 'block', { man: filter.man })).names).toEqual({
      [`man ${player.playerId}`]: '55 Jory Pell',
    });
  });
});

describe('what the book counts', () => {
  it('is the same when it is all made anew', async () => {
    const before = await wholeBook(coach.programId);
    await forgetBook(db.sequelize, coach.programId);
    await bringUpBooks();
    const after = await wholeBook(coach.programId);
    expect(after).toEqual(before);
  });

  it('is another program’s own', async () => {
    const terns = await makeProgram('Terns');
    await markAs(terns.members.coach, terns.snaps[0]!, [{ blocker: 'LT', grade: ALL_PLUS }]);
    expect((await readBook(terns.members.coach, 'block', {})).total.marks).toBe(1);
    expect((await readBook(coach, 'block', {})).total.marks).toBe(rows.length);
    const [gameId] = [...opponents.keys()];
    expect((await readBook(terns.members.coach, 'block', { game: [String(gameId)] })).total.marks).toBe(0);
  });

  it('follows the coach’s standard for a success', async () => {
    const successes = async (): Promise<number> => (await readPlayResults(coach, 'play', {})).total.counts.successes;
    const before = await successes();
    await changeProgram(coach, { settings: { ...SHIPPED_SETTINGS, standardYards: 9 } });
    expect(await successes()).toBeLessThan(before);
    await changeProgram(coach, { settings: SHIPPED_SETTINGS });
    expect(await successes()).toBe(before);
  });
});

describe('the demo’s season', () => {
  it('is as messy as one: missing marks, two graders, a changed rubric, substitutes with few snaps', async () => {
    const { lines } = await readBook(coach, 'rubric', {});
    expect(lines.length).toBeGreaterThan(1);
    for (const { opponent, twice } of PLAYED_GAMES) {
      const game = (await GameRow.findOne({ where: { opponent } }))!;
      const snaps = await listSnaps(coach, game.id);
      const missing = snaps.filter((s) => !s.logged.notCounted && s.graded.length < s.asked.length);
      expect(missing.length, opponent).toBeGreaterThan(0);
      const ids = snaps.map((s) => s.id);
      expect((await GradeRow.count({ where: { snapId: ids, sheet: 2 } })) > 100, opponent).toBe(twice);
    }
    const men = (await readBook(coach, 'man', {})).lines;
    expect(Math.max(...men.map((m) => m.marks)) / Math.min(...men.map((m) => m.marks))).toBeGreaterThan(5);
    const share = (await readBook(coach, 'block', {})).total.counts.both;
    expect(share.good / share.of).toBeGreaterThan(0.7);
    expect(share.good / share.of).toBeLessThan(0.92);
  });
});
