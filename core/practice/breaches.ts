import { isContact, type Drill } from '../model/drill';
import type { PracticeDay } from '../model/practice';
import type { Practising } from './men';
import { whyNot, type DayRules } from './offered';

/** What a week as it stands is held against: its own limits, whoever has changed it by hand. */
export interface Held {
  readonly days: readonly PracticeDay[];
  readonly ways: DayRules['ways'];
  readonly level: DayRules['level'];
  readonly drillOf: (id: string) => Drill | null;
  readonly men: (day: string) => readonly Practising[];
  readonly nameOf: (man: number) => string;
}

export interface Breach {
  readonly day: string;
  readonly says: string;
}

/** Where a week goes beyond what the program has entered, day by day. A plan that was made and not touched has none. */
export function breachesOf(held: Held): Breach[] {
  return held.days.flatMap((day) => [
    ...tooLong(day),
    ...notAllowed(day, held),
    ...notThere(day, held),
    ...tooMuchContact(day, held),
  ]);
}

function tooLong({ day, minutes, lines }: PracticeDay): Breach[] {
  const sum = lines.reduce((all, l) => all + l.minutes, 0);
  return sum > minutes ? [{ day, says: `${sum} minutes are planned and ${minutes} are there.` }] : [];
}

function notAllowed(day: PracticeDay, { ways, level, drillOf }: Held): Breach[] {
  return day.lines.flatMap((l) =>
    l.stations.flatMap((s): Breach[] => {
      const drill = drillOf(s.drill);
      if (!drill) return [{ day: day.day, says: `There is no drill "${s.drill}" any more.` }];
      const why = whyNot(drill, { ways, level, gear: day.gear, theme: day.theme });
      return why ? [{ day: day.day, says: `${drill.name}: ${why}.` }] : [];
    }),
  );
}

function notThere(day: PracticeDay, { men, nameOf, drillOf }: Held): Breach[] {
  const here = men(day.day);
  const busy = [...new Set(day.lines.flatMap((l) => l.stations.flatMap((s) => s.men)))];
  const away = busy.filter((id) => (here.find((m) => m.playerId === id)?.here ?? 'away') === 'away');
  const limited = here.filter(
    (m) =>
      m.here === 'limited' &&
      day.lines.some((l) => l.stations.some((s) => s.men.includes(m.playerId) && drillOf(s.drill)?.contact !== 'none')),
  );
  return [
    ...(away.length ? [{ day: day.day, says: `In a group and not there: ${away.map(nameOf).join(', ')}.` }] : []),
    ...(limited.length
      ? [
          {
            day: day.day,
            says: `Limited, and in a drill in which men meet: ${limited.map((m) => nameOf(m.playerId)).join(', ')}.`,
          },
        ]
      : []),
  ];
}

function tooMuchContact(day: PracticeDay, { days, ways, drillOf, nameOf }: Held): Breach[] {
  const minutesOf = (man: number, among: readonly PracticeDay[]): number =>
    among
      .flatMap((d) => d.lines)
      .filter((l) => l.stations.some((s) => s.men.includes(man) && isContact(drillOf(s.drill)?.contact ?? 'none')))
      .reduce((sum, l) => sum + l.minutes, 0);
  const men = [...new Set(day.lines.flatMap((l) => l.stations.flatMap((s) => s.men)))];
  const until = days.filter((d) => d.day <= day.day);
  const over = (limit: number | null, among: readonly PracticeDay[], of: string): Breach[] => {
    if (limit === null) return [];
    const who = men.filter((m) => minutesOf(m, [day]) > 0 && minutesOf(m, among) > limit);
    if (who.length === 0) return [];
    const most = Math.max(...who.map((m) => minutesOf(m, among)));
    const names = who.length > 3 ? `${who.length} men` : who.map(nameOf).join(', ');
    return [{ day: day.day, says: `${most} minutes of contact ${of} and ${limit} entered as the limit: ${names}.` }];
  };
  return [...over(ways.contactADay, [day], 'on the day'), ...over(ways.contactAWeek, until, 'in the week by then')];
}
