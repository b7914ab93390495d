import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import { AttendanceDaySchema, sayPresent, type AttendanceDay, type Here } from '#core/roster/attendance';
import { useRoster } from '~/features/roster/store';
import { today } from '~/features/season/today';
import { attempting } from '~/features/session/attempt';
import { onlyNewest } from '~/features/session/newest';
import { request } from '~/features/session/request';

/** Who is at practice, a day at a time. */
export const useAttendance = defineStore('attendance', () => {
  const roster = useRoster();
  const day = ref(today());
  const found = shallowRef<AttendanceDay | null>(null);
  const problem = ref('');
  const attempt = attempting(problem);
  const asked = onlyNewest();

  /** The men with what is written down of each; `null` where nothing is. */
  const men = computed(() =>
    roster.here.map((p) => ({
      ...p,
      presence: found.value?.men.find((m) => m.playerId === p.id) ?? null,
      days: found.value?.days.find((d) => d.playerId === p.id) ?? null,
    })),
  );
  const says = computed(() => (found.value?.men.length ? sayPresent(found.value.men) : 'nothing written down yet'));

  /** Opens a day; whatever was asked for before and comes later is not shown. */
  function open(which: string): Promise<boolean> {
    const isNewest = asked.begin();
    return attempt(async () => {
      day.value = which;
      found.value = null;
      const answer = AttendanceDaySchema.parse(await request(`/api/attendance?day=${which}`));
      if (isNewest()) found.value = answer;
    }, isNewest);
  }
  const write = (given: readonly { playerId: number; here: Here; note: string }[]): Promise<boolean> =>
    attempt(async () => {
      const isNewest = asked.now();
      const answer = await request('/api/attendance', { method: 'PUT', body: { day: day.value, men: given } });
      if (isNewest()) found.value = AttendanceDaySchema.parse(answer);
    });
  /** One tap: everybody nothing is written down of is here. */
  const othersHere = (): Promise<boolean> => {
    const open = men.value.filter((m) => m.presence === null);
    return write(open.map((m) => ({ playerId: m.id, here: 'here', note: '' })));
  };
  return { day, found, men, says, problem, open, write, othersHere };
});
