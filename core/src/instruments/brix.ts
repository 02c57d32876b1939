import { CONSTANTS } from '../constants.ts';
import { requireWithin } from '../errors.ts';

/** By falling power of the index. */
const FIT = [11758.74, -88885.21, 270177.93, -413145.8, 318417.95, -99127.4536];

/**
 * Degrees Brix of a refractive index: grams of sucrose in 100 g of a solution that bends light as much.
 *
 * @param index20 at 20 °C and 589 nm, 1.33…1.505
 * @returns °Bx, within 0.03 of NBS Circular 440, table 92; about 0 for water
 * @throws {DomainError} out_of_range
 * @see the fifth-power fit to ICUMSA's table of 1974 (memory)
 */
export function brixOfIndex(index20: number): number {
  requireWithin({ name: 'index20', value: index20, min: 1.33, max: 1.505 });
  return FIT.reduce((sum, coefficient) => sum * index20 + coefficient, 0);
}

/**
 * What a reading would be with the drop at 20 °C.
 *
 * @param input.sampleC of the drop, 0…60 °C; null where the instrument has taken it into account
 * @returns °Bx; a warm drop reads too low
 */
export function brixAt20(input: { brix: number; sampleC: number | null }): number {
  const { brix, sampleC } = input;
  return sampleC === null ? brix : brix + CONSTANTS.brixPerC.value * (sampleC - 20);
}

/**
 * Coffee strength that a refractometer's degrees Brix stand for.
 *
 * @param input.brix °Bx at 20 °C, 0…40
 * @param input.factor strength over degrees Brix, both in per cent
 * @returns 0–1
 */
export const strengthOfBrix = (input: { brix: number; factor: number }): number =>
  (input.factor * input.brix) / 100;

/** Several readings of the same brew, taken together. */
export interface AveragedReadings {
  readonly strengthFrac: number;
  /** Standard error of the mean; null for a single one. */
  readonly errorFrac: number | null;
  /** Which of them lie too far from the others, by their place; they are not in the mean. */
  readonly outliers: readonly number[];
}

/** A deviation of so many (scaled) median deviations is one of another drop (Iglewicz and Hoaglin 1993, 3.5; memory). */
const OUTLIER_TIMES = 3.5;
const MAD_TO_SIGMA = 0.6745;
/** Readings of one drop differ by this at least, so that two that agree to the digit name no third. */
const LEAST_MAD_FRAC = 0.0002;

/**
 * The mean of several readings, without those that are far from the others.
 *
 * @param readings 0–1 each; at least one
 */
export function averageReadings(readings: readonly number[]): AveragedReadings {
  requireWithin({ name: 'readings', value: readings.length, min: 1, max: 1000 });
  const middle = median(readings);
  const spread = Math.max(
    LEAST_MAD_FRAC,
    median(readings.map((reading) => Math.abs(reading - middle))),
  );
  // Of two nobody knows which one is off.
  const isFar = (reading: number): boolean =>
    readings.length > 2 && (MAD_TO_SIGMA * Math.abs(reading - middle)) / spread > OUTLIER_TIMES;
  const kept = readings.filter((reading) => !isFar(reading));
  const mean = kept.reduce((sum, one) => sum + one, 0) / kept.length;
  const squares = kept.reduce((sum, one) => sum + (one - mean) ** 2, 0);
  return {
    strengthFrac: mean,
    errorFrac: kept.length > 1 ? Math.sqrt(squares / (kept.length - 1) / kept.length) : null,
    outliers: readings.flatMap((reading, i) => (isFar(reading) ? [i] : [])),
  };
}

function median(values: readonly number[]): number {
  const sorted = values.toSorted((a, b) => a - b);
  const half = Math.floor(sorted.length / 2);
  return sorted.length % 2 === 1 ? sorted[half]! : (sorted[half - 1]! + sorted[half]!) / 2;
}

/** Why a reading should be looked at twice before it is believed; empty where it need not. */
export function readingWarnings(input: {
  sampleC: number | null;
  isFiltered: boolean;
  isPlainCoffee: boolean;
}): string[] {
  const { sampleC, isFiltered, isPlainCoffee } = input;
  if (!isPlainCoffee)
    return [
      'A refractometer counts milk and sugar too. This is no coffee strength: read the concentrate before it is mixed.',
    ];
  return [
    ...(sampleC !== null && Math.abs(sampleC - 20) > 5
      ? [
          `The drop has ${sampleC.toFixed(0)} °C: a warm drop reads too low, a cold one too high. Wait until it has room temperature.`,
        ]
      : []),
    ...(isFiltered ? [] : ['Fines in the drop read too high. Filter it, or let it settle.']),
  ];
}
