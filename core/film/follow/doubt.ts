/**
 * How far it is doubted that what is found of a man is he: on how many frames one after the other he was found only where he could not be, on how
 * many he was found where he was expected from two sides, and whether he is doubted.
 */
export interface Doubt {
  readonly astray: number;
  readonly expected: number;
  readonly isDoubted: boolean;
}

export const NO_DOUBT: Doubt = { astray: 0, expected: 0, isDoubted: false };

/** What is found this far from where a man was expected is doubted, and so near is where he was expected: standard deviations squared. */
const ASTRAY = 12;
const EXPECTED = 9.2;
/** He is doubted once he was found astray so long, and no more once two cameras have found him where he was expected so long, seconds. */
const LASTS = { astray: 0.1, expected: 1 / 6 };
const CAMERAS = 2;

/** Whether something that was found of a man is too far from where he was expected to be believed as it is. */
export const isAstray = (surprise: number): boolean => surprise > ASTRAY;

/**
 * The doubt of a man after one more frame. `surprises`: for every camera what was found of him there, each by how far it was from where he was
 * expected, standard deviations squared; nothing of a camera that found nobody. One camera alone cannot take a doubt away: a team mate looks the
 * same to it, and is nearer or farther.
 */
export function doubtAfter(doubt: Doubt, surprises: readonly (readonly number[])[], framesPerSecond: number): Doubt {
  const found = surprises.flat();
  if (found.length === 0) return doubt;
  const astray = found.every(isAstray) ? doubt.astray + 1 : 0;
  const cameras = surprises.filter((own) => own.some((surprise) => surprise < EXPECTED)).length;
  const expected = cameras >= CAMERAS ? doubt.expected + 1 : 0;
  const isDoubted = doubt.isDoubted || astray >= Math.round(LASTS.astray * framesPerSecond);
  return { astray, expected, isDoubted: isDoubted && expected < Math.round(LASTS.expected * framesPerSecond) };
}
