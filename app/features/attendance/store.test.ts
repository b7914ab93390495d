import { createPinia, setActivePinia } from 'pinia';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { AttendanceDay, Presence } from '#core/roster/attendance';
import { useRoster } from '~/features/roster/store';
import { serveRoutes, type RoutesServer } from '~/testing/routes';
import { useAttendance } from './store';

let kept: Record<string, Presence[]>;
let server: RoutesServer;
const dayOf = (day: string): AttendanceDay => ({
  day,
  men: kept[day] ?? [],
  days: [{ playerId: 1, there: 3, of: 4 }],
});
beforeEach(async () => {
  setActivePinia(createPinia());
  kept = { '2026-11-24': [{ playerId: 1, here: 'limited', note: 'until Friday' }] };
  server = serveRoutes({
    'GET /api/roster': () =>
      [1, 2, 3].map((id) => ({
        ...{ id, number: 60 + id, name: `Man ${id}`, seat: '', seats: [], defence: '', left: id === 3 },
      })),
    'GET /api/attendance': (_body, url) => dayOf(url.searchParams.get('day')!),
    'PUT /api/attendance': ({ day, men }: { day: string; men: Presence[] }) => {
      kept[day] = [...(kept[day] ?? []).filter((m) => !men.some((o) => o.playerId === m.playerId)), ...men];
      return dayOf(day);
    },
  });
  await useRoster().open();
});
afterEach(() => vi.unstubAllGlobals());

describe('who is here', () => {
  it('is every man of the roster who has not left, with what is written down of him', async () => {
    const attendance = useAttendance();
    await attendance.open('2026-11-24');
    expect(attendance.men.map((m) => [m.name, m.presence?.here ?? null, m.days?.there ?? null])).toEqual([
      ['Man 1', 'limited', 3],
      ['Man 2', null, null],
    ]);
    expect(attendance.says).toBe('0 here, 1 limited');
  });

  it('is one tap for all the others, and leaves those alone who are written down', async () => {
    const attendance = useAttendance();
    await attendance.open('2026-11-24');
    await attendance.othersHere();
    expect(kept['2026-11-24']).toEqual([
      { playerId: 1, here: 'limited', note: 'until Friday' },
      { playerId: 2, here: 'here', note: '' },
    ]);
    await attendance.write([{ playerId: 2, here: 'away', note: '' }]);
    expect(attendance.says).toBe('0 here, 1 limited, 1 away');
  });

  it('of another day never shows what comes late of the one before', async () => {
    const attendance = useAttendance();
    server.slow();
    const slow = attendance.open('2026-11-24');
    const next = attendance.open('2026-11-25');
    server.answer('last first');
    await Promise.all([slow, next]);
    expect([attendance.day, attendance.says]).toEqual(['2026-11-25', 'nothing written down yet']);
  });

  it('says so when it cannot be written', async () => {
    const attendance = useAttendance();
    await attendance.open('2026-11-24');
    server.down();
    expect(await attendance.othersHere()).toBe(false);
    expect([attendance.problem, attendance.men[1]!.presence]).toEqual(['The server cannot be reached.', null]);
  });
});
