import { QueryTypes, type Sequelize } from 'sequelize';
import { tidyBooks } from '../server/book/keep';
import { bringToMind } from '../server/book/packed';
import { readPlayRows } from '../server/book/read-plays';
import { closeDatabase, database, openDatabase } from '../server/db/database';
import { SnapRow } from '../server/db/models';
import { loadDemo } from '../server/usecases/load-demo';
import { readBook, readChoices, readSnapsBehind } from '../server/usecases/book';
import { readPlayResults } from '../server/usecases/book-plays';
import { readSnap } from '../server/usecases/film';
import { writeGrades } from '../server/usecases/grades';
import { findMember, type Member } from '../server/session/member';
import { ALL_PLUS } from '#core/model/grade';
import { DIMENSION_IDS, SNAP_DIMENSIONS, type BookFilter, type Dimension } from '#core/grade/book/dimensions';
import { PLAY_COUNT_IDS } from '#core/grade/book/play-result';

/*
 * The Book over 400,000 grades, in a database of its own on the server that BENCH_DATABASE_URL names: every way of counting beside a query
 * written by hand for the same numbers, and saving a snap's grades beside the bare transaction. Rates are of one run.
 */
const GRADES = 400_000;
const A_SNAP = 7;
const A_GAME = 65;
const A_SEASON = 11;
const ROUNDS = 11;

const server = process.env.BENCH_DATABASE_URL;
const median = (all: number[]): number => all.sort((a, b) => a - b)[Math.floor(all.length / 2)]!;
/** The medians of what is timed, in turns. */
async function timeAll(all: (() => Promise<unknown>)[], rounds = ROUNDS): Promise<number[]> {
  const times = all.map((): number[] => []);
  for (const what of all) await what();
  for (let i = 0; i < rounds; i++)
    for (const [j, what] of all.entries()) {
      const start = performance.now();
      await what();
      times[j]!.push(performance.now() - start);
    }
  return times.map(median);
}
const time = async (what: () => Promise<unknown>, rounds = ROUNDS): Promise<number> =>
  (await timeAll([what], rounds))[0]!;

/** The slowest of several, in words. */
async function slowestOf<T>(all: readonly T[], what: (one: T) => Promise<unknown>, rounds = ROUNDS): Promise<string> {
  let slowest = { one: '', ms: 0 };
  for (const one of all) {
    const ms = await time(() => what(one), rounds);
    if (ms > slowest.ms) slowest = { one: String(one), ms };
  }
  return `by ${slowest.one}, ${slowest.ms.toFixed(0)} ms`;
}
const PAGE = { skip: 0, take: 50 };

/** How long a page takes that is the first on its connections, milliseconds: the median of some. */
async function firstPage(
  url: string,
  page: () => Promise<unknown>,
  before?: (db: Sequelize) => Promise<unknown>,
): Promise<string> {
  const times: number[] = [];
  for (let i = 0; i < ROUNDS; i++) {
    await closeDatabase();
    const db = await openDatabase(url);
    await before?.(db);
    const begun = performance.now();
    await page();
    times.push(performance.now() - begun);
  }
  return median(times).toFixed(0);
}

/** Every two dimensions a page can be narrowed by, of each half of the values it has, as many as fit. */
async function narrowedByTwo(coach: Member): Promise<Record<string, BookFilter>> {
  const values: BookFilter = {};
  for (const [by, all] of Object.entries(await readChoices(coach, DIMENSION_IDS, {})))
    if (all.length) values[by as Dimension] = all.slice(0, Math.min(20, Math.ceil(all.length / 2))).map((c) => c.key);
  const there = Object.keys(values) as Dimension[];
  const pairs = there.flatMap((one, i) => there.slice(i + 1).map((other) => [one, other] as const));
  return Object.fromEntries(
    pairs.map(([one, other]) => [`${one} and ${other}`, { [one]: values[one], [other]: values[other] }]),
  );
}

