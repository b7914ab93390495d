import { lineOf, type Formation } from '../model/formation';
import type { Defender, Front } from '../model/front';
import type { Movement } from '../model/movement';
import { SIDES, type Side } from '../model/side';
import { levelOf } from '../identify/line';

export interface MovementGroup {
  readonly name: string;
  readonly moves: readonly Movement[];
}

/** What a front can do after the snap, as a coach would go through it: the line, twists of neighbours, linebackers, the men behind. */
export function movementMenu(front: Front, formation: Formation): MovementGroup[] {
  const first = front.defenders.filter((d) => levelOf(d) === 1).sort((a, b) => a.x - b.x);
  const backers = front.defenders.filter((d) => levelOf(d) === 2 && d.position !== 'db').sort((a, b) => a.x - b.x);
  const deep = front.defenders
    .filter((d) => levelOf(d) > 1 && d.position === 'db' && Math.abs(d.x) < 30)
    .sort((a, b) => a.x - b.x);
  const edge = lineOf(formation);
  const groups: MovementGroup[] = [
    {
      name: 'The line',
      moves:
        first.length === 0
          ? []
          : [...SIDES.map((side): Movement => ({ kind: 'slant', who: null, side })), { kind: 'pinch' }],
    },
    {
      name: 'One man slants',
      moves: first.flatMap((d) => SIDES.map((side): Movement => ({ kind: 'slant', who: d.id, side }))),
    },
    {
      name: 'Twists',
      moves: first.slice(1).flatMap((d, i): Movement[] => [
        { kind: 'twist', first: first[i]!.id, second: d.id },
        { kind: 'twist', first: d.id, second: first[i]!.id },
      ]),
    },
    { name: 'Linebackers', moves: backers.flatMap((d) => backerMoves(d)) },
    {
      name: 'Walked up',
      moves: first.filter((d) => d.stance === 'up').map((d): Movement => ({ kind: 'drop', who: d.id })),
    },
    { name: 'End and linebacker', moves: exchanges(first, backers, edge[0]!.x, edge[edge.length - 1]!.x) },
    { name: 'From behind', moves: deep.map((d): Movement => ({ kind: 'down', who: d.id, side: sideOf(d) })) },
  ];
  return groups.filter((g) => g.moves.length > 0);
}

const sideOf = (d: Defender): Side => (d.x < 0 ? 'left' : 'right');

function backerMoves(d: Defender): Movement[] {
  const side = sideOf(d);
  return [
    { kind: 'blitz', who: d.id, gap: 'A', side },
    { kind: 'blitz', who: d.id, gap: 'B', side },
    ...(Math.abs(d.x) < 4
      ? [{ kind: 'blitz', who: d.id, gap: 'A', side: side === 'left' ? 'right' : 'left' } as const]
      : []),
    { kind: 'edge', who: d.id, side },
    { kind: 'scrape', who: d.id, side },
  ];
}

/** The man on each end and the linebacker nearest to him. */
function exchanges(first: readonly Defender[], backers: readonly Defender[], left: number, right: number): Movement[] {
  return [first[0], first[first.length - 1]].flatMap((end): Movement[] => {
    const second = end && [...backers].sort((a, b) => Math.abs(a.x - end.x) - Math.abs(b.x - end.x))[0];
    return end && second && (end.x < left / 2 || end.x > right / 2)
      ? [{ kind: 'exchange', first: end.id, second: second.id }]
      : [];
  });
}

/** A movement as a coach would say it. */
export function describeMovement(m: Movement): string {
  switch (m.kind) {
    case 'slant':
      return m.who ? `${m.who} slants ${m.side}` : `the line slants ${m.side}`;
    case 'pinch':
      return 'the line pinches';
    case 'loop':
      return `${m.who} loops ${m.side}`;
    case 'twist':
      return `${m.first} goes, ${m.second} loops behind him`;
    case 'blitz':
      return `${m.who} comes through the ${m.side} ${m.gap}`;
    case 'scrape':
      return `${m.who} scrapes ${m.side}`;
    case 'edge':
      return `${m.who} comes off the ${m.side} edge`;
    case 'down':
      return `${m.who} rolls down ${m.side}`;
    case 'drop':
      return `${m.who} drops out`;
    case 'exchange':
      return `${m.first} crashes, ${m.second} takes his place`;
  }
}

/** What any front can do, told by no man's name: for asking it of many fronts at once. */
export const GENERAL_MOVES = {
  'slant left': { name: 'the line slants left', of: () => [{ kind: 'slant', who: null, side: 'left' }] },
  'slant right': { name: 'the line slants right', of: () => [{ kind: 'slant', who: null, side: 'right' }] },
  pinch: { name: 'the line pinches', of: () => [{ kind: 'pinch' }] },
  'mike left': { name: 'the Mike comes through the left A', of: (_front, mike) => blitzOf(mike, 'left') },
  'mike right': { name: 'the Mike comes through the right A', of: (_front, mike) => blitzOf(mike, 'right') },
  'twist left': { name: 'the left end goes, the man inside loops', of: (front) => edgeTwist(front, 'left') },
  'twist right': { name: 'the right end goes, the man inside loops', of: (front) => edgeTwist(front, 'right') },
} as const satisfies Record<string, { name: string; of: (front: Front, mike: string | null) => Movement[] }>;
export type GeneralMove = keyof typeof GENERAL_MOVES;

const blitzOf = (mike: string | null, side: Side): Movement[] =>
  mike === null ? [] : [{ kind: 'blitz', who: mike, gap: 'A', side }];

function edgeTwist(front: Front, side: Side): Movement[] {
  const [end, inside] = front.defenders
    .filter((d) => levelOf(d) === 1)
    .sort((a, b) => (side === 'left' ? a.x - b.x : b.x - a.x));
  return end && inside ? [{ kind: 'twist', first: end.id, second: inside.id }] : [];
}
