import { CONSTANTS } from '../constants.ts';
import { NOTHING, type Composition } from '../matter/composition.ts';
import { heatCapacityJPerK } from '../matter/properties.ts';
import { dormandPrinceStep, type Pair } from '../numeric/dormandPrinceStep.ts';
import { findRoot } from '../numeric/findRoot.ts';
import { coldDebtJ, iceAreaM2, icePerG, type Ice } from './ice.ts';

const FUSION = CONSTANTS.fusionJPerG.value;
const TOLERANCE = 1e-7;
/** A step that is taken whatever its error, s, so that the integration ends. */
const LEAST_STEP_S = 1e-4;
/** Shortest time in which the liquid follows its ice, s: below it, less than half a gram over a glass of ice. */
const SHORTEST_S = 0.2;

/** A drink standing in a room with ice in it. */
export interface MeltInput {
  readonly liquid: Composition;
  /** Temperature of the mixed liquid before it meets the ice, °C. */
  readonly tempC: number;
  readonly ice: Ice | null;
  /** Cup to its fill line, mL: decides the surface towards the room. */
  readonly cupMl: number;
  readonly roomC: number;
  /** Shaken, or stirred until the ice melts no further, before it stands. */
  readonly stirredDown: boolean;
}

/** The drink at a moment: how much of its ice has joined it, and how cold it is. */
export interface MeltPoint {
  readonly meltedG: number;
  readonly tempC: number;
}

/**
 * Ice that melts in an insulated drink until both are at 0 °C: the heat above 0 °C pays the cold
 * debt, the rest melts.
 *
 * @param input.heatJ heat of the liquid above 0 °C, J
 * @param input.debtJ cold debt of the ice, J
 * @param input.iceG mass of the ice, g
 * @returns melted mass, g, 0…iceG
 */
export function equilibriumMeltG(input: { heatJ: number; debtJ: number; iceG: number }): number {
  return Math.min(input.iceG, Math.max(0, (input.heatJ - input.debtJ) / FUSION));
}

/**
 * Ice melting in a drink at rest, at given moments.
 *
 * Specific heats are taken once, at the mixed temperature. The melt joins at 0 °C, so the heat of
 * the liquid above 0 °C changes only by what passes to the ice and from the room. While the ice
 * pays its cold debt, and once it is gone, the solution is closed; in between a Dormand–Prince pair
 * carries it at an estimated relative error of 1e-7 per step, which is 1e-9 in the strength.
 *
 * @param input.liquid must not be empty; tempC 0…100; ice.tempC −40…0; roomC 0…50
 * @param minutes moments after pouring, ascending, 0 or more
 * @param tolerance relative error of a step, above 0
 * @returns one point per moment
 */
export function meltAt(
  input: MeltInput,
  minutes: readonly number[],
  tolerance = TOLERANCE,
): MeltPoint[] {
  const state = startOf(input, tolerance);
  const points: MeltPoint[] = [];
  let timeS = 0;
  for (const minute of minutes) {
    advance(state, minute * 60 - timeS);
    timeS = minute * 60;
    // Rounding may leave it a hair below the ice.
    points.push({ meltedG: meltedG(state), tempC: Math.max(0, tempC(state)) });
  }
  return points;
}

interface State {
  /** Heat of the liquid above 0 °C, J. */
  heatJ: number;
  debtJ: number;
  /** Edge of a piece of ice over its first edge; 0 when the ice is gone. */
  edge: number;
  /** Step that the integrator would try next, s, and the slope where it stands. */
  stepS: number;
  slope: Pair | undefined;
  readonly iceG: number;
  readonly baseJPerK: number;
  readonly meltJPerGK: number;
  /** Least that the liquid is taken to hold: a drop among much ice would follow it in no time. */
  readonly leastJPerK: number;
  readonly iceWPerK: number;
  readonly roomWPerK: number;
  readonly roomC: number;
  readonly tolerance: number;
}

function startOf(input: MeltInput, tolerance: number): State {
  const { liquid, ice, cupMl, roomC } = input;
  const baseJPerK = heatCapacityJPerK({ composition: liquid, tempC: input.tempC });
  const iceWPerK = ice ? CONSTANTS.iceTransferWPerM2K.value * iceAreaM2(ice) : 0;
  const state: State = {
    tolerance,
    heatJ: baseJPerK * input.tempC,
    debtJ: ice ? coldDebtJ(ice) : 0,
    edge: ice && ice.massG > 0 ? 1 : 0,
    stepS: 5,
    slope: undefined,
    iceG: ice?.massG ?? 0,
    baseJPerK,
    meltJPerGK: heatCapacityJPerK({
      composition: ice ? icePerG(ice) : NOTHING,
      tempC: input.tempC,
    }),
    leastJPerK: SHORTEST_S * iceWPerK,
    iceWPerK,
    roomWPerK:
      CONSTANTS.roomTransferWPerM2K.value *
      CONSTANTS.cupAreaFactor.value *
      (cupMl * 1e-6) ** (2 / 3),
    roomC,
  };
  if (input.stirredDown && state.edge > 0) stirDown(state);
  return state;
}

