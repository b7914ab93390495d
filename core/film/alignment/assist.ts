import type { Calibration, Pixel } from '../../model/calibration';
import type { ClipBody } from '../../model/snap';
import { groundAt, scaleAt } from '../calibrate/camera';

/** A picture as it is read from film: rows of red, green, blue and opacity, 0 to 255. */
export interface Colours {
  readonly width: number;
  readonly height: number;
  readonly data: ArrayLike<number>;
}

/** How far around a click feet are looked for, feet: to the side, up and down. */
const LOOKS = { aside: 1.5, up: 1.6, down: 1.4 };
/** Feet farther from a click than this are somebody else's, feet. */
const HIS = 0.45;
/** A click this near to them is there already, and surer than colours are, feet. */
const THERE = 0.15;
/** What colour and difference say has to agree within so much, feet. */
const AGREE = 0.25;
/** Between the feet the ground is so far above the lowest edge of the shoes, feet. */
const SOLE = 0.12;
/** How far around a click the ground is learnt, feet. */
const GROUND = 6;
/** So often his middle is looked for anew. */
const TURNS = 6;
/** A colour is another than the ground's from this share of red, green or blue on; too dark to tell one below this sum. */
const OTHER = 0.055;
const DARK = 60;
/** What is brighter than the ground by this share is none; what is darker may lie in a shadow. */
const BRIGHTER = 1.25;
/** Shoes are so high, feet: they say where he stands to the side. */
const SHOES = 0.7;
/** So little of a man is none, feet across; and so much ground is free under him, feet. */
const LEAST = 0.35;
const FREE = 0.35;
/** What is no ground over this share of a row is a line of the field. */
const ACROSS = 0.85;

/** When everybody has left the place he had at the snap, seconds after it. */
const SECONDS = [1.2, 1.6, 2, 2.4, 2.8];
/** With fewer pictures of then whoever runs over a place is taken for the ground there. */
const FEWEST = 3;

/** The frames of a clip on which everybody is elsewhere than at the snap; none of a clip that ends too soon. */
export function framesElsewhere({
  snapFrame,
  frames,
  framesPerSecond,
}: Pick<ClipBody, 'snapFrame' | 'frames' | 'framesPerSecond'>): number[] {
  const there = SECONDS.map((s) => snapFrame + Math.round(s * framesPerSecond)).filter((frame) => frame < frames);
  return there.length < FEWEST ? [] : there;
}

/** Pixels a foot where a pixel shows the ground; `null` where it shows none. */
export function scaleOnGround(
  calibration: Pick<Calibration, 'camera' | 'width' | 'height'>,
  pixel: Pixel,
): number | null {
  const place = groundAt(calibration.camera, pixel, calibration);
  return place && scaleAt(calibration.camera, { ...place, z: 0 }, calibration);
}

/** The shares of red and green in a colour: the same in light and in shadow. */
type Hue = readonly [red: number, green: number];

/**
 * Puts a click right that somebody made near a man's feet: on to the middle of the lowest part of what is no ground there. What the
 * ground is, is told by the colour most of it has and, pixel by pixel, from `others`: pictures the same camera took, standing still, at moments
 * when everybody is somewhere else. Where one of the two finds nobody the other is believed. `scale`: pixels a foot at that place. `null` where the
 * click stays: it is there already, nobody is, somebody else stands in front of his feet, or the two do not agree.
 */
export function feetNear(picture: Colours, click: Pixel, scale: number, others: readonly Colours[] = []): Pixel | null {
  const alike = others.filter(({ width, height }) => width === picture.width && height === picture.height);
  const byDifference = alike.length > 0 ? lowestNear(picture, click, scale, differsFrom(picture, alike)) : null;
  const byColour = lowestNear(picture, click, scale, isColoured(picture, click, scale));
  const feet = byDifference && byColour ? whereBoth(byDifference, byColour, AGREE * scale) : (byDifference ?? byColour);
  if (!feet) return null;
  const moved = Math.hypot(feet.x - click.x, feet.y - click.y) / scale;
  return moved < THERE || moved > HIS ? null : feet;
}

/** The middle of two places that are so near each other; `null` of others, as one of them is wrong. */
const whereBoth = (one: Pixel, other: Pixel, near: number): Pixel | null =>
  Math.hypot(one.x - other.x, one.y - other.y) > near ? null : { x: (one.x + other.x) / 2, y: (one.y + other.y) / 2 };

/** Whether a pixel is no ground. */
type IsOther = (x: number, y: number) => boolean;

/** By colour alone. */
function isColoured(picture: Colours, click: Pixel, scale: number): IsOther {
  const ground = groundAround(picture, click, GROUND * scale);
  return (x, y) => isOther(picture, x, y, ground);
}

