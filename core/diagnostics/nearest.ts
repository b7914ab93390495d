import { distance } from 'fastest-levenshtein';

/** The known word nearest to a mistyped one, or `null` when nothing is near: at most a third of the letters may differ. */
export function nearestWord(found: string, known: Iterable<string>): string | null {
  const word = found.toLowerCase();
  let best: string | null = null;
  let bestDistance = Math.max(1, Math.floor(word.length / 3)) + 1;
  for (const candidate of known) {
    const d = distance(word, candidate.toLowerCase());
    if (d < bestDistance) {
      best = candidate;
      bestDistance = d;
    }
  }
  return best;
}
