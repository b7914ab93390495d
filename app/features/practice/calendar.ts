import { createEvents, type EventAttributes } from 'ics';
import type { Drill } from '#core/model/drill';
import type { PracticeDay } from '#core/model/practice';
import { THEMES } from '#core/model/practice';
import { clockAt } from '#core/practice/clock';

/** Days of practice as a calendar in the common format (RFC 5545), times as they are on the wall where it is opened. */
export function calendarOf(
  days: readonly PracticeDay[],
  title: string,
  drillOf: (id: string) => Drill | null,
): { text: string; problem: string } {
  const events = days.map((day): EventAttributes => {
    const date = day.day.split('-').map(Number) as [number, number, number];
    const [hours, minutes] = (day.begins ?? '').split(':').map(Number);
    const start = day.begins ? ([...date, hours!, minutes!] as const) : date;
    return {
      uid: `practice-${day.day}@violet-chalk`,
      title: `Line: ${THEMES[day.theme].name}. ${title}`,
      start: [...start] as EventAttributes['start'],
      startInputType: 'local',
      startOutputType: 'local',
      duration: day.begins ? { minutes: day.minutes } : { days: 1 },
      description: linesOf(day, drillOf),
    } as EventAttributes;
  });
  const { error, value } = createEvents(events);
  return { text: value ?? '', problem: error ? `No calendar could be made: ${error.message}.` : '' };
}

function linesOf(day: PracticeDay, drillOf: (id: string) => Drill | null): string {
  let at = 0;
  return day.lines
    .map(({ minutes, stations }) => {
      const clock = clockAt(day.begins, at);
      at += minutes;
      const what = stations.map((s) => drillOf(s.drill)?.name ?? s.drill).join(' / ') || 'Water and rest';
      return `${clock} ${what}, ${minutes} min`;
    })
    .join('\n');
}
