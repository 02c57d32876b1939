import { CONSTANTS } from '../constants.ts';
import { DomainError, requireWithin } from '../errors.ts';
import { diffusivityFactor } from './diffusivity.ts';

/** A stretch of the steep in one place. */
interface TemperaturePiece {
  readonly durationS: number;
  /** Slurry temperature as the piece begins, °C. */
  readonly startC: number;
  /** Temperature of the surroundings that the slurry approaches, °C. */
  readonly surroundingsC: number;
  /** Time constant of the approach, s; of no consequence where startC is surroundingsC. */
  readonly timeConstantS: number;
}

/** A steep's temperature, and how far diffusion has come at each moment of it. */
export interface TemperatureHistory {
  /** Where one piece ends and the next begins, s from the start, ascending, without 0. */
  readonly breaksS: readonly number[];
  /** Slurry temperature, °C, at a time in s; the last piece goes on for ever. */
  readonly tempC: (timeS: number) => number;
  /** ∫D_eff(T)/D_eff(22 °C) dt from the start, s. */
  readonly equivalentS: (timeS: number) => number;
}

const SERIES_NODES = 9;
/** Water that takes as much heat as a gram of grounds, g; water has 4.18 J/(g K) (CRC Handbook). */
export const GROUNDS_AS_WATER = CONSTANTS.groundsHeatJPerGK.value / 4.18;

/**
 * A history whose slurry has the given temperature in each piece.
 *
 * @param pieces in order; at least one; tempC 0…100
 */
export function constantTemperature(
  pieces: readonly { durationS: number; tempC: number }[],
): TemperatureHistory {
  return createTemperatureHistory(
    pieces.map(({ durationS, tempC }) => ({
      durationS,
      startC: tempC,
      surroundingsC: tempC,
      timeConstantS: 1,
    })),
  );
}

/** Something that sets the slurry's temperature at a moment: a pour that mixes in, or a reading. */
type Moment = { readonly atS: number; readonly after: (tempC: number) => number };

/**
 * A history in which the slurry starts at the first pour mixed with its grounds and cools or warms towards
 * each place in turn, by Newton's law; a later pour mixes with what is there by mass, and a reading
 * stands for whatever was computed up to it.
 *
 * @param input.doseG grounds that the first pour wets, at the room's temperature, g, 0 or more
 * @param input.pours in order of time, the first at 0; at least one; masses g, above 0; tempC 0…100
 * @param input.readings of the slurry, in order of time; tempC 0…100
 * @param input.places in order; at least one; the last one goes on for ever
 * @param input.timeConstantS of the vessel, s, above 0
 */
export function slurryTemperature(input: {
  doseG: number;
  pours: readonly { atS: number; massG: number; tempC: number }[];
  readings: readonly { atS: number; tempC: number }[];
  places: readonly { durationS: number; tempC: number }[];
  timeConstantS: number;
}): TemperatureHistory {
  const { places, timeConstantS } = input;
  const [first, ...later] = input.pours;
  if (first === undefined) throw new DomainError('out_of_range', { name: 'pours', length: 0 });
  // Grounds count as the water that takes as much heat.
  const groundsG = input.doseG * GROUNDS_AS_WATER;
  let pouredG = first.massG + groundsG;
  let startC = (first.tempC * first.massG + CONSTANTS.groundsC.value * groundsG) / pouredG;
  const moments: Moment[] = later.map(({ atS, massG, tempC }) => {
    const beforeG = pouredG;
    pouredG += massG;
    return { atS, after: (mixedC) => (mixedC * beforeG + tempC * massG) / (beforeG + massG) };
  });
  for (const { atS, tempC } of input.readings) moments.push({ atS, after: () => tempC });
  moments.sort((a, b) => a.atS - b.atS);
  const pieces: TemperaturePiece[] = [];
  let placeStartS = 0;
  places.forEach(({ durationS, tempC: surroundingsC }, i) => {
    const isLast = i === places.length - 1;
    const placeEndS = placeStartS + durationS;
    let fromS = placeStartS;
    let leftS = durationS;
    const goOn = (pieceS: number): void => {
      const piece = { durationS: pieceS, startC, surroundingsC, timeConstantS };
      pieces.push(piece);
      startC = pieceTempC(piece, pieceS);
      fromS += pieceS;
      leftS = Math.max(0, leftS - pieceS);
    };
    for (const { atS, after } of moments) {
      if (atS < placeStartS || (atS >= placeEndS && !isLast)) continue;
      if (atS > fromS) goOn(atS - fromS);
      startC = after(startC);
    }
    goOn(leftS);
    placeStartS = placeEndS;
  });
  return createTemperatureHistory(pieces);
}

