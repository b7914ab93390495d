import { execFileSync } from 'node:child_process';

/** Frames a phone leaves out when it cannot keep up: each of those that remain lasts until the next. */
const LEFT_OUT = 'not(eq(mod(n,7),3)+eq(mod(n,11),5)+between(n,40,41))';

/** Writes a film as a phone does, from one that a hand has held: frames of uneven length, in the wrapping and codec of phones. */
export function asPhone(file: string, to: string): void {
  const uneven = ['-vf', `select='${LEFT_OUT}'`, '-fps_mode', 'passthrough'];
  const coded = ['-c:v', 'libx264', '-crf', '27', '-preset', 'slow', '-pix_fmt', 'yuv420p', '-movflags', '+faststart'];
  execFileSync('ffmpeg', ['-v', 'error', '-nostdin', '-y', '-i', file, ...uneven, ...coded, to]);
}
