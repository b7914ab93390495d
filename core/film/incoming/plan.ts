import type { FilmFacts } from '../../model/film';

/** What browsers play, by how the file is wrapped: the first name the probing program gives the wrapping. */
const PLAYED: Readonly<Record<string, readonly string[]>> = {
  mov: ['h264', 'av1'],
  matroska: ['vp8', 'vp9', 'av1'],
};
/** Most frames from one that stands alone to the next, so that a step back does not have to work through seconds of film. */
const KEY_EVERY = 64;
/** Larger pictures cost every laptop its smooth play and show no more of a lineman's feet. Pixels. */
const LARGEST = { width: 1920, height: 1080 } as const;
const FASTEST = 60;

/** How a film is made ready: why it has to be written anew (empty: it plays as it is), and at what rate and size. */
export interface FilmPlan {
  readonly why: readonly string[];
  readonly rate: number;
  readonly width: number;
  readonly height: number;
}

/** Decides whether a browser can show every single frame of a film, and what it takes otherwise. */
export function planFilm(facts: FilmFacts): FilmPlan {
  const { container, codec, even, rate, pixels, keyEvery, width, height } = facts;
  const wrapping = container.split(',')[0]!;
  const why: string[] = [];
  if (!Object.hasOwn(PLAYED, wrapping)) why.push(`no browser opens ${wrapping} files`);
  else if (!PLAYED[wrapping]!.includes(codec)) why.push(`no browser is sure to play ${codec} in ${wrapping} files`);
  if (!even) why.push('its frames do not last alike, so that frames could not be counted');
  if (rate > FASTEST + 0.1) why.push(`it has ${Math.round(rate)} frames a second, more than ${FASTEST}`);
  if (pixels !== 'yuv420p' && pixels !== 'yuvj420p') why.push(`browsers do not show its colours (${pixels})`);
  if (keyEvery > KEY_EVERY) why.push(`a step back would have to work through ${keyEvery} frames`);
  const shrink = Math.min(1, LARGEST.width / Math.max(width, height), LARGEST.height / Math.min(width, height));
  if (shrink < 1) why.push(`it is ${width} by ${height} large`);
  return {
    why,
    rate: Math.min(rate, FASTEST),
    width: evenly(width * shrink),
    height: evenly(height * shrink),
  };
}

/** Pictures are coded in blocks of two. */
const evenly = (length: number): number => Math.max(2, 2 * Math.round(length / 2));
