import { brew, brewCurve, type BrewPoint } from '../brew/brew.ts';
import type { Range } from '../brew/range.ts';
import { brewByReadings, slurryStrengthFrac } from '../brew/readings.ts';
import { findRoot } from '../numeric/findRoot.ts';
import { countedObservations } from './countedObservations.ts';
import { measuredSteep, steepBeganMs } from './measuredSteep.ts';
import type { ProbeHistory } from './places.ts';
import { planInput } from './plan.ts';
import type { Batch, Observation } from './schema.ts';

/** What would bring a steep that went another way back to its planned strength. */
export type Mend =
  | { readonly way: 'strain-at'; readonly atMs: number }
  | { readonly way: 'thin'; readonly massG: number }
  | { readonly way: 'too-weak'; readonly bestFrac: number };

/** A steep as it was until now, and as it will be. */
export interface RunningSteep {
  /** First pour, ms since 1970 UTC. */
  readonly beganMs: number;
  /** When it was strained, or will be: as planned, or now where that is past; ms since 1970 UTC. */
  readonly endMs: number;
  /** Of the liquid around the grounds. */
  readonly strengthNowFrac: number;
  readonly tempNowC: number;
  readonly atEnd: {
    readonly strengthFrac: number;
    readonly brewG: number;
    readonly brewMl: number;
    readonly range: { readonly strengthFrac: Range; readonly brewMl: Range };
  };
  /** Even steps from the first pour to some hours after the end. */
  readonly curve: readonly BrewPoint[];
  /** The same as it was planned. */
  readonly planned: readonly BrewPoint[];
  /** What was read while it steeped, and how far off it was expected, in standard deviations. */
  readonly readings: readonly {
    readonly hours: number;
    readonly strengthFrac: number;
    readonly surprise: number;
  }[];
  /** Ways back, the best first; none where it is within two per cent of its plan. */
  readonly mends: readonly Mend[];
}

const POINTS = 97;
const BEYOND_HOURS = 4;
/** Nearer to the plan than this nobody tastes it (ours). */
const AS_PLANNED_FRAC = 0.02;
/** A strain that is this much later mends; later than that it is another batch. */
const LATEST_MEND_S = 12 * 3600;
const MINUTE_S = 60;

/**
 * A steep by what really happened to it: coffee, water, times and temperatures as they were noted, and
 * what was read of it; with what would mend it where it goes another way than planned.
 *
 * @param input.actuals in the order of writing
 * @param input.probes how warm its places were, as far as it was measured
 * @param input.nowMs ms since 1970 UTC
 * @throws {DomainError} out_of_range where the ratio is absurd
 */
export function runningSteep(input: {
  batch: Pick<Batch, 'plan' | 'model' | 'startedAt' | 'endsAt' | 'predicted'>;
  observations: readonly Observation[];
  probes?: readonly ProbeHistory[];
  nowMs: number;
}): RunningSteep {
  const { batch, observations, probes = [], nowMs } = input;
  const counted = countedObservations(observations);
  const beganMs = steepBeganMs({ batch, observations: counted });
  const secondsOf = (atMs: number): number => Math.max(1, (atMs - beganMs) / 1000);
  const { strainedS: _, ...measured } = measuredSteep({ batch, observations, probes });
  const drawn = counted.find(({ step }) => step === 'strain');
  const endMs = drawn ? Date.parse(drawn.at) : Math.max(nowMs, Date.parse(batch.endsAt));
  const steep = { ...planInput(batch.plan, measured), steepS: secondsOf(endMs) };
  const readings = counted.flatMap(({ kind, at, strengthFrac }) => {
    const isSlurry = kind === 'read' && (!drawn || Date.parse(at) < Date.parse(drawn.at));
    return isSlurry && strengthFrac !== null
      ? [{ atS: secondsOf(Date.parse(at)), strengthFrac }]
      : [];
  });
  const read = brewByReadings(steep, batch.model, readings);
  const horizonS = steep.steepS + BEYOND_HOURS * 3600;
  const { strengthFrac, brewG, brewMl } = read.outcome;
  const nowS = secondsOf(nowMs);
  return {
    beganMs,
    endMs,
    strengthNowFrac: slurryStrengthFrac({ ...read.input, steepS: nowS }, batch.model),
    tempNowC: steep.history.tempC(nowS),
    atEnd: { strengthFrac, brewG, brewMl, range: read.range },
    curve: brewCurve({ ...read.input, horizonS, points: POINTS }, batch.model),
    planned: brewCurve({ ...planInput(batch.plan), horizonS, points: POINTS }, batch.model),
    readings: readings.map(({ atS, strengthFrac: frac }, i) => ({
      hours: atS / 3600,
      strengthFrac: frac,
      surprise: read.surprises[i] ?? 0,
    })),
    mends: mendsOf({
      aimFrac: batch.predicted.strengthFrac,
      strengthFrac,
      brewG,
      nowS,
      endS: steep.steepS,
      at: (steepS) => brew({ ...read.input, steepS }, batch.model).strengthFrac,
      msOf: (atS) => beganMs + atS * 1000,
    }),
  };
}

function mendsOf(input: {
  aimFrac: number;
  strengthFrac: number;
  brewG: number;
  nowS: number;
  endS: number;
  at: (steepS: number) => number;
  msOf: (atS: number) => number;
}): Mend[] {
  const { aimFrac, strengthFrac, brewG, nowS, endS, at, msOf } = input;
  if (!(aimFrac > 0) || Math.abs(strengthFrac / aimFrac - 1) < AS_PLANNED_FRAC) return [];
  const reach = (low: number, high: number): Mend[] => {
    const over = (atS: number): number => at(atS) - aimFrac;
    if (high - low < MINUTE_S || over(low) > 0 || over(high) < 0) return [];
    const atS = findRoot({ f: over, low, high, tolerance: 1 });
    return [{ way: 'strain-at', atMs: msOf(MINUTE_S * Math.round(atS / MINUTE_S)) }];
  };
  if (strengthFrac > aimFrac)
    return [...reach(nowS, endS), { way: 'thin', massG: brewG * (strengthFrac / aimFrac - 1) }];
  const latestS = endS + LATEST_MEND_S;
  const later = reach(endS, latestS);
  return later.length > 0 ? later : [{ way: 'too-weak', bestFrac: at(latestS) }];
}
