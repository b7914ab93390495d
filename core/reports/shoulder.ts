import type { Assignment, Resolution } from '../model/resolution';

/** The two shoulders as they are said to a man: never right or left; to the centre by where the ball goes. */
const PAIRS = [
  ['inside', 'outside'],
  ['play side', 'back side'],
] as const;
export type Shoulder = (typeof PAIRS)[number][number];

/**
 * The shoulder a man strikes with: the one on the other side of his man than his head goes. `null` in protection, where hands strike, and where
 * his head goes to neither side.
 */
export function shoulderOf(
  { technique, path }: Pick<Assignment, 'technique' | 'path'>,
  { passing }: Pick<Resolution, 'passing'>,
): Shoulder | null {
  const head = passing ? null : technique?.head;
  if (head === 'across') {
    // Beyond the man he goes to: inside him when he goes in.
    const goesIn = Math.abs(path.at(-1)!.x) <= Math.abs(path[0]!.x);
    return goesIn ? 'outside' : 'inside';
  }
  const pair = shouldersWith(head);
  return pair ? pair.find((s) => s !== head)! : null;
}

/** The two to choose from that one of them belongs to. */
export const shouldersWith = (one: string | null | undefined): readonly Shoulder[] | null =>
  PAIRS.find((pair) => pair.some((s) => s === one)) ?? null;
