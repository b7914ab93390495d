import { createPinia, setActivePinia } from 'pinia';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { WeekPlan } from '#core/model/week-plan';
import { serveRoutes, type RoutesServer } from '~/testing/routes';
import { failWith } from '~/testing/steer';
import { lateAnswers } from '~/testing/late-answers';
import { gameOfWeek, useWeek } from './store';

const game = (id: number, week: number, snaps: number, playedOn: string | null = null) => ({
  ...{ id, week, snaps, playedOn, opponent: `Team ${id}`, films: 0 },
});
const plan = (times: number): WeekPlan => ({
  plays: [{ scheme: 'power', side: 'right', tags: [], formation: 'x', formationName: 'x', times }],
  looks: [],
  quiz: false,
});
let kept: Record<number, { revision: number; body: WeekPlan; by: string } | null>;
let server: RoutesServer;
beforeEach(() => {
  setActivePinia(createPinia());
  kept = { 1: null, 2: { revision: 3, body: plan(5), by: 'Theo Brandt' } };
  server = serveRoutes({
    'GET /api/schedule': () => ({ seasons: [], games: [game(1, 1, 20), game(2, 2, 0)] }),
    'GET /api/weeks/*': (_body, url) => {
      const id = Number(url.pathname.split('/')[3]);
      return {
        game: { id, opponent: `Team ${id}`, week: id, playedOn: null },
        ...{ plan: kept[id] ?? null, practice: null, scripts: null, marks: [], records: [], seen: [] },
      };
    },
    'PUT /api/weeks/2/plan': ({ revision, body }: { revision: number; body: WeekPlan }) => {
      const there = kept[2]!;
      if (there.revision !== revision)
        throw Object.assign(new Error('409'), {
          status: 409,
          data: {
            message: 'Theo Brandt has changed this week meanwhile.',
            data: { revision: there.revision, by: there.by },
          },
        });
      kept[2] = { revision: revision + 1, body, by: 'Maren Quill' };
      return { revision: revision + 1 };
    },
  });
});
afterEach(() => vi.unstubAllGlobals());

describe('whose week it is', () => {
  it.each([
    ['the first game without snaps', [game(1, 1, 20), game(2, 2, 0), game(3, 3, 0)], 2],
    ['not one that is over and was never logged', [game(1, 1, 0, '2026-11-01'), game(2, 2, 0, '2026-11-28')], 2],
    ['none without a day that was left behind', [game(1, 1, 0), game(2, 2, 30), game(3, 3, 0)], 3],
    ['the earlier of one with a day and one without', [game(1, 1, 9), game(2, 3, 0, '2026-12-05'), game(3, 2, 0)], 3],
    ['the last one when nothing is ahead', [game(1, 1, 20), game(2, 2, 30)], 2],
    ['nobody’s without games', [], null],
  ])('is %s', (_what, games, id) => expect(gameOfWeek(games, '2026-11-25')?.id ?? null).toBe(id));
});

describe('a week that is worked on', () => {
  it('is the one that was asked for last, also when that is the one that is there', async () => {
    const week = useWeek();
    await week.open(2);
    const late = lateAnswers();
    const other = week.open(1);
    await late.arrive('/api/schedule');
    const back = week.open(2);
    await late.arrive('/api/schedule');
    await back;
    late.over();
    await other;
    expect(week.week!.game.id).toBe(2);
  });
  it('opens with what was decided, and keeps every change under the next revision', async () => {
    const week = useWeek();
    await week.open(null);
    expect([week.game!.id, week.bodies.plan.plays[0]!.times]).toEqual([2, 5]);
    await week.change('plan', plan(6));
    await week.change('plan', plan(7));
    expect(kept[2]).toMatchObject({ revision: 5, body: plan(7) });
  });

  it('shows a change at once and loses none that is made while another is on its way', async () => {
    const week = useWeek();
    await week.open(2);
    server.slow();
    const both = [week.change('plan', plan(8)), week.change('plan', plan(9))];
    expect(week.bodies.plan).toEqual(plan(9));
    server.answer();
    expect(await Promise.all(both)).toEqual([true, true]);
    expect(kept[2]).toMatchObject({ body: plan(9) });
  });

  it('keeps what was typed while the server is away, and writes it when it is asked to', async () => {
    const week = useWeek();
    await week.open(2);
    server.down();
    expect(await week.change('plan', plan(8))).toBe(false);
    expect([week.bodies.plan, week.problem]).toEqual([
      plan(8),
      'The server cannot be reached. What you changed is still here.',
    ]);
    server.up();
    expect(week.unwritten).toBe('plan');
    expect(await week.again()).toBe(true);
    expect([kept[2]!.body, week.problem, week.unwritten]).toEqual([plan(8), '', null]);
  });

  it('writes over nobody: both stay until one is chosen', async () => {
    const week = useWeek();
    await week.open(2);
    kept[2] = { revision: 4, body: plan(20), by: 'Theo Brandt' };
    expect(await week.change('plan', plan(8))).toBe(false);
    expect(week.stale).toEqual({ part: 'plan', revision: 4, by: 'Theo Brandt' });
    // Whatever is changed meanwhile waits with it.
    await week.change('plan', plan(9));
    expect(kept[2].body).toEqual(plan(20));
    await week.settle('mine');
    expect([kept[2], week.stale]).toEqual([{ revision: 5, body: plan(9), by: 'Maren Quill' }, null]);
  });

  it('shows theirs instead of mine when that is chosen', async () => {
    const week = useWeek();
    await week.open(2);
    kept[2] = { revision: 4, body: plan(20), by: 'Theo Brandt' };
    await week.change('plan', plan(8));
    await week.settle('theirs');
    expect([week.bodies.plan, week.stale, week.problem]).toEqual([plan(20), null, '']);
    await week.change('plan', plan(21));
    expect(kept[2]).toMatchObject({ revision: 5, body: plan(21) });
  });

  it('never writes into another week than the one it was changed in', async () => {
    const week = useWeek();
    await week.open(2);
    server.slow();
    const first = week.change('plan', plan(8));
    const other = week.open(1);
    server.answer();
    await Promise.all([first, other]);
    expect(week.game!.id).toBe(1);
    expect(week.bodies.plan.plays).toEqual([]);
    expect(server.asked.filter((a) => a.what === 'PUT /api/weeks/1/plan')).toEqual([]);
  });

  it('says so when there is no such game', async () => {
    server = serveRoutes({
      'GET /api/schedule': () => ({ seasons: [], games: [] }),
      'GET /api/weeks/9': () => failWith(404, 'There is no such game in your program.'),
    });
    const week = useWeek();
    await week.open(9);
    expect([week.problem, week.game]).toEqual(['There is no such game in your program.', null]);
  });
});
