import { sharesOf } from '../model/week-plan';
import { callsOf } from '../plan/work-plan';
import { placesOf, type Player } from '../roster/player';
import type { Cell, Part, Sheet } from './sheet';
import type { WeekPaper } from './week-sheets';
import { workOnce } from './work-once';

/** Room to tally what they show, a stroke a snap. */
const TALLY = 96;

export type BenchMan = Pick<Player, 'id' | 'number' | 'name' | 'seat' | 'seats'>;

/** Who plays a place and who goes in for him, in this order: whose usual place it is, then who can play there besides. */
export function depthAt(seat: string, men: readonly BenchMan[]): BenchMan[] {
  const rank = (man: BenchMan): number => (man.seat === seat ? 0 : 1 + man.seats.indexOf(seat));
  return men.filter((m) => placesOf(m).includes(seat)).sort((a, b) => rank(a) - rank(b) || a.number - b.number);
}

const named = ({ number, name }: BenchMan): string => `${number} ${name}`;

/**
 * What lies on the bench between series: their looks with what is expected and room to tally, the calls that are sound against each; which
 * sign each call answers; who goes in for whom, with a name that stands behind two places said at both.
 */
export function benchSheet(paper: WeekPaper, seats: readonly string[], men: readonly BenchMan[]): Sheet {
  const { plan, ways, sayPlay, title, stamp } = paper;
  const shares = sharesOf(plan.looks);
  const sound = new Map<number, Set<number>>();
  for (const { play, look, call } of callsOf(plan)) {
    const worked = workOnce(call, ways);
    if (worked.ok && worked.value.resolution.verdict === 'sound')
      sound.set(look, new Set([...(sound.get(look) ?? []), play]));
  }
  const sayPlays = (which: (play: number) => boolean): string =>
    plan.plays.flatMap((p, i) => (which(i) ? [`${i + 1} ${sayPlay(p)}`] : [])).join('; ');
  /** The shorter way of saying it: most of them are named by those which are not. */
  const saySound = (look: number): string => {
    const good = sound.get(look) ?? new Set();
    if (good.size === 0) return 'nothing: talk about it';
    if (good.size === plan.plays.length) return 'all of them';
    if (2 * good.size > plan.plays.length) return `all but ${sayPlays((play) => !good.has(play))}`;
    return sayPlays((play) => good.has(play));
  };
  const looks = plan.looks
    .map((l, look) => ({ ...l, look }))
    .sort((a, b) => shares[b.look]! - shares[a.look]!)
    .map(({ frontName, look }): Cell[] => [
      { strong: frontName },
      `${Math.round(100 * shares[look]!)} %`,
      '',
      saySound(look),
    ]);
  const signs: Part[] = (plan.answers ?? []).length
    ? [
        { kind: 'heading', text: 'Signs' },
        {
          kind: 'table',
          head: ['They show', 'We call', 'Seen'],
          widths: ['*', 160, TALLY],
          rows: plan.answers!.map((a): Cell[] => [
            a.seen ? `${a.sign} (${a.seen})` : a.sign,
            { strong: sayPlay(a) },
            '',
          ]),
        },
      ]
    : [];
  const starters = new Set(seats.map((seat) => depthAt(seat, men)[0]?.id));
  const depth = seats.map((seat): Cell[] => {
    const [first, ...others] = depthAt(seat, men);
    const behind = others.filter((m) => !starters.has(m.id));
    return [
      { strong: seat },
      first ? named(first) : 'nobody',
      behind.length ? behind.map(named).join(', ') : 'nobody: somebody has to move over',
      '',
    ];
  });
  return {
    title: 'Bench',
    subtitle: title,
    stamp,
    parts: [
      { kind: 'heading', text: 'What they show, a stroke a snap' },
      {
        kind: 'table',
        head: ['Look', 'Expected', 'Seen', 'Sound against it'],
        widths: [96, 50, TALLY, '*'],
        rows: looks,
      },
      ...signs,
      { kind: 'heading', text: 'Who goes in' },
      { kind: 'table', head: ['Place', 'Plays', 'Behind him', 'In from'], widths: [36, 130, '*', 60], rows: depth },
      {
        kind: 'text',
        text: 'Whoever may be hurt or ill from the heat comes out and stays out until who is trained for it says otherwise.',
        small: true,
      },
    ],
  };
}
