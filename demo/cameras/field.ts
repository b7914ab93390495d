import type { SKRSContext2D } from '@napi-rs/canvas';
import type { Pixel, Space } from './lens';

type Project = (p: Space) => Pixel | null;

/** The field around the ball: lines every five yards, hashes, numbers. Feet; `ballX` is the ball's distance from the middle of the field. */
export interface Field {
  readonly yardLine: number;
  readonly ballX: number;
}

const HALF_WIDTH = 80;
const HASH = 26.67;
const NUMBER_OUT = 80 - 27;
const FIVE_YARDS = 15;
const CHALK = 'rgba(240, 244, 236, 0.85)';

/** Strokes of the digits on a box one wide and 1.6 high. */
const DIGITS: Record<string, [number, number][][]> = {
  0: [
    [
      [0, 0],
      [1, 0],
      [1, 1.6],
      [0, 1.6],
      [0, 0],
    ],
  ],
  1: [
    [
      [0.5, 0],
      [0.5, 1.6],
    ],
  ],
  2: [
    [
      [0, 1.6],
      [1, 1.6],
      [1, 0.8],
      [0, 0.8],
      [0, 0],
      [1, 0],
    ],
  ],
  3: [
    [
      [0, 1.6],
      [1, 1.6],
      [1, 0],
      [0, 0],
    ],
    [
      [0.2, 0.8],
      [1, 0.8],
    ],
  ],
  4: [
    [
      [0, 1.6],
      [0, 0.8],
      [1, 0.8],
    ],
    [
      [1, 1.6],
      [1, 0],
    ],
  ],
  5: [
    [
      [1, 1.6],
      [0, 1.6],
      [0, 0.8],
      [1, 0.8],
      [1, 0],
      [0, 0],
    ],
  ],
};

export function drawField(context: SKRSContext2D, project: Project, field: Field, width: number, height: number): void {
  const turf = context.createLinearGradient(0, 0, 0, height);
  turf.addColorStop(0, '#355b3d');
  turf.addColorStop(1, '#42704a');
  context.fillStyle = turf;
  context.fillRect(0, 0, width, height);
  const line = (a: Space, b: Space, feet: number): void => strokeLine(context, project, a, b, feet);
  const left = -HALF_WIDTH - field.ballX;
  const right = HALF_WIDTH - field.ballX;
  const first = -((field.yardLine % 5) * 3);
  for (let y = first - 4 * FIVE_YARDS; y <= first + 9 * FIVE_YARDS; y += FIVE_YARDS) {
    line({ x: left, y, z: 0 }, { x: right, y, z: 0 }, 0.35);
    for (const x of [-HASH - field.ballX, HASH - field.ballX]) line({ x, y: y - 1, z: 0 }, { x, y: y + 1, z: 0 }, 0.3);
    for (let k = 1; k < 5; k++) {
      for (const side of [-HASH, HASH])
        line({ x: side - field.ballX - 1, y: y + k * 3, z: 0 }, { x: side - field.ballX + 1, y: y + k * 3, z: 0 }, 0.3);
    }
    const yard = field.yardLine + Math.round(y / 3);
    if (yard % 10 === 0 && yard > 0 && yard < 100)
      drawNumber(context, project, Math.min(yard, 100 - yard), y, field.ballX);
  }
  for (const x of [left, right]) line({ x, y: first - 60, z: 0 }, { x, y: first + 140, z: 0 }, 1.2);
}

function strokeLine(context: SKRSContext2D, project: Project, a: Space, b: Space, feet: number): void {
  const pieces = 24;
  context.strokeStyle = CHALK;
  let last = project(a);
  for (let i = 1; i <= pieces; i++) {
    const t = i / pieces;
    const next = project({ x: a.x + (b.x - a.x) * t, y: a.y + (b.y - a.y) * t, z: 0 });
    if (last && next) {
      context.lineWidth = Math.max(0.6, next.scale * feet);
      context.beginPath();
      context.moveTo(last.x, last.y);
      context.lineTo(next.x, next.y);
      context.stroke();
    }
    last = next;
  }
}

/** Two digits on each side, feet of the digits toward the near sideline. */
function drawNumber(context: SKRSContext2D, project: Project, number: number, y: number, ballX: number): void {
  for (const side of [-1, 1]) {
    String(number)
      .split('')
      .forEach((digit, i) => {
        for (const stroke of DIGITS[digit] ?? []) {
          const points = stroke.map(([u, v]) =>
            project({
              x: side * (NUMBER_OUT + (1.6 - v) * 3.4) - ballX,
              y: y + side * -1 * (1 - u - (i === 0 ? -0.35 : 1.35)) * -3,
              z: 0,
            }),
          );
          context.lineWidth = Math.max(1, (points[0]?.scale ?? 1) * 0.8);
          context.beginPath();
          points.forEach((p, k) => p && (k ? context.lineTo(p.x, p.y) : context.moveTo(p.x, p.y)));
          context.stroke();
        }
      });
  }
}
