import { createPinia, setActivePinia } from 'pinia';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { PracticeDay, PracticeLine } from '#core/model/practice';
import { practiceSheet } from '#core/paper/practice-sheet';
import { serveRoutes, type RoutesServer } from '~/testing/routes';
import { lateAnswers } from '~/testing/late-answers';
import { failWith } from '~/testing/steer';
import { useWeek } from '~/features/week/store';
import { calendarOf } from './calendar';
import { usePractice } from './store';

vi.mock('~/workers/start', async () => {
  const { useAsked } = await import('~/workers/asked');
  const silent = () => ({ postMessage: () => undefined, terminate: () => undefined, onmessage: null, onerror: null });
  return { usePlanning: () => useAsked(silent) };
});

const line = (id: string, drill: string, men: number[], more: Partial<PracticeLine> = {}): PracticeLine => ({
  ...{ id, minutes: 5, held: false },
  stations: [{ drill, men, reps: 8, waits: 0, why: 'Because.', pairs: [] }],
  ...more,
});
const day = (date: string, lines: PracticeLine[]): PracticeDay => ({
  ...{ day: date, theme: 'foundations', minutes: 30, gear: 'full gear', begins: '18:50', lines },
});
const [TUESDAY, THURSDAY] = ['2026-11-24', '2026-11-26'];
let kept: { days: PracticeDay[] };
let away: number[];
/** Whether the server can say who is there. */
let isKnown: boolean;
let server: RoutesServer;
beforeEach(async () => {
  setActivePinia(createPinia());
  [away, isKnown] = [[2], true];
  kept = {
    days: [
      day(TUESDAY, [line('a', 'short-steps', [1, 3]), line('b', 'down-wall', [1, 3]), line('c', 'set-mirror', [1])]),
      day(THURSDAY, [line('d', 'pull-steps', [1, 3])]),
    ],
  };
  server = serveRoutes({
    'GET /api/schedule': () => ({
      seasons: [],
      games: [{ id: 6, week: 6, opponent: 'Quillport Terns', playedOn: null, snaps: 0, films: 0 }],
    }),
    'GET /api/roster': () =>
      ['LT', 'LG', 'C', 'RG'].map((seat, i) => ({
        ...{ id: i + 1, number: 60 + i, name: `Man ${i + 1}`, seat, seats: [], defence: '', weight: null, left: false },
      })),
    'GET /api/weeks/6': () => ({
      game: { id: 6, opponent: 'Quillport Terns', week: 6, playedOn: '2026-11-28' },
      ...{ plan: null, practice: { revision: 1, by: '', body: kept }, scripts: null, marks: [], records: [], seen: [] },
    }),
    'PUT /api/weeks/6/practice': ({ revision, body }: { revision: number; body: typeof kept }) => {
      kept = body;
      return { revision: revision + 1 };
    },
    'GET /api/attendance': (_body, url) => {
      const on = url.searchParams.get('day');
      if (!isKnown) failWith(503, 'The database cannot be reached just now.');
      return {
        day: on,
        men: on === TUESDAY ? away.map((playerId) => ({ playerId, here: 'away', note: '' })) : [],
        days: [],
      };
    },
    'PUT /api/attendance': ({ day: on, men }: { day: string; men: unknown[] }) => ({ day: on, men, days: [] }),
  });
  await useWeek().open(6);
  await usePractice().open();
});
afterEach(() => vi.unstubAllGlobals());

const ids = (of: string): string[] => kept.days.find((d) => d.day === of)!.lines.map((l) => l.id);

