/** The part of odex's own interface that the tests use; its source does not pass strict checks. */
export class Solver {
  constructor(dimension: number);
  absoluteTolerance: number;
  relativeTolerance: number;
  maxSteps: number;
  solve(
    slope: (time: number, state: number[]) => number[],
    from: number,
    state: number[],
    to: number,
  ): { y: number[] };
}
