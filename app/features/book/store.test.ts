import { createPinia, setActivePinia } from 'pinia';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { filterOfQuery, type Dimension } from '#core/grade/book/dimensions';
import type { BookLine, BookPage, BookSnap } from '#core/grade/book/lines';
import { MEASURE_IDS } from '#core/grade/book/measures';
import { sayYard, type BookPlay, type PlayLine } from '#core/grade/book/play-result';
import { ALL_PLUS } from '#core/model/grade';
import { useSession } from '~/features/session/store';
import { aMember } from '~/testing/a-member';
import { csvOf } from './save';
import { queryOf, reelOf, useBook } from './store';
import { gradesTable, measuresOf, playsTable } from './table';
import { gainPlot, sayGains, spreadPlot, trendPlot, yardAt } from './plots';
import { inOrder, sayKey } from './words';

const line = (key: string, good: number, of: number, label = key): BookLine => ({
  key,
  label,
  marks: of + 1,
  counts: Object.fromEntries(
    MEASURE_IDS.map((m) => [
      m,
      m === 'finish' || m === 'film' ? { good: 0, of: 0, unknown: of + 1 } : { good, of, unknown: 1 },
    ]),
  ) as BookLine['counts'],
  spread: { all: good, more: 0, less: 0, nothing: of - good, open: 1 },
  faults: [{ fault: 'high-pads', count: 2 }],
});
const snapBehind = (number: number): BookSnap => ({
  snapId: 100 + number,
  number,
  gameId: 2,
  opponent: 'Graymoor Millers',
  week: 3,
  blocker: 'RG',
  man: '61 Anselm Rook',
  scheme: 'power',
  side: 'right',
  front: 'Over',
  asked: { block: 'double', target: 'T', next: 'M', partners: ['RT'], role: 'inner', schools: [] },
  grade: ALL_PLUS,
});

let asked: URL[];
let lines: BookLine[];
let held: (() => void)[] | null;
let reachable: boolean;
function answer(url: URL): unknown {
  const by = url.searchParams.get('by') as Dimension;
  if (url.pathname === '/api/book') {
    const games = [line('1', 1, 2, 'Week 2, Terns'), line('2', 3, 4, 'Week 3, Millers')];
    const page: BookPage = {
      by,
      filter: filterOfQuery(Object.fromEntries(url.searchParams)),
      names: {},
      lines: by === 'game' ? games : lines,
      total: line('all', 9, 10),
      more: 0,
    };
    return page;
  }
  if (url.pathname === '/api/book/plays')
    return { by, lines: [], total: { ...PLAYS, key: 'all', label: 'all' }, gains: [] };
  if (url.pathname === '/api/book/snaps') {
    const skip = Number(url.searchParams.get('skip'));
    return { snaps: [1, 2].map((n) => snapBehind(skip + n)), total: 4 };
  }
  if (url.pathname === '/api/book/plays/snaps') {
    const skip = Number(url.searchParams.get('skip'));
    return { plays: [1, 2].map((n) => playBehind(skip + n)), total: 4 };
  }
  if (url.pathname === '/api/book/choices') return { block: [{ key: 'double', label: 'double', marks: 5 }] };
  throw new Error(`nobody serves ${url.href}`);
}
const PLAYS: Omit<PlayLine, 'key' | 'label'> = {
  ...{ yards: 41, runYards: 30, beforeContact: 12 },
  counts: {
    ...{ snaps: 10, runs: 8, touched: 5, successes: 6, stuffed: 1, explosive: 1, throws: 2, pressured: 1 },
    ...{ graded: 9, blocked: 7, blockedFailed: 2, missedWorked: 1 },
  },
};
const playBehind = (number: number): BookPlay => ({
  ...{ snapId: 100 + number, number, gameId: 2, opponent: 'Graymoor Millers', week: 3 },
  ...{ scheme: 'power', side: 'right', front: 'Over', down: 2, distance: 7, gain: 1, result: 'went on' },
  ...{ blocked: true, missed: [], cause: [] },
});

