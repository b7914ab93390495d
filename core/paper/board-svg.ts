import type { Formation } from '../model/formation';
import type { Defender, Front } from '../model/front';
import type { Assignment, Resolution } from '../model/resolution';
import { BLOCKS, type BlockId } from '../vocabulary/index';

/** What is drawn: who stands where, and of a call that was worked out who does what. */
export interface BoardDrawing {
  readonly formation: Formation;
  readonly front: Front;
  /** Without it nobody's way is drawn: a front as a scout team sees it. */
  readonly resolution?: Pick<Resolution, 'assignments' | 'defenders' | 'movement'>;
  /** Seen from behind the defence. */
  readonly fromTheirs?: boolean;
  /** Defenders in whose place a cone stands. */
  readonly cones?: readonly string[];
  /** Numbers on their backs, by their letters, so far as they are known. */
  readonly numbers?: ReadonlyMap<string, number>;
  /** Only these of ours. */
  readonly seats?: readonly string[];
}

/** Points a foot is wide, and how much less a foot is deep. */
const FOOT = 9;
const DEEP = 0.8;
/** Feet beyond which nobody is drawn to scale: he stands at the edge with his distance under him. */
const FARTHEST_OUT = 22;
const FARTHEST_UP = 21;
const FARTHEST_BACK = 16;
const HALF_BAR = 9;
const TALL = 8;

const xOf = (x: number): number => Math.max(-FARTHEST_OUT, Math.min(FARTHEST_OUT, x)) * FOOT;
const yOf = (y: number): number => -Math.max(-FARTHEST_BACK, Math.min(FARTHEST_UP, y)) * FOOT * DEEP;
const n = (value: number): string => String(Math.round(10 * value) / 10);

/**
 * A board as an SVG of its own, black on white, with its marks told apart by shape: ours are filled bars with a tick toward where they play,
 * theirs open bars with a notch when they are down, paths solid for a block on the line, double for a pair, dashed on the way to the next
 * level, curved for who pulls; who is free is hatched, who is read or left is ringed.
 */