async function main(url: string): Promise<void> {
  const admin = await openDatabase(url);
  await admin.query('drop database if exists chalk_bench with (force)');
  await admin.query('create database chalk_bench');
  await closeDatabase();
  const benched = url.replace(/\/[^/]*$/, '/chalk_bench');
  const db = await openDatabase(benched);
  await loadDemo({ enterable: true });
  await seed(db);
  const coach = (await findMember(1, 1))!;
  const [{ count }] = (await db.query('select count(*)::int as count from book_marks', {
    type: QueryTypes.SELECT,
  })) as [{ count: number }];
  console.log(`${count} grades in the Book`);
  await tidyBooks();
  const season = { season: ['1'] };
  for (const [name, filter] of [
    ['one season', season],
    ['all seasons', {}],
  ] as const) {
    const slowest = await slowestOf(DIMENSION_IDS, (by) => readBook(coach, by, filter));
    console.log(`${name}: slowest way of counting ${slowest} (goal 100)`);
    const narrowed = { ...filter, help: ['alone'], down: ['1', '2'] };
    console.log(`${name}, narrowed: by man ${(await time(() => readBook(coach, 'man', narrowed))).toFixed(0)} ms`);
    const pairs = await narrowedByTwo(coach);
    const pair = await slowestOf(Object.keys(pairs), (by) => readBook(coach, 'man', { ...filter, ...pairs[by] }), 3);
    console.log(`${name}, narrowed by two of everything: slowest ${pair} (goal 100)`);
    const where = name === 'one season' ? 'program_id = 1 and season_id = 1' : 'program_id = 1';
    const byHand = (): Promise<unknown> =>
      db.query(
        `select player_id, count(*), count(*) filter (where assignment), count(assignment), count(*) filter (where technique), count(technique),
           count(*) filter (where both_kept), count(both_kept), count(*) filter (where finish), count(finish), count(*) filter (where outcome), count(outcome),
           count(*) filter (where film), count(film), sum(earned), sum(possible) from book_grades where ${where} group by 1;
         select player_id, f, count(*) from book_grades, unnest(faults) f where ${where} group by 1, 2`,
      );
    const [own, hand] = (await timeAll([() => readBook(coach, 'man', filter), byHand])) as [number, number];
    console.log(
      `${name}: by man ${own.toFixed(1)} ms, by hand ${hand.toFixed(1)} ms, ratio ${(own / hand).toFixed(2)} (goal 1.5)`,
    );
    const behind = await time(() => readSnapsBehind(coach, { ...filter, block: ['double'] }, 'both', PAGE));
    const filmed = await time(() => readSnapsBehind(coach, { ...filter, block: ['double'] }, 'both', PAGE, true));
    const choices = await time(() => readChoices(coach, ['block'], filter));
    console.log(
      `${name}: snaps behind a number ${behind.toFixed(0)} ms, on film ${filmed.toFixed(0)} ms, choices ${choices.toFixed(0)} ms`,
    );
    const plays = await slowestOf(SNAP_DIMENSIONS, (by) => readPlayResults(coach, by, filter));
    const narrowedPlays = await slowestOf(SNAP_DIMENSIONS, (by) =>
      readPlayResults(coach, by, { ...filter, down: ['1'] }),
    );
    // The seeded snaps have no bodies to show: what is timed is finding them.
    const playsBehind = await slowestOf(PLAY_COUNT_IDS, (count) => readPlayRows(db, 1, filter, count, PAGE));
    console.log(`${name}: plays ${plays}; narrowed ${narrowedPlays}; plays behind a figure ${playsBehind} (goal 100)`);
  }
  const first = {
    narrowed: () => readBook(coach, 'man', { help: ['alone'], down: ['1', '2'] }),
    behind: () => readSnapsBehind(coach, { block: ['double'] }, 'both', PAGE),
  };
  for (const [name, page] of Object.entries(first)) {
    const unknown = await firstPage(benched, page);
    const known = await firstPage(benched, page, bringToMind);
    console.log(
      `all seasons, the first page after a start, ${name}: ${unknown} ms with nothing in mind yet, ${known} ms with what the server brings to mind (goal 100)`,
    );
  }
  await saving(await database(), coach);
  console.log(`memory ${Math.round(process.memoryUsage().rss / 1e6)} MB`);
  await closeDatabase();
}

/** What is seeded of a mark: what it says, and whose it is. */
const SAID =
  'rubric, assignment, technique, finish, both_kept, outcome, film, earned, possible, faults, facts, consequence, phases_done, phases_not';