beforeEach(() => {
  setActivePinia(createPinia());
  [asked, lines, held, reachable] = [[], [line('7', 3, 4, '61 Anselm Rook')], null, true];
  vi.stubGlobal('$fetch', async (path: string) => {
    const url = new URL(path, 'http://chalk.example');
    asked.push(url);
    if (held) await new Promise<void>((go) => held!.push(go));
    if (!reachable) throw new Error('connection refused');
    return answer(url);
  });
  useSession().member = aMember();
});
afterEach(() => vi.unstubAllGlobals());

describe('the book', () => {
  it('counts one way, with the games beside it and what the plays came to', async () => {
    const book = useBook();
    await book.look('man', { front: ['Over'] });
    expect([book.by, book.lines.map((l) => l.label), book.trend!.by]).toEqual(['man', ['61 Anselm Rook'], 'game']);
    expect(asked.map((u) => `${u.pathname} ${u.searchParams.get('by')} ${u.searchParams.get('front')}`)).toEqual([
      '/api/book game Over',
      '/api/book man Over',
      '/api/book/plays play Over',
    ]);
    expect(book.before).toBeNull();
  });

  it('compares a game with those before it, and only those', async () => {
    const book = useBook();
    await book.look('man', { game: ['2'], block: ['double'] });
    const earlier = asked.filter((u) => u.searchParams.get('by') === 'man').at(-1)!;
    expect([earlier.searchParams.getAll('game'), earlier.searchParams.get('block')]).toEqual([['1'], 'double']);
    expect(book.before!.lines).toHaveLength(1);
    await book.look('man', { game: ['1'] });
    expect(book.before).toBeNull();
  });

  it('asks nothing for a player that is not his', async () => {
    useSession().member!.role = 'player';
    await useBook().look('block', {});
    expect(asked.some((u) => u.pathname.endsWith('/plays'))).toBe(false);
  });

  it('shows what was asked for last, whichever answer comes first', async () => {
    const book = useBook();
    held = [];
    const slow = book.look('man', {});
    await expect.poll(() => held).toHaveLength(3);
    const waiting = held;
    held = null;
    lines = [line('LT', 1, 2)];
    await book.look('place', {});
    lines = [line('late', 1, 2)];
    for (const go of waiting!) go();
    await slow;
    expect([book.by, book.lines.map((l) => l.key), book.loading]).toEqual(['place', ['LT'], false]);
  });

  it('opens the snaps behind a number, a page at a time, to be watched in a row', async () => {
    const book = useBook();
    await book.look('man', { front: ['Over'] });
    await book.open(book.lines[0]!, '61 Anselm Rook', 'technique');
    expect(book.opened!.filter).toEqual({ front: ['Over'], man: ['7'] });
    expect([book.opened!.snaps.length, book.opened!.total]).toEqual([2, 4]);
    await book.more();
    expect(book.opened!.snaps.map((s) => s.number)).toEqual([1, 2, 3, 4]);
    expect(reelOf(book.opened!)).toBe('/film/101?reel=measure%3Dtechnique%26front%3DOver%26man%3D7');
    await book.open({ key: 'all' }, 'All together', 'both');
    expect(book.opened!.filter).toEqual({ front: ['Over'] });
    await book.look('block', {});
    expect(book.opened).toBeNull();
  });

  it('opens the snaps behind what the plays came to, a page at a time, to be watched in a row', async () => {
    const book = useBook();
    await book.look('front', { season: ['1'] });
    await book.openPlays({ key: 'Over' }, 'Over', 'blockedFailed');
    expect([book.opened!.filter, book.opened!.total]).toEqual([{ season: ['1'], front: ['Over'] }, 4]);
    await book.more();
    expect(book.opened!.snaps.map((s) => s.number)).toEqual([1, 2, 3, 4]);
    expect(reelOf(book.opened!, book.opened!.snaps[2])).toBe(
      '/film/103?reel=plays%3DblockedFailed%26season%3D1%26front%3DOver',
    );
  });

  it('opens the part of a bar: marks that earned so much, plays that went so far, whatever else they are narrowed by', async () => {
    const book = useBook();
    await book.look('man', { front: ['Over'], earned: ['all'] });
    await book.open(book.lines[0]!, '61 Anselm Rook, less than half', 'score', { earned: ['less'] });
    expect(book.opened!.filter).toEqual({ front: ['Over'], man: ['7'], earned: ['less'] });
    expect(asked.at(-1)!.searchParams.getAll('earned')).toEqual(['less']);
    await book.openPlays({ key: 'all' }, sayYard(-5), 'snaps', { yard: ['-5'] });
    expect(asked.at(-1)!.searchParams.get('yard')).toBe('-5');
    expect([book.opened!.title, reelOf(book.opened!)]).toEqual([
      '-5 and less yards',
      expect.stringContaining('yard%3D-5'),
    ]);
  });

  it('opens plays by play where the lines are of men', async () => {
    const book = useBook();
    await book.look('man', {});
    await book.openPlays({ key: 'power right' }, 'Power right', 'stuffed');
    expect(book.opened!.filter).toEqual({ play: ['power right'] });
    expect(asked.at(-1)!.searchParams.get('plays')).toBe('stuffed');
  });

  it('offers what really comes to narrow it down', async () => {
    const book = useBook();
    await book.look('man', { block: ['climb'], front: ['Over'] });
    await book.choose('block');
    expect(book.choices).toEqual({ of: 'block', values: [{ key: 'double', label: 'double', marks: 5 }] });
    const { searchParams } = asked.at(-1)!;
    expect([searchParams.get('block'), searchParams.get('front')]).toEqual([null, 'Over']);
  });

  it('says so when it cannot be read, and stands when it can', async () => {
    reachable = false;
    const book = useBook();
    await book.look('man', {});
    expect([book.page, book.problem, book.loading]).toEqual([null, 'The server cannot be reached.', false]);
    reachable = true;
    await book.look('man', {});
    expect([book.problem, book.lines.length]).toEqual(['', 1]);
  });
});

