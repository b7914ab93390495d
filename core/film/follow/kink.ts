/** A number told frame by frame, and how far it is to be believed beside others: one over its variance. */
export interface Series {
  readonly values: readonly number[];
  readonly weight: number;
}

/** From a level something goes off faster and faster, but no man gathers speed evenly for long: by this power of the time. */
const GATHERS = 1.5;

/**
 * The frame from one to another at which series stop falling, or fall less: the same frame for all of them, that which explains most of what
 * they do on so many frames around it as straight lines with one bend, by least squares; `null` where none of them bends so. What they do
 * farther off says nothing of the bend: a man who has only just got off is faster with every frame.
 */
export function stopsFalling(series: readonly Series[], from: number, to: number, around: number): number | null {
  const end = Math.min(...series.map(({ values }) => values.length)) - 1;
  return likeliest(from, to, (at) => {
    const [begin, stop] = [Math.max(0, at - around), Math.min(end, at + around)];
    const bend = straight(framesOf(begin, stop).map((f) => Math.max(0, at - f)));
    return series.reduce(
      (sum, { values, weight }) => sum + weight * told(straight(values.slice(begin, stop + 1)), bend),
      0,
    );
  });
}

/** The frame between two at which a series begins to rise from its level, by least squares; `null` where it does not. */
export function leavesLevel(values: readonly number[], from: number, to: number): number | null {
  const left = level(values.slice(from, to + 1));
  return likeliest(from + 1, to - 1, (at) =>
    told(left, level(framesOf(from, to).map((f) => Math.max(0, f - at) ** GATHERS))),
  );
}

const framesOf = (from: number, to: number): number[] => Array.from({ length: to - from + 1 }, (_, i) => from + i);

/** The frame from one to another that tells most; `null` where none tells anything. */
function likeliest(from: number, to: number, tells: (at: number) => number): number | null {
  let found: { at: number; tells: number } | null = null;
  for (let at = from; at <= to; at++) {
    const now = tells(at);
    if (now > (found?.tells ?? 0)) found = { at, tells: now };
  }
  return found && found.at;
}

/** How much of what is left of a series a bend explains, in squares; nothing where the series goes the other way. */
function told(left: readonly number[], bend: readonly number[]): number {
  const [own, shared] = [product(bend, bend), product(bend, left)];
  return shared > 0 && own > 0 ? shared ** 2 / own : 0;
}

/** What is left of a series without its mean. */
function level(values: readonly number[]): number[] {
  const mean = values.reduce((sum, v) => sum + v, 0) / values.length;
  return values.map((v) => v - mean);
}

/** What is left of a series without its straight line. */
function straight(values: readonly number[]): number[] {
  const [left, frames] = [level(values), level(values.map((_, i) => i))];
  const slope = product(frames, left) / Math.max(1, product(frames, frames));
  return left.map((v, i) => v - slope * frames[i]!);
}

const product = (a: readonly number[], b: readonly number[]): number => a.reduce((sum, v, i) => sum + v * b[i]!, 0);
