import type { Instrument, Sample } from './schema.ts';

/** @returns a sample as it is with the instrument's calibration */
export function calibrated(
  sample: Sample,
  { calibration }: Pick<Instrument, 'calibration'>,
): Sample {
  if (calibration === null) return sample;
  const { proportion, plusG, plusC, plusBrix } = calibration;
  const of = (value: number | null, plus: number): number | null =>
    value === null ? null : proportion * value + plus;
  return {
    ...sample,
    massG: of(sample.massG, plusG),
    tempC: of(sample.tempC, plusC),
    brix: of(sample.brix, plusBrix),
  };
}

/** What a scale may be off by at a known mass, as a proportion: beyond it, it is not the mass. */
const MOST_OFF_FRAC = 0.2;

/**
 * The calibration by one known thing: a mass on a scale, a solution under a refractometer, ice water
 * around a probe. A scale is set in proportion, for its zero is its tare; the others by what is added.
 *
 * @param input.shown what it shows without calibration
 * @param input.known what it really is, in the same unit; above 0 for a scale
 * @returns what to multiply by and to add; null where they are so far apart that something else is wrong
 */
export function calibrationOf(input: {
  kind: Instrument['kind'];
  shown: number;
  known: number;
}): { proportion: number; plusG: number; plusC: number; plusBrix: number } | null {
  const { kind, shown, known } = input;
  const none = { proportion: 1, plusG: 0, plusC: 0, plusBrix: 0 };
  if (kind === 'scale') {
    const proportion = known / shown;
    const isNear = shown > 0 && known > 0 && Math.abs(proportion - 1) <= MOST_OFF_FRAC;
    return isNear ? { ...none, proportion } : null;
  }
  const plus = known - shown;
  if (kind === 'probe') return Math.abs(plus) <= 5 ? { ...none, plusC: plus } : null;
  return Math.abs(plus) <= 3 ? { ...none, plusBrix: plus } : null;
}