describe('the book’s words', () => {
  it('say every value as people do', () => {
    const said = (by: Dimension, key: string, label = key): string => sayKey(by, { key, label });
    expect(said('play', 'duo left')).toBe('Duo left');
    expect(said('block', 'pull-kick')).toBe('Pull and kick');
    expect(said('fault', 'high-pads')).toBe('High pads');
    expect(said('fact', 'sack')).toBe('Sack allowed');
    expect(said('down', '3')).toBe('3rd down');
    expect(said('quarter', '5')).toBe('Overtime');
    expect([said('yard', '1'), said('yard', '-2'), said('yard', '20')]).toEqual([
      ...['1 yard', '-2 yards', '20 and more yards'],
    ]);
    expect(said('earned', 'open')).toBe('Could not be told');
    expect(said('rubric', 'plus-minus@1')).toBe('Plus and minus');
    expect(said('man', '7', '61 Anselm Rook')).toBe('61 Anselm Rook');
  });

  it('read in their own order where they have one, else the most marks first', () => {
    const keys = (by: Dimension, given: string[]): string[] =>
      inOrder(
        by,
        given.map((key) => ({ key })),
      ).map((l) => l.key);
    expect(keys('place', ['RT', 'QB', 'C', 'LT'])).toEqual(['LT', 'C', 'RT', 'QB']);
    expect(keys('down', ['3', '1', '2'])).toEqual(['1', '2', '3']);
    expect(keys('yard', ['10', '-2', '4'])).toEqual(['-2', '4', '10']);
    expect(keys('consequence', ['fatal', 'harmless', 'costly'])).toEqual(['harmless', 'costly', 'fatal']);
    expect(keys('earned', ['nothing', 'all', 'less'])).toEqual(['all', 'less', 'nothing']);
    expect(keys('block', ['reach', 'double'])).toEqual(['reach', 'double']);
  });

  it('go into an address and come back the same', () => {
    const filter = { man: ['7', '9'], front: ['Over, walked up'], fault: ['high-pads'] };
    const words = new URLSearchParams(queryOf(filter));
    expect(filterOfQuery({ man: words.getAll('man'), front: words.get('front'), fault: words.get('fault') })).toEqual(
      filter,
    );
  });
});

