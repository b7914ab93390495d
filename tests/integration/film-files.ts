import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

export const folder = mkdtempSync(join(tmpdir(), 'violet-chalk-film-'));

/** Writes a film of a moving test picture with these arguments and returns where it is. */
export function film(name: string, ...args: string[]): string {
  const file = join(folder, name);
  const picture = ['-f', 'lavfi', '-i', 'testsrc=size=320x180:rate=30:duration=2'];
  execFileSync('ffmpeg', ['-v', 'error', '-nostdin', '-y', ...picture, ...args, file]);
  return file;
}

export function textFile(name: string, text: string): string {
  const file = join(folder, name);
  writeFileSync(file, text);
  return file;
}

/** The first part of a file, as a broken copy leaves it. */
export function cutOff(name: string, file: string, share: number): string {
  const bytes = readFileSync(file);
  const cut = join(folder, name);
  writeFileSync(cut, bytes.subarray(0, Math.floor(bytes.length * share)));
  return cut;
}

export const H264 = ['-c:v', 'libx264', '-pix_fmt', 'yuv420p', '-g', '15', '-preset', 'ultrafast'];