describe('a day of practice', () => {
  it('is moved about line by line, and what was moved is the coach’s own', async () => {
    const practice = usePractice();
    await practice.moveLine(TUESDAY, 'c', TUESDAY, 0);
    expect(ids(TUESDAY)).toEqual(['c', 'a', 'b']);
    await practice.moveLine(TUESDAY, 'a', THURSDAY, 1);
    expect([ids(TUESDAY), ids(THURSDAY)]).toEqual([
      ['c', 'b'],
      ['d', 'a'],
    ]);
    expect(kept.days[1]!.lines.map((l) => l.held)).toEqual([false, true]);
    await practice.moveLine(TUESDAY, 'gone', THURSDAY, 0);
    expect(ids(THURSDAY)).toEqual(['d', 'a']);
  });

  it('takes a drill that is wanted, for everybody it is for who is there', async () => {
    const practice = usePractice();
    await practice.addDrill(TUESDAY, 'hinge-gate');
    const added = kept.days[0]!.lines.at(-1)!;
    expect(added).toMatchObject({ id: `${TUESDAY}-own-1`, held: true, minutes: 5 });
    // Guards and tackles: the left guard is away, the centre is none.
    expect(added.stations[0]!.men).toEqual([1, 4]);
    await practice.addDrill(TUESDAY, 'short-steps');
    expect(kept.days[0]!.lines.at(-1)!.id).toBe(`${TUESDAY}-own-2`);
  });

  it('is planned anew around what is held, the other days staying as they are', async () => {
    const practice = usePractice();
    await practice.changeLine(TUESDAY, 'b', { held: true });
    const thursday = structuredClone(kept.days[1]);
    await practice.planDay(TUESDAY);
    expect(kept.days[1]).toEqual(thursday);
    const now = kept.days[0]!.lines;
    expect(now.some((l) => l.id === 'b')).toBe(true);
    expect(now.some((l) => l.id === 'a')).toBe(false);
    expect(now.flatMap((l) => l.stations.flatMap((s) => s.men))).not.toContain(2);
  });

  it('is told when somebody in a group is not there any more, until it is planned again', async () => {
    const practice = usePractice();
    expect(practice.breaches).toEqual([]);
    await practice.setHere(TUESDAY, 1, 'away');
    expect(practice.breaches.map((b) => b.says)).toEqual(['In a group and not there: 60 Man 1.']);
    await practice.planAll();
    expect(practice.breaches).toEqual([]);
  });

  it('is planned with who is there, also when that is still on its way', async () => {
    const practice = usePractice();
    away = [1, 2];
    server.slow();
    const [opening, planning] = [practice.open(), practice.planAll()];
    server.answer();
    await Promise.all([opening, planning]);
    const men = kept.days[0]!.lines.flatMap((l) => l.stations.flatMap((s) => s.men));
    expect(men).toContain(3);
    expect(men).not.toContain(1);
    expect(practice.breaches).toEqual([]);
  });

  it('knows who is there by what was asked last, whichever answer comes first', async () => {
    const practice = usePractice();
    const late = lateAnswers();
    const first = practice.open();
    await late.arrive('/api/roster');
    await late.given(`/api/attendance?day=${THURSDAY}`);
    away = [3];
    const second = practice.open();
    await late.arrive('/api/roster');
    for (const day of [TUESDAY, THURSDAY]) await late.arrive(`/api/attendance?day=${day}`, 2);
    await second;
    late.over();
    await first;
    expect([2, 3].map((id) => practice.presence.get(TUESDAY)!.get(id) ?? 'here')).toEqual(['here', 'away']);
  });
  it('is planned all the same when nobody can say who is there', async () => {
    const practice = usePractice();
    isKnown = false;
    const [opened, planned] = await Promise.all([practice.open(), practice.planAll()]);
    expect([opened, planned]).toEqual([false, true]);
    expect(kept.days[0]!.lines.length).toBeGreaterThan(3);
  });

  it('has a man back where he was when it could not be written down', async () => {
    const practice = usePractice();
    server.down();
    expect(await practice.setHere(TUESDAY, 1, 'away')).toBe(false);
    expect([practice.problem, practice.breaches]).toEqual(['The server cannot be reached.', []]);
  });

  it('is added in the order of the calendar and taken out again', async () => {
    const practice = usePractice();
    await practice.addDay(day('2026-11-25', []));
    expect(kept.days.map((d) => d.day)).toEqual([TUESDAY, '2026-11-25', THURSDAY]);
    await practice.dropDay(TUESDAY);
    await practice.changeDay(THURSDAY, { minutes: 45 });
    expect(kept.days.map((d) => [d.day, d.minutes])).toEqual([
      ['2026-11-25', 30],
      [THURSDAY, 45],
    ]);
  });
});

describe('a day out of the application', () => {
  const words = () => ({ ...usePractice(), dayOf: (d: string) => `Day ${d}`, stamp: 'Lanterns, week 6' });

  it('is a sheet with the clock, who does what how often, and what to be careful with', () => {
    const water = { id: 'w', minutes: 3, held: false, stations: [] };
    const sheet = practiceSheet(
      day(TUESDAY, [line('a', 'short-steps', [1, 3]), water, line('b', 'down-wall', [1])]),
      words(),
    );
    expect(sheet).toMatchObject({
      title: `Day ${TUESDAY}`,
      subtitle: 'foundations, 30 minutes, full gear',
      stamp: 'Lanterns, week 6',
    });
    const table = sheet.parts.find((p) => p.kind === 'table')!;
    expect(table.rows.map((r) => r.slice(0, 5))).toEqual([
      ['18:50', '5', { strong: 'Six inches on a line' }, '60 Man 1, 62 Man 3', '8'],
      ['18:55', '3', { strong: 'Water and rest' }, '', ''],
      ['18:58', '5', { strong: 'Down, head in front' }, '60 Man 1', '8'],
    ]);
    const said = JSON.stringify(sheet.parts);
    expect(said).toContain('never the helmet');
    expect(said).toContain('none of them is ours');
    expect(said).toContain('Bring: line, shields.');
  });

  it('is an event of a calendar with its lines, at its time or for the whole day', () => {
    const { text, problem } = calendarOf(
      [day(TUESDAY, [line('a', 'short-steps', [1])]), { ...day(THURSDAY, []), begins: null }],
      'Week 6, Quillport Terns',
      usePractice().drillOf,
    );
    expect(problem).toBe('');
    const lines = text.split('\r\n');
    expect(lines).toContain('DTSTART:20261124T185000');
    expect(lines).toContain('DTSTART;VALUE=DATE:20261126');
    expect(lines.filter((l) => l === 'BEGIN:VEVENT')).toHaveLength(2);
    expect(text.replace(/\r\n[ \t]/g, '')).toContain('18:50 Six inches on a line\\, 5 min');
    expect(lines.every((l) => new TextEncoder().encode(l).length <= 75)).toBe(true);
  });
});
