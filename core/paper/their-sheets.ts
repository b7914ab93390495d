import { techniqueOf } from '../identify/techniques';
import { levelOf } from '../identify/line';
import type { WorkedCall } from '../calls/resolve-call';
import { SHIPPED_SETTINGS } from '../model/settings';
import { YARD } from '../geometry/units';
import { sharesOf, theirManOf } from '../model/week-plan';
import { callsOf } from '../plan/work-plan';
import { BLOCKS, type BlockId } from '../vocabulary/index';
import type { Cell, Sheet } from './sheet';
import type { WeekPaper } from './week-sheets';
import { workOnce } from './work-once';

interface Seen {
  readonly play: number;
  readonly look: number;
  readonly worked: WorkedCall;
}

const seenIn = ({ plan, ways }: WeekPaper): Seen[] =>
  callsOf(plan).flatMap(({ play, look, call }) => {
    const worked = workOnce(call, ways);
    return worked.ok ? [{ play, look, worked: worked.value }] : [];
  });

/** Their men whom anybody of ours has in the week, those we have most often first, by the letters they have on the fronts. */
export function theirMen(paper: WeekPaper): string[] {
  const { plan } = paper;
  const shares = sharesOf(plan.looks);
  const times = new Map<string, number>();
  for (const { play, look, worked } of seenIn(paper))
    for (const id of new Set(worked.resolution.assignments.flatMap((a) => a.target ?? [])))
      times.set(id, (times.get(id) ?? 0) + plan.plays[play]!.times * shares[look]!);
  return [...times].sort((a, b) => b[1] - a[1] || (a[0] < b[0] ? -1 : 1)).map(([id]) => id);
}

/** A page about one of theirs: where he stands in each look and what he does there, and in every play who has him and how. */
export function theirManSheet(paper: WeekPaper, id: string): Sheet {
  const { plan, sayPlay, title, stamp } = paper;
  const seen = seenIn(paper);
  const shares = sharesOf(plan.looks);
  const looks = plan.looks.map((l, look) => ({ ...l, look })).sort((a, b) => shares[b.look]! - shares[a.look]!);
  const places = looks.flatMap(({ look, frontName }): Cell[][] => {
    const worked = seen.find((s) => s.look === look)?.worked;
    const he = worked?.front.defenders.find((d) => d.id === id);
    if (!worked || !he) return [];
    return [
      [{ strong: frontName }, `${Math.round(100 * shares[look]!)} %`, placeOf(worked, id, paper), movesOf(worked, id)],
    ];
  });
  const had = plan.plays.map((play, i): Cell[] => [
    { strong: sayPlay(play) },
    ...looks.map(({ look }) => {
      const worked = seen.find((s) => s.play === i && s.look === look)?.worked;
      return worked?.front.defenders.some((d) => d.id === id) ? whoHas(worked, id) : '';
    }),
  ]);
  const { number, note } = theirManOf(plan, id);
  return {
    title: number === null ? `Their ${id}` : `Their ${id}, number ${number}`,
    subtitle: note ? `${title}. Known for: ${note}` : title,
    stamp,
    parts: [
      { kind: 'heading', text: 'Where he is' },
      {
        kind: 'table',
        head: ['Look', 'Share', 'He stands', 'After the snap'],
        widths: [120, 40, 120, '*'],
        rows: places,
      },
      { kind: 'heading', text: 'Who has him' },
      {
        kind: 'table',
        head: ['Play', ...looks.map((l) => l.frontName)],
        widths: [110, ...looks.map(() => '*' as const)],
        rows: had,
      },
      { kind: 'text', text: 'Notes:', small: true },
    ],
  };
}

/** Where he stands, in the program's words for places: "5 outside", or how deep he is. */
function placeOf({ formation, front }: WorkedCall, id: string, { ways }: WeekPaper): string {
  const settings = ways.settings ?? SHIPPED_SETTINGS;
  const he = front.defenders.find((d) => d.id === id)!;
  const { label } = techniqueOf(he, formation, settings);
  if (levelOf(he) === 1) return he.stance === 'up' ? `${label}, standing` : label;
  return `${label}, ${Math.round(he.y / YARD)} yards off`;
}

function movesOf({ resolution }: WorkedCall, id: string): string {
  const moved = resolution.movement?.moved.find((m) => m.id === id);
  if (!moved) return 'plays where he stands';
  const [from, to] = [moved.way[0]!, moved.way.at(-1)!];
  const out = Math.abs(to.x) > Math.abs(from.x);
  return to.y < from.y - 4 ? 'comes' : out ? 'goes out' : 'goes in';
}

function whoHas({ resolution }: WorkedCall, id: string): string {
  const on = resolution.assignments.filter((a) => a.target === id || a.next === id);
  if (on.length === 0) {
    const status = resolution.defenders.find((d) => d.id === id)?.status;
    return status === 'read' ? 'read' : status === 'left' ? 'left' : 'nobody';
  }
  return on
    .map((a) => `${a.blocker} ${a.target === id ? BLOCKS[a.block as BlockId].name.toLowerCase() : 'then'}`)
    .join(', ');
}