const WHOSE = 'grade_id, season_id, game_id, snap_id, number, player_id, quarter, down';
const WORDS = 'blocker, unit, pair, scheme, side, front, formation, block, target, help, distance, zone, gained';
const WORD_COLUMNS = [...WORDS.split(', '), 'play'];
const wordJoins = WORD_COLUMNS.map(
  (column) => `left join book_words w_${column} on w_${column}.program_id = 1 and w_${column}.word = m.${column}`,
);
const listed = (columns: string, alias: string): string => columns.replaceAll(/\w+/g, (column) => `${alias}.${column}`);

/** Copies the demo's graded snaps until there are so many grades, a season every eleven games. */
async function seed(db: Awaited<ReturnType<typeof openDatabase>>): Promise<void> {
  const snaps = Math.ceil(GRADES / A_SNAP);
  await db.query(`
    insert into seasons (program_id, name) select 1, 'Season ' || n from generate_series(1, ${Math.ceil(snaps / A_GAME / A_SEASON)}) n;
    insert into games (program_id, season_id, opponent, week) select 1, 1 + n / ${A_SEASON}, 'Opponent ' || n % 9, 1 + n % ${A_SEASON}
      from generate_series(0, ${Math.ceil(snaps / A_GAME) - 1}) n;
    create temporary table new_snaps as
      with g as (select id, season_id, row_number() over (order by id) - 1 as i from games where opponent like 'Opponent %')
      select g.id as game_id, g.season_id, n as number, g.i * ${A_GAME} + n as at from g, generate_series(1, ${A_GAME}) n;
    insert into snaps (program_id, game_id, number, body) select 1, game_id, number, '{}' from new_snaps;
    insert into grades (program_id, snap_id, blocker, player_id, body, user_id, asked)
      select 1, s.id, seat, 1 + (s.id + ord) % 12, '{"assignment":"right","technique":"plus","note":"","faults":[]}', 1,
        '{"block":"double","target":"T","next":"M","partners":[],"role":"inner","schools":[]}'
      from snaps s, unnest(array['LT','LG','C','RG','RT','Y','H']) with ordinality as m(seat, ord) where s.body = '{}';
    create temporary table new_marks as select g.id as grade_id, n.season_id, s.game_id, s.id as snap_id, s.number, g.player_id, g.blocker,
        case when g.blocker in ('LT','RT') then 'tackles' when g.blocker in ('LG','RG') then 'guards' else 'centre' end as unit,
        case when g.id % 3 = 0 then 'C and LG' end as pair, (array['power','duo','inside-zone-z1','counter-gt','outside-zone'])[1 + g.id % 5] as scheme,
        (array['left','right'])[1 + s.id % 2] as side, (array['Over','Under','Odd','Tite','Bear'])[1 + s.id % 5] as front, 'H right' as formation,
        (array['double','drive','reach','climb','help','pull-lead','man','back'])[1 + g.id % 8] as block,
        (array['T','N','E','M','W'])[1 + g.id % 5] as target, (array['alone','helped'])[1 + g.id % 2] as help,
        1 + s.number / 17 as quarter, 1 + s.id % 4 as down, (array['short','middle','long'])[1 + s.id % 3] as distance, 'our half' as zone,
        'gained' as gained, 'assignment-technique@1' as rubric,
        g.id % 30 <> 0 as assignment, g.id % 6 <> 0 as technique, null::boolean as finish, g.id % 30 <> 0 and g.id % 6 <> 0 as both_kept,
        case when g.id % 3 = 0 then g.id % 2 = 0 end as outcome, case when g.id % 11 = 0 then g.id % 4 <> 0 end as film,
        (g.id % 3)::float8 / 2 as earned, 1::float8 as possible,
        case when g.id % 6 = 0 then array[(array['high-pads','late-hands','false-step','lost-leverage'])[1 + g.id % 4]] else '{}'::text[] end as faults,
        case when g.id % 40 = 0 then array['knockdown'] else '{}'::text[] end as facts, case when g.id % 30 = 0 then 'costly' end as consequence,
        case when g.id % 6 <> 0 then array['stance','first-step','strike','drive'] else array['stance','first-step'] end as phases_done,
        case when g.id % 6 = 0 then array['strike','drive'] else '{}'::text[] end as phases_not
      from grades g join snaps s on s.id = g.snap_id join new_snaps n on n.game_id = s.game_id and n.number = s.number where s.body = '{}';
    alter table new_marks add column play text;
    update new_marks set play = scheme || ' ' || side;
    insert into book_kinds (program_id, ${SAID}) select distinct 1, ${SAID} from new_marks on conflict do nothing;
    insert into book_words (program_id, word) select distinct 1, w from new_marks cross join lateral
      (select unnest(array[${WORDS}, play]) as w) words where w is not null on conflict do nothing;
    analyze book_words;
    insert into book_marks (program_id, ${WHOSE}, ${WORDS}, play, kind) select 1, ${listed(WHOSE, 'm')},
      ${WORD_COLUMNS.map((column) => `w_${column}.id`).join(', ')}, k.id
      from new_marks m ${wordJoins.join(' ')} join book_kinds k on k.program_id = 1 and row(${listed(SAID, 'm')}) is not distinct from row(${listed(SAID, 'k')});
    insert into book_snaps select s.id, 1, n.season_id, s.game_id, s.number, (array['power','duo','inside-zone-z1'])[1 + s.id % 3], 'right', 'Over', 'H right',
        1, 1, 'long', 'our half', 'gained', s.id % 9, 'went on', s.id % 4 = 0, s.id % 2 = 0, false, false, s.id % 3 <> 0, false
      from snaps s join new_snaps n on n.game_id = s.game_id and n.number = s.number where s.body = '{}';
    truncate book_due;
    analyze;
  `);
  await db.query('vacuum analyze book_marks');
}

