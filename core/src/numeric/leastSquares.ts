import { inverseOf } from './inverseOf.ts';

/** How a fit ended, and what it found. */
export interface LeastSquares {
  readonly status: 'converged' | 'iterationLimit';
  readonly parameters: readonly number[];
  /** Inverse of JᵀJ at the end: the covariance, where each residual is in its standard deviations. */
  readonly covariance: readonly (readonly number[])[];
  readonly sumOfSquares: number;
  readonly rounds: number;
}

const MOST_ROUNDS = 500;
/** A step that moves less than this of each parameter is the last. */
const SETTLED = 1e-12;
const FIRST_DAMPING = 1e-3;
const MOST_DAMPING = 1e16;

/**
 * Non-linear least squares by Levenberg and Marquardt, damped in proportion to each parameter's own
 * curvature.
 *
 * @param input.residuals of the parameters: what is made small, m of them
 * @param input.start n parameters from which it begins
 * @param input.jacobian derivatives of the residuals, m rows of n; by central differences where left out
 * @see Marquardt 1963, An algorithm for least-squares estimation of nonlinear parameters (memory)
 */
export function leastSquares(input: {
  residuals: (parameters: readonly number[]) => readonly number[];
  start: readonly number[];
  jacobian?: (parameters: readonly number[]) => readonly (readonly number[])[];
  mostRounds?: number;
  /**
   * A step that moves every parameter by less than this is the last, in standard deviations as they are
   * where all others are known; left out it goes on until nothing moves.
   */
  settledSigmas?: number;
}): LeastSquares {
  const {
    residuals,
    jacobian = differences(residuals),
    mostRounds = MOST_ROUNDS,
    settledSigmas = 0,
  } = input;
  let parameters = [...input.start];
  let now = residuals(parameters);
  let sum = squares(now);
  let damping = FIRST_DAMPING;
  let { curvature, pull } = normalOf(jacobian(parameters), now);
  let rounds = 0;
  let status: LeastSquares['status'] = 'iterationLimit';
  while (rounds < mostRounds) {
    rounds += 1;
    const step = stepOf(curvature, pull, damping);
    const next = step && parameters.map((value, i) => value - step[i]!);
    const then = next && residuals(next);
    const after = then ? squares(then) : Infinity;
    if (!next || !then || !(after <= sum)) {
      damping *= 4;
      if (damping < MOST_DAMPING) continue;
      // No step makes it smaller: this is the least that rounding leaves.
      status = 'converged';
      break;
    }
    const isSettled = step.every(
      (by, i) =>
        Math.abs(by) <= SETTLED * (Math.abs(next[i]!) + SETTLED) ||
        Math.abs(by) * Math.sqrt(curvature[i]![i]!) < settledSigmas,
    );
    const isFlat = sum - after <= 1e-15 * after && damping < 1;
    [parameters, now, sum] = [next, then, after];
    damping = Math.max(1e-15, damping / 6);
    ({ curvature, pull } = normalOf(jacobian(parameters), now));
    if (!isSettled && !isFlat) continue;
    status = 'converged';
    break;
  }
  const covariance = inverseOf(curvature) ?? curvature.map((row) => row.map(() => Infinity));
  return { status, parameters, covariance, sumOfSquares: sum, rounds };
}

const squares = (values: readonly number[]): number =>
  values.reduce((sum, value) => sum + value * value, 0);

/** JᵀJ and Jᵀr. */
function normalOf(slopes: readonly (readonly number[])[], now: readonly number[]) {
  const n = slopes[0]?.length ?? 0;
  const curvature = Array.from({ length: n }, () => Array.from({ length: n }, () => 0));
  const pull = Array.from({ length: n }, () => 0);
  slopes.forEach((row, k) => {
    for (let i = 0; i < n; i++) {
      const a = row[i]!;
      if (a === 0) continue;
      pull[i]! += a * now[k]!;
      const own = curvature[i]!;
      for (let j = 0; j < n; j++) own[j]! += a * row[j]!;
    }
  });
  return { curvature, pull };
}

/** The damped step; null where the matrix is not positive definite. */
function stepOf(
  curvature: readonly (readonly number[])[],
  pull: readonly number[],
  damping: number,
): number[] | null {
  // In each parameter's own scale, so that large and small ones stand beside one another.
  const scale = curvature.map((row, i) => Math.sqrt(row[i]!) || 1);
  const scaled = curvature.map((row, i) =>
    row.map((value, j) => value / (scale[i]! * scale[j]!) + (i === j ? damping : 0)),
  );
  const inverse = inverseOf(scaled);
  return (
    inverse &&
    inverse.map(
      (row, i) => row.reduce((sum, c, j) => sum + (c * pull[j]!) / scale[j]!, 0) / scale[i]!,
    )
  );
}

/** Slopes by central differences. */
const differences =
  (residuals: (parameters: readonly number[]) => readonly number[]) =>
  (parameters: readonly number[]): number[][] => {
    const columns = parameters.map((value, i) => {
      const by = 6e-6 * Math.max(Math.abs(value), 1e-4);
      const [up, down] = [
        residuals([...parameters].with(i, value + by)),
        residuals([...parameters].with(i, value - by)),
      ];
      return up.map((one, k) => (one - down[k]!) / (2 * by));
    });
    return (columns[0] ?? []).map((_, k) => columns.map((column) => column[k]!));
  };
