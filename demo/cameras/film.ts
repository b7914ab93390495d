import { createCanvas, type Canvas } from '@napi-rs/canvas';
import { spawn } from 'node:child_process';
import { once } from 'node:events';
import type { Angle } from '#core/model/snap';
import { drawField, type Field } from './field';
import { drawFigure } from './figure';
import { projector, type Camera } from './lens';
import { FRAMES_PER_SECOND, type Frame, type Take } from './play';
import { chance } from './random';

const WIDTH = 640;
const HEIGHT = 360;
const NOISE = 7;

/** Two stands: high behind the offence, and the press box. Each hangs a little crooked, as they do. */
export function cameraFor(angle: Angle, seed: number, field: Field): Camera {
  const wobble = chance(seed + (angle === 'end zone' ? 1 : 2));
  const roll = (wobble() - 0.5) * 0.016;
  if (angle === 'end zone')
    return {
      at: { x: wobble() * 3 - 1.5, y: -86, z: 27 },
      toward: { x: 0, y: 3, z: 0.6 },
      focal: 1.92,
      roll,
      barrel: -0.1,
    };
  return {
    at: { x: -(150 + field.ballX), y: -4 + wobble() * 4, z: 40 },
    toward: { x: 0, y: -1.5, z: 0.5 },
    focal: 3.4,
    roll,
    barrel: -0.12,
  };
}

/** Films a take from one stand into a WebM file: shutter blur, sensor noise, compression. */
export async function film(take: Take, angle: Angle, field: Field, seed: number, file: string): Promise<void> {
  const canvas = createCanvas(WIDTH, HEIGHT);
  const context = canvas.getContext('2d');
  const camera = cameraFor(angle, seed, field);
  const project = projector(camera, WIDTH, HEIGHT);
  const backdrop = createCanvas(WIDTH, HEIGHT);
  const late = createCanvas(WIDTH, HEIGHT);
  drawField(backdrop.getContext('2d'), project, field, WIDTH, HEIGHT);
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
      '41',
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
  for (const [i, frame] of take.frames.entries()) {
    drawMoment(context, backdrop, project, frame, camera);
    // The shutter stays open for half a frame: two moments on one picture.
    const next = take.frames[i + 1];
    if (next) {
      drawMoment(late.getContext('2d'), backdrop, project, blend(frame, next), camera);
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
}

function blend(a: Frame, b: Frame): Frame {
  return { ...a, men: a.men.map((m, i) => ({ ...m, x: (m.x + b.men[i]!.x) / 2, y: (m.y + b.men[i]!.y) / 2 })) };
}

/** Field, then far men before near ones, so that these hide those. */
function drawMoment(
  context: Parameters<typeof drawFigure>[0],
  backdrop: Canvas,
  project: ReturnType<typeof projector>,
  frame: Frame,
  camera: Camera,
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
