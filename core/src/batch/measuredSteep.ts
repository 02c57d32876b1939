import { countedObservations } from './countedObservations.ts';
import { placesAsTheyWere, type ProbeHistory } from './places.ts';
import type { Batch, Observation } from './schema.ts';

/**
 * What was really done to a steep, each piece by itself, in seconds from the first pour. A piece that
 * nobody measured is left out.
 */
export interface MeasuredSteep {
  /** Of what went in, the share that is still in it, above 0; all of it where left out. */
  readonly keptFrac?: number;
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

/** What stays in a vessel that nearly all was spilled out of. */
const LEAST_KEPT = 0.01;

/** A first pour that is noted later than this after the start was noted late, not poured late. */
const PREPARING_MS = 2 * 3_600_000;

/**
 * When a steep really began: with its first pour, where that was noted as it was done.
 *
 * @param input.observations those that count
 * @returns ISO instant of the pour; null where nobody noted it in time
 */
export function pouredAt(input: {
  batch: Pick<Batch, 'startedAt'>;
  observations: readonly Observation[];
}): string | null {
  const startedMs = Date.parse(input.batch.startedAt);
  const pours = input.observations
    .filter(({ kind, step }) => kind === 'poured' && step !== null)
    .toSorted((a, b) => Date.parse(a.at) - Date.parse(b.at));
  const first = pours[0];
  if (!first) return null;
  const afterMs = Date.parse(first.at) - startedMs;
  return afterMs >= 0 && afterMs <= PREPARING_MS ? first.at : null;
}

/**
 * When the clock of a steep runs from: its first pour, or its start where nobody noted that.
 *
 * @param input.observations those that count
 * @returns ms since 1970 UTC
 */
export const steepBeganMs = (input: {
  batch: Pick<Batch, 'startedAt'>;
  observations: readonly Observation[];
}): number => Date.parse(pouredAt(input) ?? input.batch.startedAt);

/** A batch as far as its steep is measured against it. */
type Steeped = Pick<Batch, 'startedAt'> & Partial<Pick<Batch, 'plan'>>;

/**
 * What was measured of a batch's steep, from the rows that were noted.
 *
 * @param input.observations in the order of writing; what was taken back does not count
 * @param input.probes how warm its places really were, as far as it was measured
 * @returns pieces that the forward computation takes in place of the plan's; what nobody noted is not
 *   in it
 */
export function measuredSteep(input: {
  batch: Steeped;
  observations: readonly Observation[];
  probes?: readonly ProbeHistory[];
}): MeasuredSteep {
  const { batch, probes = [] } = input;
  const observations = countedObservations(input.observations);
  const beganMs = steepBeganMs({ batch, observations });
  const secondsOf = ({ at }: Observation): number => Math.max(0, (Date.parse(at) - beganMs) / 1000);
  const of = (kind: Observation['kind']) =>
    observations
      .filter((one) => one.kind === kind)
      .map((one) => ({ ...one, atS: secondsOf(one) }))
      .sort((a, b) => a.atS - b.atS);
  const weighed = of('weighed').at(-1)?.massG;
  const pours = of('poured').flatMap(({ atS, massG, tempC }) =>
    massG === null || tempC === null ? [] : [{ atS, massG, tempC }],
  );
  const hanging = probes.filter(({ place }) => place === 'slurry');
  const temperatures = [
    ...of('temperature').flatMap(({ atS, tempC }) => (tempC === null ? [] : [{ atS, tempC }])),
    ...hanging.flatMap(({ samples }) =>
      samples.flatMap(({ atMs, tempC }) => {
        const atS = (atMs - beganMs) / 1000;
        return atS < 0 ? [] : [{ atS, tempC: Math.min(100, Math.max(0, tempC)) }];
      }),
    ),
  ].sort((a, b) => a.atS - b.atS);
  const agitations = of('agitated').map(({ atS }) => atS);
  const strained = of('strained').at(-1)?.atS;
  const rinses = of('rinsed');
  const moves = of('moved').flatMap(({ atS, place, tempC }) =>
    tempC === null || place === null ? [] : [{ atS, place, tempC }],
  );
  const keptFrac = keptOf({
    doseG: weighed ?? batch.plan?.doseG ?? 0,
    waterG: batch.plan?.waterG ?? 0,
    pours,
    lost: [...of('split-off'), ...of('spilled')].toSorted((a, b) => a.atS - b.atS),
  });
  const isMeasured = moves.length > 0 || probes.length > hanging.length;
  return {
    ...(keptFrac < 1 ? { keptFrac } : {}),
    ...(weighed ? { doseG: weighed } : {}),
    // The first pour is the beginning, whenever it was noted.
    ...(pours.length > 0 ? { pours: pours.with(0, { ...pours[0]!, atS: 0 }) } : {}),
    ...(temperatures.length > 0 ? { temperatures } : {}),
    ...(agitations.length > 0 ? { agitationS: agitations } : {}),
    ...(strained === undefined ? {} : { strainedS: strained }),
    ...(rinses.length > 0
      ? { rinseG: rinses.reduce((sum, { massG }) => sum + (massG ?? 0), 0) }
      : {}),
    ...(isMeasured && batch.plan
      ? { places: placesAsTheyWere({ steep: batch.plan.steep, moves, probes, beganMs }) }
      : {}),
  };
}

/**
 * Of what went in, the share that is still in it after what went over into another vessel, or was spilled:
 * grounds and liquid as they stand together.
 */
function keptOf(input: {
  doseG: number;
  waterG: number;
  pours: readonly { readonly massG: number }[];
  lost: readonly { readonly shareFrac: number | null; readonly massG: number | null }[];
}): number {
  const { doseG, waterG, pours, lost } = input;
  const pouredG = pours.reduce((sum, { massG }) => sum + massG, 0) || waterG;
  const wholeG = doseG + pouredG;
  return lost.reduce((kept, { shareFrac, massG }) => {
    if (shareFrac !== null) return kept * (1 - shareFrac);
    return massG === null || wholeG === 0 ? kept : Math.max(LEAST_KEPT, kept - massG / wholeG);
  }, 1);
}