/** By what else is seen at the same pixel: another colour, or a brighter one; what is only darker is in a shadow. */
function differsFrom({ width, data }: Colours, others: readonly Colours[]): IsOther {
  const usualAt = (i: number): number => middle(others.map((other) => other.data[i]!));
  return (x, y) => {
    const channels = [0, 1, 2].map((channel) => 4 * (y * width + x) + channel);
    const [now, usual] = [channels.map((i) => data[i]!), channels.map(usualAt)];
    const [all, before] = [total(now), total(usual)];
    if (all > before * BRIGHTER) return true;
    if (all < DARK || before < DARK) return before >= DARK;
    return [0, 1].some((channel) => Math.abs(now[channel]! / all - usual[channel]! / before) > OTHER);
  };
}
const total = (channels: readonly number[]): number => channels.reduce((sum, one) => sum + one, 0);

function lowestNear(picture: Colours, click: Pixel, scale: number, isNoGround: IsOther): Pixel | null {
  let feet = click;
  // What belongs to him is told from the middle of him, which is nearer with every turn.
  for (let turn = 0; turn < TURNS; turn++) {
    const found = lowestAround(picture, { x: feet.x, y: click.y }, scale, isNoGround);
    if (!found) return null;
    const isDone = Math.abs(found.x - feet.x) < 0.5;
    feet = found;
    if (isDone) break;
  }
  return feet;
}

/** The middle of the lowest part of what is no ground around a place; `null` where there is none. */
function lowestAround(picture: Colours, around: Pixel, scale: number, isNoGround: IsOther): Pixel | null {
  const box = {
    left: Math.round(around.x - LOOKS.aside * scale),
    right: Math.round(around.x + LOOKS.aside * scale),
    top: Math.round(around.y - LOOKS.up * scale),
    bottom: Math.round(around.y + (LOOKS.down + FREE) * scale),
  };
  if (box.left < 0 || box.top < 0 || box.right >= picture.width || box.bottom >= picture.height) return null;
  const rows: Row[] = [];
  for (let y = box.top; y <= box.bottom; y++) {
    let [count, sum] = [0, 0];
    for (let x = box.left; x <= box.right; x++)
      if (isNoGround(x, y)) {
        count++;
        sum += x;
      }
    rows.push({ y, count, sum });
  }
  const wide = box.right - box.left + 1;
  /** A row that is no ground from side to side is a line of the field. */
  const isMan = ({ count }: Row): boolean => count >= LEAST * scale && count < ACROSS * wide;
  const free = Math.max(1, Math.round(FREE * scale));
  const ends = rows.flatMap((row, i) => {
    const below = rows.slice(i + 1, i + 1 + free);
    return isMan(row) && below.length === free && !below.some(isMan) ? [i] : [];
  });
  const last = ends.sort((one, other) => Math.abs(rows[one]!.y - around.y) - Math.abs(rows[other]!.y - around.y))[0];
  if (last === undefined) return null;
  const shoes = rows.slice(Math.max(0, last - Math.round(SHOES * scale)), last + 1).filter(isMan);
  const count = shoes.reduce((all, r) => all + r.count, 0);
  return { x: shoes.reduce((all, r) => all + r.sum, 0) / count, y: rows[last]!.y - SOLE * scale };
}

/** What is no ground in a row: how many pixels, and the sum of their places. */
interface Row {
  readonly y: number;
  readonly count: number;
  readonly sum: number;
}

function hueAt({ width, data }: Colours, x: number, y: number): Hue | null {
  const i = 4 * (y * width + x);
  const [red, green, blue] = [data[i]!, data[i + 1]!, data[i + 2]!];
  const all = red + green + blue;
  return all < DARK ? null : [red / all, green / all];
}

/** What most of the picture around a place looks like. */
function groundAround(picture: Colours, { x, y }: Pixel, reach: number): Hue {
  const [reds, greens]: [number[], number[]] = [[], []];
  const step = Math.max(1, Math.round(reach / 24));
  for (let at = Math.max(0, Math.round(y - reach)); at <= Math.min(picture.height - 1, y + reach); at += step)
    for (let to = Math.max(0, Math.round(x - reach)); to <= Math.min(picture.width - 1, x + reach); to += step) {
      const hue = hueAt(picture, to, at);
      if (!hue) continue;
      reds.push(hue[0]);
      greens.push(hue[1]);
    }
  return [middle(reds), middle(greens)];
}
const middle = (all: number[]): number => all.sort((a, b) => a - b)[all.length >> 1] ?? 1 / 3;

function isOther(picture: Colours, x: number, y: number, [red, green]: Hue): boolean {
  const hue = hueAt(picture, x, y);
  return !hue || Math.abs(hue[0] - red) > OTHER || Math.abs(hue[1] - green) > OTHER;
}
