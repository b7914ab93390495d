import { execFile, spawn } from 'node:child_process';
import { promisify } from 'node:util';
import type { FilmPlan } from '#core/film/incoming/plan';
import { readProbe, type Probed } from '#core/film/incoming/probe';
import type { Motion } from '#core/film/recording/suggest';
import { MotionReader } from './motion-reader';

/*
 * Film files come from anywhere: the programs that read them run with little memory and time, see no network, and open no kind of file
 * that names other files (playlists, lists of parts).
 */

/** Bytes of memory and seconds of computing for one run. */
const MEMORY = 3_000_000_000;
const PROBE_SECONDS = 120;
const WRITE_SECONDS = 4 * 3600;
/** What a camera, a phone or a program that cuts film writes. */
const WRAPPINGS = [
  'matroska',
  'webm',
  'mov',
  'mp4',
  'm4a',
  '3gp',
  '3g2',
  'mj2',
  'avi',
  'mpegts',
  'mpeg',
  'asf',
  'flv',
  'ogg',
];
const READING = ['-protocol_whitelist', 'file', '-format_whitelist', WRAPPINGS.join(',')];

const limited = (seconds: number, program: string, args: readonly string[]): [string, string[]] => [
  'prlimit',
  [`--as=${MEMORY}`, `--cpu=${seconds}`, '--core=0', '--', program, '-hide_banner', '-nostdin', ...args],
];

/** Looks into a film file. What cannot be read is refused in words; a missing program throws. */
export async function probeFilm(file: string): Promise<Probed> {
  const [program, args] = limited(PROBE_SECONDS, 'ffprobe', [
    ...['-v', 'error', ...READING, '-select_streams', 'V:0', '-show_entries', 'packet=pts_time,flags'],
    ...['-show_streams', '-show_format', '-of', 'json', '-i', file],
  ]);
  const probe = args.filter((a) => a !== '-nostdin');
  try {
    const { stdout } = await promisify(execFile)(program, probe, {
      timeout: PROBE_SECONDS * 1000,
      maxBuffer: 200_000_000,
    });
    return readProbe(JSON.parse(stdout));
  } catch (problem) {
    const { code, killed } = problem as { code?: unknown; killed?: boolean };
    if (code === 'ENOENT')
      throw new Error('ffprobe is not installed on the machine that serves the application', { cause: problem });
    if (killed) return { ok: false, problem: `It took more than ${PROBE_SECONDS} seconds to look into this file` };
    return { ok: false, problem: 'This is no film that can be read, or its end has not come' };
  }
}

/** What is written of a film: all of it, or so many frames from one on. Frames count from 0 and last alike. */
export interface Part {
  readonly from: number;
  readonly frames: number;
  readonly rate: number;
}
/** Half a frame before one, so that rounding never shows the one before. */
const seekTo = ({ from, rate }: Part): string[] => ['-ss', String(Math.max(0, (from - 0.5) / rate))];

/** How a film is written anew: every frame as long as the next, and one in fifteen that stands alone. */
function writingArgs(file: string, plan: FilmPlan, sound: boolean, to: string, part: Part | null): string[] {
  return [
    ...[
      '-v',
      'error',
      ...(part ? seekTo(part) : []),
      ...READING,
      '-i',
      file,
      ...(part ? ['-frames:v', String(part.frames), '-t', String((part.frames + 0.5) / part.rate)] : []),
      '-map',
      '0:V:0',
      ...(sound ? ['-map', '0:a:0?'] : ['-an']),
      '-sn',
      '-dn',
    ],
    ...['-vf', `fps=${plan.rate},scale=${plan.width}:${plan.height},setsar=1`, '-pix_fmt', 'yuv420p'],
    ...['-c:v', 'libx264', '-preset', 'veryfast', '-crf', '20', '-g', '15', '-bf', '0', '-movflags', '+faststart'],
    ...['-map_metadata', '-1', '-threads', '1', '-progress', 'pipe:1', '-f', 'mp4', '-y', to],
  ];
}

export class Cancelled extends Error {}

/** Writes a film anew, telling the seconds written so far; stops when `signal` says so. The last lines of trouble are the error. */
export function writeFilm(
  file: string,
  to: string,
  { plan, sound, part = null }: { plan: FilmPlan; sound: boolean; part?: Part | null },
  told: (seconds: number) => void,
  signal: AbortSignal,
): Promise<void> {
  return run('ffmpeg', writingArgs(file, plan, sound, to, part), signal, (bytes) => {
    for (const line of bytes.toString().split('\n')) {
      const micros = /^out_time_us=(\d+)/.exec(line)?.[1];
      if (micros !== undefined) told(Number(micros) / 1e6);
    }
  });
}

/** Pictures a second, and their size, from which the motion of a recording is read: pixels. */
const LOOK = { perSecond: 10, width: 96, height: 54 } as const;

/** How much the picture changes through a film; 0 for its first picture. */
export function readMotion(file: string, signal: AbortSignal): Promise<Motion> {
  const { perSecond, width, height } = LOOK;
  const args = [
    ...['-v', 'error', ...READING, '-i', file, '-map', '0:V:0', '-an', '-sn', '-dn'],
    ...['-vf', `fps=${perSecond},scale=${width}:${height}`, '-pix_fmt', 'gray', '-threads', '1'],
    ...['-f', 'rawvideo', 'pipe:1'],
  ];
  const reader = new MotionReader(width * height);
  return run('ffmpeg', args, signal, (part) => reader.take(part)).then(() => ({ perSecond, values: reader.values }));
}

/** A still of a film, 320 pixels wide. */
export const takeStill = (file: string, at: number, to: string, signal: AbortSignal): Promise<void> =>
  run(
    'ffmpeg',
    [
      ...['-v', 'error', ...READING, '-ss', String(at), '-i', file, '-frames:v', '1', '-vf', 'scale=320:-2'],
      ...['-f', 'image2', '-c:v', 'mjpeg', '-y', to],
    ],
    signal,
    () => undefined,
  );

function run(name: string, own: readonly string[], signal: AbortSignal, told: (part: Buffer) => void): Promise<void> {
  const [program, args] = limited(WRITE_SECONDS, name, own);
  return new Promise((done, fail) => {
    const child = spawn(program, args, { stdio: ['ignore', 'pipe', 'pipe'], timeout: WRITE_SECONDS * 1000 });
    const stop = (): void => void child.kill('SIGKILL');
    signal.addEventListener('abort', stop, { once: true });
    if (signal.aborted) stop();
    let trouble = '';
    child.stderr.on('data', (part: Buffer) => (trouble = (trouble + part.toString()).slice(-2000)));
    child.stdout.on('data', told);
    child.on('error', fail);
    child.on('close', (code) => {
      signal.removeEventListener('abort', stop);
      if (signal.aborted) fail(new Cancelled());
      else if (code === 0) done();
      else fail(new Error(trouble.trim().split('\n').at(-1) || `${name} ended with ${code}`));
    });
  });
}
