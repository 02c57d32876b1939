/** A state of two numbers; what they are is the caller's business. */
export interface Pair {
  readonly x: number;
  readonly y: number;
}

/** The slope of a pair of states. */
export type PairSlope = (state: Pair) => Pair;

/**
 * One step of an autonomous pair of equations, with its error, by Dormand and Prince.
 *
 * @param input.slope derivative of the state by time
 * @param input.state where the step begins
 * @param input.step its length, in the unit of time of `slope`
 * @param input.first the slope at `state`, where the step before has it already
 * @returns the state after the step (order 5), the slope there, and the estimated error of each
 *   component
 * @see Dormand and Prince 1980, A family of embedded Runge–Kutta formulae, table 2
 */
export function dormandPrinceStep(input: {
  slope: PairSlope;
  state: Pair;
  step: number;
  first?: Pair | undefined;
}): { state: Pair; last: Pair; error: Pair } {
  const { slope, state, step: h } = input;
  const { x, y } = state;
  const k1 = input.first ?? slope(state);
  const k2 = slope({ x: x + (h * k1.x) / 5, y: y + (h * k1.y) / 5 });
  const k3 = slope({
    x: x + h * ((3 / 40) * k1.x + (9 / 40) * k2.x),
    y: y + h * ((3 / 40) * k1.y + (9 / 40) * k2.y),
  });
  const k4 = slope({
    x: x + h * ((44 / 45) * k1.x - (56 / 15) * k2.x + (32 / 9) * k3.x),
    y: y + h * ((44 / 45) * k1.y - (56 / 15) * k2.y + (32 / 9) * k3.y),
  });
  const k5 = slope({
    x:
      x +
      h *
        ((19372 / 6561) * k1.x -
          (25360 / 2187) * k2.x +
          (64448 / 6561) * k3.x -
          (212 / 729) * k4.x),
    y:
      y +
      h *
        ((19372 / 6561) * k1.y -
          (25360 / 2187) * k2.y +
          (64448 / 6561) * k3.y -
          (212 / 729) * k4.y),
  });
  const k6 = slope({
    x:
      x +
      h *
        ((9017 / 3168) * k1.x -
          (355 / 33) * k2.x +
          (46732 / 5247) * k3.x +
          (49 / 176) * k4.x -
          (5103 / 18656) * k5.x),
    y:
      y +
      h *
        ((9017 / 3168) * k1.y -
          (355 / 33) * k2.y +
          (46732 / 5247) * k3.y +
          (49 / 176) * k4.y -
          (5103 / 18656) * k5.y),
  });
  const end: Pair = {
    x:
      x +
      h *
        ((35 / 384) * k1.x +
          (500 / 1113) * k3.x +
          (125 / 192) * k4.x -
          (2187 / 6784) * k5.x +
          (11 / 84) * k6.x),
    y:
      y +
      h *
        ((35 / 384) * k1.y +
          (500 / 1113) * k3.y +
          (125 / 192) * k4.y -
          (2187 / 6784) * k5.y +
          (11 / 84) * k6.y),
  };
  const k7 = slope(end);
  const error: Pair = {
    x:
      h *
      ((71 / 57600) * k1.x -
        (71 / 16695) * k3.x +
        (71 / 1920) * k4.x -
        (17253 / 339200) * k5.x +
        (22 / 525) * k6.x -
        (1 / 40) * k7.x),
    y:
      h *
      ((71 / 57600) * k1.y -
        (71 / 16695) * k3.y +
        (71 / 1920) * k4.y -
        (17253 / 339200) * k5.y +
        (22 / 525) * k6.y -
        (1 / 40) * k7.y),
  };
  return { state: end, last: k7, error };
}
