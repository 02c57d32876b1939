import type { Batch, BatchActual } from './schema.ts';

/**
 * What was really done to a steep, each piece by itself, in seconds from the first pour. A piece that
 * nobody measured is left out.
 */
export interface MeasuredSteep {
  /** Coffee as it was weighed, g, above 0. */
  readonly doseG?: number;
  /** Water as it was poured, in order of time; the first at 0; masses above 0. */
  readonly pours?: readonly {
    readonly atS: number;
    readonly massG: number;
    readonly tempC: number;
  }[];
  /** The slurry's temperature as it was read, in order of time, °C, 0…100. */
  readonly temperatures?: readonly { readonly atS: number; readonly tempC: number }[];
  /** Where it stood, one place after another, and how warm it was there, °C. */
  readonly places?: readonly { readonly durationS: number; readonly tempC: number }[];
  /** Moments of agitation. */
  readonly agitationS?: readonly number[];
  /** When it was strained. */
  readonly strainedS?: number;
  /** Water through the drained bed, g. */
  readonly rinseG?: number;
}

/**
 * What was measured of a batch's steep, from the rows that were noted.
 *
 * @returns pieces that the forward computation takes in place of the plan's; what nobody noted is not
 *   in it
 */
export function measuredSteep(input: {
  batch: Pick<Batch, 'startedAt'>;
  actuals: readonly BatchActual[];
}): MeasuredSteep {
  const { batch, actuals } = input;
  const secondsOf = ({ at }: BatchActual): number =>
    Math.max(0, (Date.parse(at) - Date.parse(batch.startedAt)) / 1000);
  const of = (kind: BatchActual['kind']) =>
    actuals
      .filter((one) => one.kind === kind)
      .map((one) => ({ ...one, atS: secondsOf(one) }))
      .sort((a, b) => a.atS - b.atS);
  const weighed = of('weighed').at(-1)?.massG;
  const pours = of('poured').flatMap(({ atS, massG, tempC }) =>
    massG === null || tempC === null ? [] : [{ atS, massG, tempC }],
  );
  const temperatures = of('temperature').flatMap(({ atS, tempC }) =>
    tempC === null ? [] : [{ atS, tempC }],
  );
  const agitations = of('agitated').map(({ atS }) => atS);
  const strained = of('strained').at(-1)?.atS;
  return {
    ...(weighed ? { doseG: weighed } : {}),
    // The first pour is the beginning, whenever it was noted.
    ...(pours.length > 0 ? { pours: pours.with(0, { ...pours[0]!, atS: 0 }) } : {}),
    ...(temperatures.length > 0 ? { temperatures } : {}),
    ...(agitations.length > 0 ? { agitationS: agitations } : {}),
    ...(strained === undefined ? {} : { strainedS: strained }),
  };
}
