import { spawnSync } from 'node:child_process';
import { createRequire } from 'node:module';
import type { Cv, Frame } from '#eyes/opencv-eyes';
import { SIZE } from './truth';

/** All frames of a clip, decoded. */
export function framesOf(file: string): Frame[] {
  const { width, height } = SIZE;
  const decoded = spawnSync('ffmpeg', ['-v', 'error', '-i', file, '-f', 'rawvideo', '-pix_fmt', 'rgba', '-'], {
    maxBuffer: 2 ** 30,
  });
  if (decoded.status !== 0) throw new Error(`${file}: ${decoded.stderr.toString()}`);
  const bytes = width * height * 4;
  return Array.from({ length: decoded.stdout.length / bytes }, (_, i) => ({
    width,
    height,
    data: decoded.stdout.subarray(i * bytes, (i + 1) * bytes),
  }));
}

/** OpenCV, once it is ready. The module must not come out of a promise: it would be taken for one. */
export async function openCv(): Promise<{ cv: Cv }> {
  const cv = createRequire(import.meta.url)('@techstark/opencv-js') as Cv & { onRuntimeInitialized: () => void };
  if (!('Mat' in cv) || !cv.Mat) await new Promise<void>((done) => (cv.onRuntimeInitialized = done));
  return { cv };
}
