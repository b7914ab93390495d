import type { Practising } from './men';

export interface PairedOff {
  readonly men: readonly Practising[];
  readonly pairs: [number, number][];
}

/**
 * Pairs men who will meet, the nearest in weight together. With a limit nobody meets a man who is farther from him than that, and whoever finds
 * no match, or whose weight nobody knows, is not in the drill; without one the coach matches them by eye and everybody is.
 */
export function pairOff(men: readonly Practising[], within: number | null): PairedOff {
  if (within === null) return { men, pairs: [] };
  const known = men.filter((m) => m.weight !== null).sort((a, b) => a.weight! - b.weight! || a.playerId - b.playerId);
  const pairs: [number, number][] = [];
  const matched: Practising[] = [];
  for (let i = 0; i + 1 < known.length; i++) {
    const [light, heavy] = [known[i]!, known[i + 1]!];
    if (heavy.weight! - light.weight! > within) continue;
    pairs.push([light.playerId, heavy.playerId]);
    matched.push(light, heavy);
    i++;
  }
  return { men: matched, pairs };
}
