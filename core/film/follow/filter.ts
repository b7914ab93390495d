import { Matrix, inverse } from 'ml-matrix';

/**
 * A body in motion: x, y and z, then the speeds of x and y, with their covariance. Feet, feet a second; x and y on the field, z the height of
 * the middle of the trunk. `ahead` is what was expected of it before anything was seen on its frame.
 */
export interface Motion {
  readonly mean: readonly number[];
  readonly cov: Matrix;
  readonly ahead: Ahead | null;
}

/** What was expected of a body, and the law by which. */
interface Ahead {
  readonly mean: readonly number[];
  readonly cov: Matrix;
  readonly law: Matrix;
}

/** Where somebody who is not seen is believed to be going: a place on the field and his speed there. */
export interface Belief {
  readonly x: number;
  readonly y: number;
  readonly vx: number;
  readonly vy: number;
}

/** How much a man's speed changes within a second, ft/s as a standard deviation; within a part of it by its root. */
const CHANGES = 5.5;
/** A trunk comes to the height it has in the play at this rate a second, and is this far from it one time in three, feet. */
const UPRIGHT = { rate: 4, spread: 0.25 };
/** The speed nobody knows of a man who is not seen, feet a second as a standard deviation. */
const HIDDEN_SPEED = 3;
/** A man who is not seen comes to the speed he is believed to have at this rate, and to the place at this one, a second. */
const BELIEVES = { speed: 5, place: 1 };

const SIZE = 5;

/** The law of motion over a time: speeds carry on, or come to what is believed. */
function law(seconds: number, hidden: boolean): Matrix {
  const step = Matrix.eye(SIZE, SIZE);
  step.set(2, 2, Math.exp(-UPRIGHT.rate * seconds));
  for (const i of [0, 1]) {
    step.set(i, i + 3, seconds);
    if (!hidden) continue;
    step.set(i + 3, i + 3, Math.exp(-BELIEVES.speed * seconds));
    step.set(i, i, 1 - BELIEVES.place * seconds);
  }
  return step;
}

/** What may have happened over a time that the law does not know. */
function chance(seconds: number, hidden: boolean): Matrix {
  const noise = Matrix.zeros(SIZE, SIZE);
  const changes = CHANGES ** 2;
  for (const i of [0, 1]) {
    noise.set(i, i, (changes * seconds ** 3) / 3);
    noise.set(i, i + 3, (changes * seconds ** 2) / 2);
    noise.set(i + 3, i, (changes * seconds ** 2) / 2);
    noise.set(i + 3, i + 3, hidden ? 2 * BELIEVES.speed * HIDDEN_SPEED ** 2 * seconds : changes * seconds);
  }
  noise.set(2, 2, UPRIGHT.spread ** 2 * (1 - Math.exp(-2 * UPRIGHT.rate * seconds)));
  return noise;
}

/** A body at rest at a place known so well: standard deviations in feet. */
export const atRest = (place: readonly [number, number, number], known: readonly [number, number, number]): Motion => ({
  mean: [...place, 0, 0],
  cov: Matrix.diag([...known.map((k) => k * k), 0.25, 0.25]),
  ahead: null,
});

/** Where a body will be after a time, when its trunk comes to a height, feet; one that is not seen goes where it is believed to go, and stops without a belief. */
export function predict({ mean, cov }: Motion, seconds: number, height: number, hidden: false | Belief | true): Motion {
  const step = law(seconds, hidden !== false);
  const next = step.mmul(Matrix.columnVector([...mean])).to1DArray();
  next[2]! += height * (1 - step.get(2, 2));
  if (hidden !== false) {
    const belief = hidden === true ? { x: mean[0]!, y: mean[1]!, vx: 0, vy: 0 } : hidden;
    next[0]! += belief.x * BELIEVES.place * seconds;
    next[1]! += belief.y * BELIEVES.place * seconds;
    next[3]! += belief.vx * (1 - step.get(3, 3));
    next[4]! += belief.vy * (1 - step.get(4, 4));
  }
  const ahead = {
    mean: next,
    cov: step
      .mmul(cov)
      .mmul(step.transpose())
      .add(chance(seconds, hidden !== false)),
    law: step,
  };
  return { ...ahead, ahead };
}

/** How far a look is from what was expected, in standard deviations squared, and the body with the look taken in. */
export interface Update {
  readonly motion: Motion;
  readonly surprise: number;
}

/**
 * Takes in a look: `expected` says what would be seen of a body with such a place and speed (two numbers), `seen` what was, `error` the
 * standard deviations of the two.
 * A look that surprises counts less, as far as it does (Huber), so that one wrong look moves nobody far.
 */
export function takeIn(
  motion: Motion,
  expected: (mean: readonly number[]) => readonly [number, number] | null,
  seen: readonly [number, number],
  error: readonly [number, number],
): Update | null {
  const here = expected(motion.mean);
  if (!here) return null;
  const slope = Matrix.zeros(2, SIZE);
  for (let k = 0; k < SIZE; k++) {
    const moved = expected(motion.mean.map((m, i) => (i === k ? m + STEP : m)));
    if (!moved) return null;
    slope.set(0, k, (moved[0] - here[0]) / STEP);
    slope.set(1, k, (moved[1] - here[1]) / STEP);
  }
  const off = Matrix.columnVector([seen[0] - here[0], seen[1] - here[1]]);
  const known = slope.mmul(motion.cov).mmul(slope.transpose());
  const spreadAt = (worse: number): Matrix =>
    Matrix.add(known, Matrix.diag([(error[0] * worse) ** 2, (error[1] * worse) ** 2]));
  const surprise = off
    .transpose()
    .mmul(inverse(spreadAt(1)))
    .mmul(off)
    .get(0, 0);
  const worse = surprise > USUAL ? Math.sqrt(surprise / USUAL) : 1;
  const gain = motion.cov.mmul(slope.transpose()).mmul(inverse(spreadAt(worse)));
  const mean = Matrix.columnVector([...motion.mean])
    .add(gain.mmul(off))
    .to1DArray();
  const cov = Matrix.eye(SIZE, SIZE).sub(gain.mmul(slope)).mmul(motion.cov);
  return { motion: { ...motion, mean, cov: Matrix.add(cov, cov.transpose()).mul(0.5) }, surprise };
}

/** How far a coordinate is moved to feel what it does, feet. */
const STEP = 0.05;
/** A surprise up to this is chance: of two numbers, one in a hundred is above it. */
const USUAL = 9.2;

/** Looks back: every body's motion with what came after it known too (Rauch, Tung and Striebel). One entry a frame. */
export function lookBack(filtered: readonly Motion[]): Motion[] {
  const smooth = [...filtered];
  for (let f = filtered.length - 2; f >= 0; f--) {
    const now = filtered[f]!;
    const { ahead } = filtered[f + 1]!;
    const next = smooth[f + 1]!;
    if (!ahead) continue;
    const gain = now.cov.mmul(ahead.law.transpose()).mmul(inverse(ahead.cov, true));
    const by = gain.mmul(Matrix.columnVector(next.mean.map((m, i) => m - ahead.mean[i]!))).to1DArray();
    smooth[f] = {
      ...now,
      mean: now.mean.map((m, i) => m + by[i]!),
      cov: Matrix.add(now.cov, gain.mmul(Matrix.sub(next.cov, ahead.cov)).mmul(gain.transpose())),
    };
  }
  return smooth;
}
