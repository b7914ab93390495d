import { createCanvas, type Canvas } from '@napi-rs/canvas';
import { spawn } from 'node:child_process';
import { once } from 'node:events';
import type { Angle } from '#core/model/angle';
import { drawField, type Field } from './field';
import { drawFigure } from './figure';
import { projector, type Camera } from './lens';
import { FRAMES_PER_SECOND, type Frame, type Take } from './play';
import { chance } from './random';
import { cameraFor, heldByHand } from './stands';

export const WIDTH = 960;
export const HEIGHT = 540;
const NOISE = 7;

/** How a take is filmed. */
export interface Shooting {
  readonly angle: Angle;
  readonly field: Field;
  readonly seed: number;
  /** From a stand it never moves; from the hand it wanders. */
  readonly from: 'stand' | 'hand';
}

/** Films a take into a WebM file: shutter blur, sensor noise, compression. Gives the cameras, one a frame when it was held by hand. */
export async function film(take: Take, { angle, field, seed, from }: Shooting, file: string): Promise<Camera[]> {
  const canvas = createCanvas(WIDTH, HEIGHT);
  const context = canvas.getContext('2d');
  const still = cameraFor(angle, seed, field);
  const scene = stillScene(still, field);
  const late = createCanvas(WIDTH, HEIGHT);
  const random = chance(seed * 31);
  const grain = Int8Array.from({ length: WIDTH * HEIGHT }, () => Math.round((random() - 0.5) * NOISE));
  const encoder = spawn(
    'ffmpeg',
    [
      '-y',
      '-loglevel',
      'error',
      '-f',
      'rawvideo',
      '-pix_fmt',
      'rgba',
      '-s',
      `${WIDTH}x${HEIGHT}`,
      '-r',
      String(FRAMES_PER_SECOND),
      '-i',
      '-',
      '-c:v',
      'libvpx-vp9',
      '-b:v',
      '0',
      '-crf',
      '43',
      '-g',
      '15',
      '-cpu-used',
      '4',
      '-row-mt',
      '1',
      '-pix_fmt',
      'yuv420p',
      file,
    ],
    { stdio: ['pipe', 'inherit', 'inherit'] },
  );
  const cameras: Camera[] = [];
  for (const [i, frame] of take.frames.entries()) {
    const held = from === 'hand' ? heldByHand(still, seed, i / FRAMES_PER_SECOND, frame.ball) : null;
    const now = held ? stillScene(held, field) : scene;
    if (held) cameras.push(held);
    drawMoment(context, now, frame);
    // The shutter stays open for half a frame: two moments on one picture.
    const next = take.frames[i + 1];
    if (next) {
      drawMoment(late.getContext('2d'), now, blend(frame, next));
      context.globalAlpha = 0.4;
      context.drawImage(late, 0, 0);
      context.globalAlpha = 1;
    }
    const picture = context.getImageData(0, 0, WIDTH, HEIGHT);
    const shift = Math.floor(random() * grain.length);
    for (let p = 0; p < grain.length; p++) {
      const n = grain[(p + shift) % grain.length]!;
      picture.data[p * 4]! += n;
      picture.data[p * 4 + 1]! += n;
      picture.data[p * 4 + 2]! += n;
    }
    if (!encoder.stdin.write(Buffer.from(picture.data.buffer))) await once(encoder.stdin, 'drain');
  }
  encoder.stdin.end();
  const [code] = (await once(encoder, 'close')) as [number];
  if (code !== 0) throw new Error(`ffmpeg ended with ${code} on ${file}`);
  return from === 'hand' ? cameras : [still];
}

/** A camera with the field as it sees it, drawn once. */
interface Scene {
  readonly camera: Camera;
  readonly project: ReturnType<typeof projector>;
  readonly backdrop: Canvas;
}

function stillScene(camera: Camera, field: Field): Scene {
  const backdrop = createCanvas(WIDTH, HEIGHT);
  const project = projector(camera, WIDTH, HEIGHT);
  drawField(backdrop.getContext('2d'), project, field, WIDTH, HEIGHT);
  return { camera, project, backdrop };
}

function blend(a: Frame, b: Frame): Frame {
  return { ...a, men: a.men.map((m, i) => ({ ...m, x: (m.x + b.men[i]!.x) / 2, y: (m.y + b.men[i]!.y) / 2 })) };
}

/** Field, then far men before near ones, so that these hide those. */
function drawMoment(
  context: Parameters<typeof drawFigure>[0],
  { camera, project, backdrop }: Scene,
  frame: Frame,
): void {
  context.drawImage(backdrop, 0, 0);
  const away = (m: { x: number; y: number }): number => Math.hypot(m.x - camera.at.x, m.y - camera.at.y);
  for (const man of [...frame.men].sort((a, b) => away(b) - away(a))) drawFigure(context, project, man);
  const ball = project({ x: frame.ball.x, y: frame.ball.y, z: 0.4 });
  if (!ball) return;
  context.fillStyle = '#6b3a16';
  context.beginPath();
  context.ellipse(ball.x, ball.y, ball.scale * 0.5, ball.scale * 0.32, 0, 0, Math.PI * 2);
  context.fill();
}