describe('the book’s tables', () => {
  const two = [line('7', 3, 4, '=SUM(A1)'), line('8', 40, 50, '64 Bram Wicken')];

  it('leave out what no rubric asked for', () => {
    expect(measuresOf(two, false)).toEqual(['assignment', 'technique', 'both', 'outcome', 'score']);
    expect(measuresOf(two, true).at(-1)).toBe('weighed');
  });

  it('go out with every count, and no cell is a formula', () => {
    const table = gradesTable('man', two, [], false);
    expect(table.rows[0]!.length).toBe(table.heads.length);
    const [heads, first] = csvOf(table).split('\r\n');
    expect(heads).toContain('Technique: not told');
    expect(first).toMatch(/^"'=SUM/);
    expect(table.rows[1]!.slice(0, 6)).toEqual(['64 Bram Wicken', 51, 0.8, 40, 50, 1]);
  });

  it('of plays say yards a snap, and none where there was none', () => {
    const { heads, rows } = playsTable('front', [
      { ...PLAYS, key: 'Over', label: 'Over' },
      { ...PLAYS, key: 'Odd', label: 'Odd', yards: 0, counts: { ...PLAYS.counts, snaps: 0 } },
    ]);
    expect(rows.map((r) => r[heads.indexOf('yards a snap')])).toEqual([4.1, null]);
    expect(rows.map((r) => r[heads.indexOf('yards before contact')])).toEqual([2.4, 2.4]);
    expect(rows.every((r) => r.length === heads.length)).toBe(true);
  });

  it('of marks spread over a bar a line, the first on top, each mark in one part', () => {
    const tokens = { getPropertyValue: (name: string) => name };
    const drawn = [line('7', 3, 4, '61 Rook'), line('8', 5, 9, '64 Wicken')];
    const { data, layout } = spreadPlot(drawn, tokens, 900);
    expect(data.map((bar) => bar.y)).toEqual(data.map(() => ['61 Rook', '64 Wicken']));
    expect(layout.yaxis.autorange).toBe('reversed');
    for (const [i, { marks }] of drawn.entries()) expect(data.reduce((sum, bar) => sum + bar.x[i]!, 0)).toBe(marks);
    const filled = Object.fromEntries(data.map((bar) => [bar.name, bar.marker.color]));
    expect([filled['all of it'], filled.nothing]).toEqual(['--ink', '--ground']);
  });

  it('from game to game have their interval, and are hollow where there are too few', () => {
    const tokens = { getPropertyValue: (name: string) => (name === '--ink' ? 'black' : 'grey') };
    const { data, layout } = trendPlot(
      [line('1', 3, 4, 'Week 2, Terns'), line('2', 8, 10, 'Week 3')],
      0.8,
      tokens,
      800,
    );
    const [{ y, error_y, marker, x }] = data;
    expect([[...y], marker.color]).toEqual([
      [75, 80],
      ['rgba(0,0,0,0)', 'black'],
    ]);
    expect(y[0]! - error_y.arrayminus[0]!).toBeCloseTo(30.1, 1);
    expect(y[1]! + error_y.array[1]!).toBeCloseTo(94.3, 1);
    expect([x[0], layout.shapes[0].y0]).toEqual(['Week 2<br>Terns', 80]);
    const [narrow] = trendPlot([line('1', 3, 4, 'Week 2, Terns')], 0.8, tokens, 340).data;
    expect([...narrow.x]).toEqual(['Week 2']);
  });

  it('of gains put what is beyond their ends together, and lose no snap', () => {
    const tokens = { getPropertyValue: (name: string) => name };
    const gains = [
      { gain: -9, blocked: 0, missed: 1, untold: 0 },
      { gain: -5, blocked: 0, missed: 2, untold: 1 },
      { gain: 4, blocked: 6, missed: 1, untold: 0 },
      { gain: 20, blocked: 1, missed: 0, untold: 0 },
      { gain: 71, blocked: 2, missed: 0, untold: 0 },
    ];
    const { data, layout } = gainPlot(gains, 4, tokens, 800);
    const of = (name: string, yard: number): number => {
      const bar = data.find((d) => d.name === name)!;
      return bar.y[bar.x.indexOf(yard)]!;
    };
    expect([of('somebody missed', -5), of('not all graded', -5), of('line blocked it', 20)]).toEqual([3, 1, 3]);
    expect(data.flatMap((d) => d.y).reduce((a, b) => a + b)).toBe(14);
    expect(layout.shapes[0]!.x0).toBe(3.5);
    for (const bar of data) expect(bar.x.map((_, i) => yardAt(i))).toEqual(bar.x);
    expect(sayGains(gains.slice(2))).toBe('4 yards: 7; 20 yards: 1; 71 yards: 2');
  });
});
