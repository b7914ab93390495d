import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { reactive } from 'vue';
import { chosenWeek, useWeekRooms } from './rooms';

const route = reactive({ query: {} as Record<string, unknown> });
beforeEach(() => {
  route.query = {};
  vi.stubGlobal('useRoute', () => route);
});
afterEach(() => vi.unstubAllGlobals());

describe('the week somebody has chosen', () => {
  it.each([
    ['4', 4],
    [undefined, null],
    ['', null],
    ['0', null],
    ['-2', null],
    ['1.5', null],
    ['terns', null],
    [['4', '5'], null],
  ])('is read off %j', (game, week) => {
    expect(chosenWeek({ game })).toBe(week);
  });

  it('is kept from room to room, beside what else is asked there', () => {
    const { to } = useWeekRooms();
    expect([to('/week/plan'), to('/week/drills', { drill: 'mirror' })]).toEqual([
      { path: '/week/plan', query: {} },
      { path: '/week/drills', query: { drill: 'mirror' } },
    ]);
    route.query = { game: '4' };
    expect([to('/week/plan').query, to('/week/drills', { drill: 'mirror' }).query]).toEqual([
      { game: '4' },
      { game: '4', drill: 'mirror' },
    ]);
  });
});