/** Marks as they are sent, for as many men as are marked. */
const marksBare = (round: number) =>
  ['LT', 'LG', 'C', 'RG', 'RT', 'Y', 'H'].map((blocker) => ({ blocker, body: { ...ALL_PLUS, note: `bare ${round}` } }));

/**
 * Saving all marks of a snap beside the same marks written bare in one transaction: held, written, what they were written down. In turns, each
 * after the snap was read, as a grader reads it.
 */
async function saving(db: Awaited<ReturnType<typeof openDatabase>>, coach: Member): Promise<void> {
  const rows = await SnapRow.findAll({ where: { gameId: 2 }, limit: SAVED, order: [['number', 'DESC']] });
  const times = { own: [] as number[], bare: [] as number[] };
  for (let round = 0; round < SAVINGS; round++) {
    const snapId = rows[round % rows.length]!.id;
    const seen = await readSnap(coach, snapId);
    const entries = seen.resolution.assignments.map(({ blocker }) => ({
      entry: crypto.randomUUID(),
      blocker,
      grade: { ...ALL_PLUS, note: `round ${round}` },
      base: seen.grades.find((g) => g.blocker === blocker)?.revision ?? 0,
      follows: [],
    }));
    const begin = performance.now();
    await writeGrades(coach, snapId, { sheet: 'program', snapRevision: seen.revision, entries });
    times.own.push(performance.now() - begin);
    await readSnap(coach, snapId);
    const beginBare = performance.now();
    await writeBare(db, snapId, marksBare(round));
    times.bare.push(performance.now() - beginBare);
  }
  const [own, bare] = [median(times.own), median(times.bare)];
  console.log(
    `saving a snap’s marks ${own.toFixed(1)} ms, the bare transaction ${bare.toFixed(1)} ms, ratio ${(own / bare).toFixed(2)} (goal 1.5)`,
  );
}
const SAVED = 8;
const SAVINGS = 80;

const writeBare = (
  db: Awaited<ReturnType<typeof openDatabase>>,
  snapId: number,
  marks: ReturnType<typeof marksBare>,
): Promise<unknown> =>
  db.transaction(async (transaction) => {
    await db.query(`select id from snaps where id = ${snapId} for update`, { transaction });
    await db.query(
      `update grades set body = v.body, revision = revision + 1 from jsonb_to_recordset($1::jsonb) as v(blocker text, body jsonb)
       where snap_id = $2 and sheet = 0 and grades.blocker = v.blocker`,
      { bind: [JSON.stringify(marks), snapId], transaction },
    );
    await db.query(
      `insert into grade_changes (program_id, snap_id, blocker, user_id, before, after) select 1, snap_id, blocker, 1, body, body from grades where snap_id = ${snapId} and sheet = 0`,
      { transaction },
    );
  });

if (server) await main(server);
else console.log('BENCH_DATABASE_URL names no PostgreSQL server whose databases may be made and dropped');
