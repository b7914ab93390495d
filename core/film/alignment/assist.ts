import type { Calibration, Pixel } from '../../model/calibration';
import { groundAt, scaleAt } from '../calibrate/camera';

/** A picture as it is read from film: rows of red, green, blue and opacity, 0 to 255. */
export interface Colours {
  readonly width: number;
  readonly height: number;
  readonly data: ArrayLike<number>;
}

/** How far around a click feet are looked for, feet: to the side, up and down. */
const LOOKS = { aside: 1.1, up: 1.6, down: 1.4 };
/** Feet farther from a click than this are somebody else's, feet. */
const HIS = 0.45;
/** A click this near to them is there already, and surer than colours are, feet. */
const THERE = 0.15;
/** Between the feet the ground is so far above the lowest edge of the shoes, feet. */
const SOLE = 0.12;
/** How far around a click the ground is learnt, feet. */
const GROUND = 6;
/** A colour is another than the ground's from this share of red, green or blue on; too dark to tell one below this sum. */
const OTHER = 0.055;
const DARK = 60;
/** Shoes are so high, feet: they say where he stands to the side. */
const SHOES = 0.7;
/** So little of a man is none, feet across; and so much ground is free under him, feet. */
const LEAST = 0.35;
const FREE = 0.35;
/** What is no ground over this share of a row is a line of the field. */
const ACROSS = 0.85;

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
 * Puts a click right that somebody made near a man's feet: on to the middle of the lowest part of what is no ground there, by colour alone.
 * `scale`: pixels a foot at that place. `null` where the click stays: it is there already, nobody is, or
 * somebody else stands in front of his feet.
 */
export function feetNear(picture: Colours, click: Pixel, scale: number): Pixel | null {
  const ground = groundAround(picture, click, GROUND * scale);
  const box = {
    left: Math.round(click.x - LOOKS.aside * scale),
    right: Math.round(click.x + LOOKS.aside * scale),
    top: Math.round(click.y - LOOKS.up * scale),
    bottom: Math.round(click.y + (LOOKS.down + FREE) * scale),
  };
  if (box.left < 0 || box.top < 0 || box.right >= picture.width || box.bottom >= picture.height) return null;
  const rows: Row[] = [];
  for (let y = box.top; y <= box.bottom; y++) {
    let [count, sum] = [0, 0];
    for (let x = box.left; x <= box.right; x++)
      if (isOther(picture, x, y, ground)) {
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
  const last = ends.sort((one, other) => Math.abs(rows[one]!.y - click.y) - Math.abs(rows[other]!.y - click.y))[0];
  if (last === undefined) return null;
  const shoes = rows.slice(Math.max(0, last - Math.round(SHOES * scale)), last + 1).filter(isMan);
  const count = shoes.reduce((all, r) => all + r.count, 0);
  const feet = { x: shoes.reduce((all, r) => all + r.sum, 0) / count, y: rows[last]!.y - SOLE * scale };
  const moved = Math.hypot(feet.x - click.x, feet.y - click.y) / scale;
  return moved < THERE || moved > HIS ? null : feet;
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