function stirDown(state: State): void {
  const { heatJ, debtJ, iceG } = state;
  const melted = equilibriumMeltG({ heatJ, debtJ, iceG });
  state.debtJ = Math.max(0, debtJ - heatJ);
  state.edge = Math.cbrt(1 - melted / iceG);
  state.heatJ = Math.max(0, heatJ - debtJ - FUSION * melted);
}

// Not `** 3`: a power is many times slower than two products, and this is the inmost loop.
const cubed = (x: number): number => x * x * x;
const meltedG = (state: State): number => state.iceG * (1 - cubed(state.edge));
const capacityJPerK = (state: State): number =>
  Math.max(state.baseJPerK + state.meltJPerGK * meltedG(state), state.leastJPerK);
const tempC = (state: State): number => state.heatJ / capacityJPerK(state);

function advance(state: State, durationS: number): void {
  let leftS = durationS;
  if (leftS > 0 && state.edge > 0 && state.debtJ > 0) leftS -= payDebt(state, leftS);
  if (leftS > 0 && state.edge > 0) leftS -= melt(state, leftS);
  if (leftS > 0) relax({ state, iceWPerK: 0, timeS: leftS });
}

/** Approach of the liquid to where heat from the room and to the ice balance; the ice's size stays. */
function relax(input: { state: State; iceWPerK: number; timeS: number }): void {
  const { state, iceWPerK, timeS } = input;
  const capacity = capacityJPerK(state);
  const whole = state.roomWPerK + iceWPerK;
  const settledC = (state.roomWPerK * state.roomC) / whole;
  state.heatJ =
    capacity * (settledC + (tempC(state) - settledC) * Math.exp((-whole * timeS) / capacity));
}

/** @returns the time used: all of it, or until the debt is paid */
function payDebt(state: State, leftS: number): number {
  const iceWPerK = state.iceWPerK * state.edge * state.edge;
  const capacity = capacityJPerK(state);
  const whole = state.roomWPerK + iceWPerK;
  const settledC = (state.roomWPerK * state.roomC) / whole;
  const aboveC = tempC(state) - settledC;
  const fade = (timeS: number) => Math.exp((-whole * timeS) / capacity);
  // What passes to the ice in a time, and how fast: the approach of `relax`, integrated.
  const paidJ = (timeS: number) =>
    iceWPerK * (settledC * timeS + (aboveC * (1 - fade(timeS)) * capacity) / whole);
  const allJ = paidJ(leftS);
  if (allJ <= state.debtJ) {
    relax({ state, iceWPerK, timeS: leftS });
    state.debtJ -= allJ;
    return leftS;
  }
  // The rate falls (or rises) all the time, so that Newton's steps from this side never leave it.
  let paidS = aboveC > 0 ? Math.min(leftS, state.debtJ / (iceWPerK * (settledC + aboveC))) : leftS;
  for (let i = 0; i < 60; i++) {
    const step = (paidJ(paidS) - state.debtJ) / (iceWPerK * (settledC + aboveC * fade(paidS)));
    paidS -= step;
    if (Math.abs(step) <= 1e-12 * leftS) break;
  }
  paidS = Math.min(leftS, Math.max(0, paidS));
  relax({ state, iceWPerK, timeS: paidS });
  state.debtJ = 0;
  return paidS;
}

/** @returns the time used: all of it, or until the ice is gone */
function melt(state: State, leftS: number): number {
  const { iceG, baseJPerK, meltJPerGK, leastJPerK, iceWPerK, roomWPerK, roomC } = state;
  const perEdge = iceWPerK / (3 * FUSION * iceG);
  // In the edge the law is linear where the ice vanishes; in the mass it has a root there.
  // x is the liquid's heat in J, y the edge.
  const slope = ({ x, y }: Pair): Pair => {
    const t = x / Math.max(baseJPerK + meltJPerGK * iceG * (1 - cubed(y)), leastJPerK);
    return { x: roomWPerK * (roomC - t) - iceWPerK * y * y * t, y: -perEdge * t };
  };
  const scale = Math.max(Math.abs(state.heatJ), baseJPerK, leastJPerK);
  let usedS = 0;
  while (usedS < leftS) {
    const stepS = Math.min(state.stepS, leftS - usedS);
    const from: Pair = { x: state.heatJ, y: state.edge };
    const {
      state: end,
      last,
      error,
    } = dormandPrinceStep({ slope, state: from, step: stepS, first: state.slope });
    const off = Math.max(Math.abs(error.x) / scale, Math.abs(error.y)) / state.tolerance;
    const growth = Math.min(4, Math.max(0.2, 0.9 * (off || 1e-6) ** -0.2));
    if (off > 1 && stepS > LEAST_STEP_S) {
      state.stepS = stepS * growth;
      continue;
    }
    if (end.y <= 0) {
      const edgeAfter = (step: number) => dormandPrinceStep({ slope, state: from, step }).state.y;
      const lastS = findRoot({ f: edgeAfter, low: 0, high: stepS });
      state.heatJ = dormandPrinceStep({ slope, state: from, step: lastS }).state.x;
      state.edge = 0;
      return usedS + lastS;
    }
    state.heatJ = end.x;
    state.edge = end.y;
    state.slope = last;
    usedS += stepS;
    if (stepS === state.stepS || growth < 1) state.stepS = stepS * growth;
  }
  return leftS;
}
