import type { Drill } from '../model/drill';
import type { PracticeDay, Station } from '../model/practice';
import { THEMES } from '../model/practice';
import { cautionsOfDrill, LIMITS_ARE_YOURS, sayContact } from '../practice/cautions';
import { clockAt } from '../practice/clock';
import type { Cell, Sheet } from './sheet';

/** How drills, men and days are said. */
export interface PracticeWords {
  readonly drillOf: (id: string) => Drill | null;
  readonly nameOf: (man: number) => string;
  readonly dayOf: (day: string) => string;
  readonly stamp: string;
}

/** A day of individual time on paper: the clock, what each group does, how many reps, and what to look for; cautions at its foot. */
export function practiceSheet(day: PracticeDay, { drillOf, nameOf, dayOf, stamp }: PracticeWords): Sheet {
  let at = 0;
  const everybody = Math.max(0, ...day.lines.flatMap((l) => l.stations.map((s) => s.men.length)));
  const who = (s: Station): string =>
    s.men.length === everybody && everybody > 3 ? 'everybody' : s.men.map(nameOf).join(', ');
  const rows = day.lines.flatMap((line): Cell[][] => {
    const clock = clockAt(day.begins, at);
    at += line.minutes;
    if (line.stations.length === 0) return [[clock, String(line.minutes), { strong: 'Water and rest' }, '', '', '']];
    return line.stations.map((s, i): Cell[] => {
      const drill = drillOf(s.drill);
      const pairs = s.pairs.map(([a, b]) => `${nameOf(a)} with ${nameOf(b)}`).join('; ');
      return [
        i === 0 ? clock : '',
        i === 0 ? String(line.minutes) : '',
        { strong: drill?.name ?? s.drill },
        [who(s), pairs].filter(Boolean).join('. '),
        String(Math.max(1, Math.round(s.reps))),
        drill?.purpose ?? '',
      ];
    });
  });
  const drills = [...new Set(day.lines.flatMap((l) => l.stations.map((s) => s.drill)))].flatMap(
    (id) => drillOf(id) ?? [],
  );
  const equipment = [...new Set(drills.flatMap((d) => d.equipment))];
  const cautions = [...new Set(drills.flatMap(cautionsOfDrill))];
  const contacts = [...new Set(drills.map((d) => sayContact(d.contact)))];
  return {
    title: dayOf(day.day),
    subtitle: `${THEMES[day.theme].name}, ${day.minutes} minutes, ${day.gear}`,
    stamp,
    parts: [
      {
        kind: 'table',
        head: ['Clock', 'Min', 'Drill', 'Who', 'Reps', 'What it is for'],
        widths: [32, 22, 110, 130, 26, '*'],
        rows,
      },
      ...(equipment.length ? [{ kind: 'text' as const, text: `Bring: ${equipment.join(', ')}.` }] : []),
      { kind: 'text', text: `Contact: ${contacts.join('; ')}.` },
      { kind: 'list', items: [...cautions, LIMITS_ARE_YOURS] },
    ],
  };
}
