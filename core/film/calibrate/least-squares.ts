import { Matrix, inverse, solve } from 'ml-matrix';

/** The best parameters found, the sum of squared residuals there, and the matrix JᵀJ of their Jacobian. */
export interface Fit {
  readonly parameters: readonly number[];
  readonly cost: number;
  readonly normal: Matrix;
}

const MOST_STEPS = 80;
/** Gets no better than this share in a step: settled. */
const SETTLED = 1e-10;

/**
 * Levenberg-Marquardt with numeric derivatives: lowers the sum of squares of `residuals`, which must always be as many. `steps` says how
 * far each parameter is moved to feel the slope.
 */
export function leastSquares(
  residuals: (parameters: readonly number[]) => Float64Array,
  start: readonly number[],
  steps: readonly number[],
): Fit {
  let parameters = [...start];
  let now = residuals(parameters);
  let cost = squares(now);
  let damping = 1e-3;
  let slope = slopes(residuals, parameters, now, steps);
  for (let i = 0; i < MOST_STEPS && damping < 1e12; i++) {
    const step = damped(slope, now, damping);
    const next = parameters.map((p, k) => p + step[k]!);
    const then = residuals(next);
    const better = squares(then);
    if (!(better < cost)) {
      damping *= 8;
      continue;
    }
    const gained = cost - better;
    [parameters, now, cost] = [next, then, better];
    slope = slopes(residuals, parameters, now, steps);
    damping = Math.max(1e-12, damping / 6);
    if (gained < SETTLED * (1 + cost)) break;
  }
  return { parameters, cost, normal: slope.transpose().mmul(slope) };
}

const squares = (values: Float64Array): number => values.reduce((sum, v) => sum + v * v, 0);

/** The Jacobian, one row a residual. */
function slopes(
  residuals: (parameters: readonly number[]) => Float64Array,
  parameters: readonly number[],
  now: Float64Array,
  steps: readonly number[],
): Matrix {
  const jacobian = new Matrix(now.length, parameters.length);
  parameters.forEach((p, k) => {
    const moved = residuals(parameters.map((q, i) => (i === k ? p + steps[k]! : q)));
    for (let r = 0; r < now.length; r++) jacobian.set(r, k, (moved[r]! - now[r]!) / steps[k]!);
  });
  return jacobian;
}

function damped(jacobian: Matrix, now: Float64Array, damping: number): number[] {
  const normal = jacobian.transpose().mmul(jacobian);
  for (let k = 0; k < normal.rows; k++) normal.set(k, k, normal.get(k, k) * (1 + damping) + 1e-12);
  const downhill = jacobian
    .transpose()
    .mmul(Matrix.columnVector([...now]))
    .mul(-1);
  return solve(normal, downhill, true).to1DArray();
}

/** Covariance of the parameters when a residual has variance `variance`; `null` when the residuals leave some of them free. */
export function covarianceOf(normal: Matrix, variance: number): number[][] | null {
  // Scaled to ones on the diagonal: feet and radians differ by orders of magnitude, and the inverse must not mind.
  const scale = normal.diagonal().map((d) => 1 / Math.sqrt(d));
  if (scale.some((s) => !Number.isFinite(s))) return null;
  const even = normal.clone();
  for (let r = 0; r < even.rows; r++)
    for (let c = 0; c < even.columns; c++) even.set(r, c, even.get(r, c) * scale[r]! * scale[c]!);
  const turned = inverse(even, true);
  const result = turned.to2DArray().map((row, r) => row.map((v, c) => v * scale[r]! * scale[c]! * variance));
  return result.every((row, k) => row.every(Number.isFinite) && row[k]! > 0) ? result : null;
}
