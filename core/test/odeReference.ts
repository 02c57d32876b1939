import { Solver } from 'odex';

/**
 * Integrates a system with an independent library: odex, the extrapolation method of Hairer,
 * Nørsett and Wanner.
 *
 * @param input.tolerance relative and absolute, per component
 * @returns the state at `to`
 */
export function integrateReference(input: {
  slope: (time: number, state: number[]) => number[];
  state: number[];
  from: number;
  to: number;
  tolerance: number;
}): number[] {
  const { slope, state, from, to, tolerance } = input;
  const solver = new Solver(state.length);
  solver.absoluteTolerance = solver.relativeTolerance = tolerance;
  solver.maxSteps = 1_000_000;
  return solver.solve(slope, from, state, to).y;
}