/**
 * Temperature and diffusion over a steep in pieces. Any history is exact, because only the
 * integral of the diffusivity matters.
 *
 * @param pieces in order; at least one; temperatures 0…100 °C
 * @throws {DomainError} not_finite, out_of_range
 */
function createTemperatureHistory(pieces: readonly TemperaturePiece[]): TemperatureHistory {
  if (pieces.length === 0) throw new DomainError('out_of_range', { name: 'pieces', length: 0 });
  for (const piece of pieces) {
    requireWithin({ name: 'durationS', value: piece.durationS, min: 0, max: 1e8 });
    requireWithin({ name: 'timeConstantS', value: piece.timeConstantS, min: 1, max: 1e8 });
  }
  const starts: number[] = [];
  const done: number[] = [];
  const integrals = pieces.map(pieceIntegral);
  let time = 0;
  let equivalent = 0;
  pieces.forEach((piece, i) => {
    starts.push(time);
    done.push(equivalent);
    time += piece.durationS;
    equivalent += integrals[i]!(piece.durationS);
  });
  const indexAt = (timeS: number): number => {
    let i = pieces.length - 1;
    while (i > 0 && timeS < starts[i]!) i--;
    return i;
  };
  return {
    breaksS: starts.slice(1),
    tempC: (timeS) => {
      const i = indexAt(timeS);
      return pieceTempC(pieces[i]!, timeS - starts[i]!);
    },
    equivalentS: (timeS) => {
      const i = indexAt(timeS);
      return done[i]! + integrals[i]!(timeS - starts[i]!);
    },
  };
}

function pieceTempC(piece: TemperaturePiece, timeS: number): number {
  const { startC, surroundingsC, timeConstantS } = piece;
  return surroundingsC + (startC - surroundingsC) * Math.exp(-timeS / timeConstantS);
}

/**
 * ∫ factor(T) dt within a piece. With u = T − surroundings, dt = −τ du/u, and
 * (factor(T) − factor(surroundings))/u is smooth, so a short polynomial in u carries the integral.
 */
function pieceIntegral(piece: TemperaturePiece): (timeS: number) => number {
  const { startC, surroundingsC, timeConstantS } = piece;
  const settled = diffusivityFactor(surroundingsC);
  const offset = startC - surroundingsC;
  if (Math.abs(offset) < 1e-9) return (timeS) => settled * timeS;
  const nodes = Array.from(
    { length: SERIES_NODES },
    (_, i) => (offset / 2) * (1 - Math.cos((Math.PI * (i + 0.5)) / SERIES_NODES)),
  );
  const coefficients = interpolant(
    nodes,
    nodes.map((u) => (diffusivityFactor(surroundingsC + u) - settled) / u),
  );
  const primitive = (u: number): number => {
    let sum = 0;
    for (let k = coefficients.length - 1; k >= 0; k--) sum = (sum + coefficients[k]! / (k + 1)) * u;
    return sum;
  };
  const whole = primitive(offset);
  return (timeS) =>
    settled * timeS +
    timeConstantS * (whole - primitive(offset * Math.exp(-timeS / timeConstantS)));
}

/** Coefficients, by rising power, of the polynomial through the points (Newton, expanded). */
function interpolant(nodes: readonly number[], values: readonly number[]): number[] {
  const divided = [...values];
  for (let order = 1; order < nodes.length; order++)
    for (let i = nodes.length - 1; i >= order; i--)
      divided[i] = (divided[i]! - divided[i - 1]!) / (nodes[i]! - nodes[i - order]!);
  let coefficients = [divided.at(-1)!];
  for (let i = nodes.length - 2; i >= 0; i--) {
    const next = [divided[i]!, ...coefficients];
    coefficients.forEach((c, k) => (next[k]! -= c * nodes[i]!));
    coefficients = next;
  }
  return coefficients;
}