export function boardSvg(drawing: BoardDrawing): string {
  const { formation, front, resolution, fromTheirs = false, cones = [], numbers, seats } = drawing;
  const ours = formation.men.filter((m) => !seats || seats.includes(m.id));
  const shown = (resolution?.assignments ?? []).filter((a) => ours.some((m) => m.id === a.blocker));
  const moves = resolution?.movement?.moved ?? [];
  // Everybody and every way is in the picture.
  const places = [...ours, ...front.defenders, ...shown.flatMap((a) => a.path), ...moves.flatMap((m) => m.way)];
  const [xs, ys] = [places.map((p) => xOf(p.x)), places.map((p) => yOf(p.y))];
  const [left, right] = [Math.min(...xs, -12 * FOOT) - 16, Math.max(...xs, 12 * FOOT) + 16];
  const [highest, deepest] = [Math.min(...ys, -5 * FOOT) - 26, Math.max(...ys, 0) + 20];
  const flip = fromTheirs ? -1 : 1;
  const at = (p: { x: number; y: number }): { x: number; y: number } => ({ x: flip * xOf(p.x), y: flip * yOf(p.y) });
  const box = fromTheirs
    ? [-right, -deepest, right - left, deepest - highest]
    : [left, highest, right - left, deepest - highest];
  const parts = [
    ...moves.map((m) => way(m.way.map(at), 'stroke-dasharray="2 2"', true)),
    ...shown.map((a) => pathOf(a, at)),
    ...ours.map((m) => blocker(m.id, at(m), flip)),
    ...front.defenders.map((d) =>
      defender(
        d,
        at(d),
        flip,
        resolution?.defenders.find((o) => o.id === d.id)?.status ?? 'single',
        cones.includes(d.id),
        numbers?.get(d.id),
      ),
    ),
  ];
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="${box.map(n).join(' ')}" width="${n(box[2]!)}" height="${n(box[3]!)}" font-family="Helvetica" text-anchor="middle">${parts.join('')}</svg>`;
}

interface Place {
  readonly x: number;
  readonly y: number;
}

function blocker(id: string, { x, y }: Place, flip: number): string {
  const nose = `M ${n(x - 4)} ${n(y - flip * (TALL - 1))} L ${n(x)} ${n(y - flip * (TALL + 4))} L ${n(x + 4)} ${n(y - flip * (TALL - 1))} Z`;
  return `<path d="${nose}" fill="#000"/><rect x="${n(x - HALF_BAR)}" y="${n(y - TALL)}" width="${2 * HALF_BAR}" height="${2 * TALL}" rx="${TALL}" fill="#000"/><text x="${n(x)}" y="${n(y + 2.8)}" font-size="8" font-weight="bold" fill="#fff">${id}</text>`;
}

function defender(
  d: Defender,
  { x, y }: Place,
  flip: number,
  status: string,
  isCone: boolean,
  number: number | undefined,
): string {
  const beside = [number === undefined ? '' : `#${number}`, d.y > FARTHEST_UP ? `${Math.round(d.y / 3)} yd` : '']
    .filter(Boolean)
    .join(' ');
  if (isCone)
    return `<path d="M ${n(x)} ${n(y - 6)} L ${n(x + 5)} ${n(y + 4)} H ${n(x - 5)} Z" fill="none" stroke="#000" stroke-width="0.8"/><text x="${n(x)}" y="${n(y + 12)}" font-size="6.5">${d.id}</text>`;
  const near = y + flip * TALL;
  const notch =
    d.stance === 'down' ? `L ${n(x + 4)} ${n(near)} L ${n(x)} ${n(near - flip * 4)} L ${n(x - 4)} ${n(near)}` : '';
  const outline = `M ${n(x - HALF_BAR)} ${n(y - flip * TALL)} H ${n(x + HALF_BAR)} V ${n(near)} ${notch} H ${n(x - HALF_BAR)} Z`;
  const hatch =
    status === 'free'
      ? `<path d="M ${n(x - 6)} ${n(y + TALL)} L ${n(x - 1)} ${n(y - TALL)} M ${n(x + 1)} ${n(y + TALL)} L ${n(x + 6)} ${n(y - TALL)}" stroke="#000" stroke-width="0.8"/>`
      : '';
  const ring =
    status === 'read' || status === 'left'
      ? `<rect x="${n(x - HALF_BAR - 4)}" y="${n(y - TALL - 4)}" width="${2 * HALF_BAR + 8}" height="${2 * TALL + 8}" rx="8" fill="none" stroke="#000" stroke-width="1" stroke-dasharray="1 3"/>`
      : '';
  return `<path d="${outline}" fill="#fff" stroke="#000" stroke-width="1.1"/>${hatch}${ring}<text x="${n(x)}" y="${n(y + 2.8)}" font-size="8" font-weight="bold">${d.id}</text>${beside ? `<text x="${n(x)}" y="${n(y - TALL - 3)}" font-size="6.5">${beside}</text>` : ''}`;
}

function pathOf({ path, block, partners, next, target }: Assignment, at: (p: Place) => Place): string {
  if (target === null && next === null) return '';
  const places = path.map(at);
  const { course } = BLOCKS[block as BlockId];
  const split = next !== null && places.length > 2 ? places.length - 1 : places.length;
  const first = places.slice(0, split);
  const then = next === null ? '' : way(places.slice(split - 1), 'stroke-dasharray="3 2"', true);
  if (course === 'behind-the-line') return way(first, 'stroke-width="1.4"', next === null) + then;
  const dash = course === 'climb' ? 'stroke-dasharray="3 2"' : 'stroke-width="1.2"';
  const both =
    partners.length > 0
      ? [-1.4, 1.4]
          .map((by) =>
            way(
              first.map((p) => ({ x: p.x + by, y: p.y })),
              dash,
              false,
            ),
          )
          .join('')
      : way(first, dash, next === null);
  return both + then;
}

/** A way with a foot across its end. */
function way(places: readonly Place[], style: string, withFoot: boolean): string {
  const [before, end] = [places.at(-2), places.at(-1)];
  if (!before || !end) return '';
  const line = places.map((p, i) => `${i ? 'L' : 'M'} ${n(p.x)} ${n(p.y)}`).join(' ');
  const drawn = `<path d="${line}" fill="none" stroke="#000" ${style}/>`;
  if (!withFoot) return drawn;
  const length = Math.hypot(end.x - before.x, end.y - before.y) || 1;
  const [dx, dy] = [(-(end.y - before.y) / length) * 4.5, ((end.x - before.x) / length) * 4.5];
  return `${drawn}<path d="M ${n(end.x - dx)} ${n(end.y - dy)} L ${n(end.x + dx)} ${n(end.y + dy)}" stroke="#000" stroke-width="1.2"/>`;
}
