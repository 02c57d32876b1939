import { DomainError } from '../errors.ts';
import { storedCoffeeMl } from '../matter/properties.ts';
import { waterDensityGPerMl } from '../matter/waterDensity.ts';
import { findRoot } from '../numeric/findRoot.ts';
import { CONSTANTS } from '../constants.ts';
import type { BrewInput } from './brew.ts';
import { createRelease } from './release.ts';
import { filterSlurry } from './filtration.ts';
import type { BrewModel } from './model.ts';
import { strengthFrac as steepedStrength, waterLeftG, yieldAtRatioFrac } from './strength.ts';

/** Amounts that a brew can be set by. `fillMl` is the slurry's level in the vessel. */
export const TARGET_KEYS = [
  'doseG',
  'waterG',
  'ratio',
  'brewMl',
  'strengthFrac',
  'fillMl',
] as const;
export type TargetKey = (typeof TARGET_KEYS)[number];

/** One amount that is set. */
export interface Target {
  readonly key: TargetKey;
  readonly value: number;
}

/** All that two targets leave open: everything about the brew but its coffee and water. */
export type BrewSetting = Omit<BrewInput, 'doseG' | 'waterG' | 'history'> & {
  /** Slurry temperature at the start, °C: it decides the water's volume in the vessel. */
  readonly waterC: number;
  /** The vessel's size decides how fast the slurry follows its place. */
  readonly historyOf: (amounts: { doseG: number; waterG: number }) => BrewInput['history'];
};

export type BrewAmounts = Readonly<Record<TargetKey, number>>;

/**
 * How a solution ended. `contradiction`: both targets fix the same thing, and `given` is what the
 * first leaves the second. `out_of_reach`: with the first set, the second lies between `low` and
 * `high`.
 */
export type BrewSolution =
  | { readonly status: 'solved'; readonly amounts: BrewAmounts }
  | {
      readonly status: 'contradiction';
      readonly between: readonly [Target, Target];
      /** The second target's value under the first, and by how much it misses, share of it. */
      readonly given: number;
      readonly offFrac: number;
    }
  | {
      readonly status: 'out_of_reach';
      readonly target: Target;
      readonly low: number;
      readonly high: number;
    };

const RATIO = { low: 0.3, high: 150 } as const;
const DOSE_G = { low: 1e-3, high: 1e6 } as const;
const RATIO_STEP = 1.2;
const SAME_FRAC = 1e-3;

/**
 * Coffee and water from any two of dose, water, ratio, brew, strength and level.
 *
 * With the share released known, the ratio is the root of one equation and the dose of another.
 * The share depends a little on the vessel's size (it cools more slowly), so it is taken from the
 * amounts again until both agree.
 *
 * @param targets two of different keys, values above 0, canonical units
 * @returns amounts whose forward computation gives both targets back to 1e-9; or why there are none
 * @throws {DomainError} out_of_range for a target of 0 or less, or two of one key
 */
export function solveBrew(
  setting: BrewSetting,
  targets: readonly [Target, Target],
  model: BrewModel,
): BrewSolution {
  const [first, second] = targets;
  for (const { key, value } of targets)
    if (!(value > 0) || !Number.isFinite(value))
      throw new DomainError('out_of_range', { name: key, value, min: 0 });
  if (first.key === second.key) throw new DomainError('out_of_range', { name: second.key });

  let amounts = { doseG: 1000, waterG: 5000 };
  for (let round = 0; ; round++) {
    const released = releasedAt(setting, amounts, model);
    const step = solveAt({ setting, targets, released, model });
    if (step.status !== 'solved') return step;
    const { doseG, waterG } = step.amounts;
    const moved = Math.abs(releasedAt(setting, { doseG, waterG }, model) / released - 1);
    if (moved < 1e-13 || round === 40) return step;
    amounts = { doseG, waterG };
  }
}

/**
 * Every amount of a brew, from its coffee and water: the forward computation that `solveBrew` inverts.
 *
 * @param input.doseG coffee, g, above 0
 * @param input.waterG water, g, above 0
 */
export function brewAmounts(
  setting: BrewSetting,
  input: { doseG: number; waterG: number },
  model: BrewModel,
): BrewAmounts {
  const { doseG, waterG } = input;
  const released = releasedAt(setting, input, model);
  return amountsAt({ setting, doseG, ratio: waterG / doseG, released, model });
}

function releasedAt(
  setting: BrewSetting,
  amounts: { doseG: number; waterG: number },
  { diffusivity22M2PerS }: BrewModel,
): number {
  const { grind, wetting, agitationS, steepS, historyOf, bed = 'loose' } = setting;
  const history = historyOf(amounts);
  return createRelease({ grind, wetting, agitationS, history, diffusivity22M2PerS, bed })(steepS);
}

function amountsAt(input: {
  setting: BrewSetting;
  doseG: number;
  ratio: number;
  released: number;
  model: BrewModel;
}): BrewAmounts {
  const { setting, doseG, ratio, released, model } = input;
  const { equilibriumYieldFrac } = model;
  const waterG = ratio * doseG;
  const yieldFrac = released * yieldAtRatioFrac({ ratio, equilibriumYieldFrac });
  const leftG = waterLeftG(waterG, model.lossFrac);
  const filtered = filterSlurry({
    doseG,
    liquidG: leftG + yieldFrac * doseG,
    strengthFrac: steepedStrength({ doseG, waterG: leftG, yieldFrac }),
    retainedGPerG: model.retainedGPerG[setting.filtration.method],
    rinseG: setting.filtration.rinseG,
  });
  return {
    doseG,
    waterG,
    ratio,
    brewMl: storedCoffeeMl({ massG: filtered.brewG, strengthFrac: filtered.strengthFrac }),
    strengthFrac: filtered.strengthFrac,
    fillMl:
      waterG / waterDensityGPerMl(setting.waterC) + CONSTANTS.groundsDisplaceMlPerG.value * doseG,
  };
}

interface Step {
  readonly setting: BrewSetting;
  readonly targets: readonly [Target, Target];
  readonly released: number;
  readonly model: BrewModel;
}

const fixesRatio = ({ key }: Target): boolean => key === 'ratio' || key === 'strengthFrac';

function solveAt(step: Step): BrewSolution {
  const { targets } = step;
  if (targets.every(fixesRatio)) return contradiction(step);
  // The one that tells a size decides the dose, the other the ratio.
  const size = targets.find((target) => !fixesRatio(target))!;
  const shape = targets.find((target) => target !== size)!;
  const at = (ratio: number): BrewAmounts | null => {
    const doseG = doseFor({ ...step, ratio, target: size });
    return doseG === null ? null : amountsAt({ ...step, doseG, ratio });
  };
  if (shape.key === 'ratio') {
    const amounts = at(shape.value);
    return amounts
      ? { status: 'solved', amounts }
      : outOfReach(step, { target: size, ratio: shape.value });
  }
  return solveShape({ shape, at });
}

/** The dose at a ratio that gives a size; sizes rise with the dose. */
function doseFor(input: Step & { ratio: number; target: Target }): number | null {
  const { target, ratio } = input;
  if (target.key === 'doseG') return target.value;
  if (target.key === 'waterG') return target.value / ratio;
  const perG = amountsAt({ ...input, doseG: 1 })[target.key];
  // Without a rinse every size grows in proportion to the dose.
  if (input.setting.filtration.rinseG === 0) return perG > 0 ? target.value / perG : null;
  const over = (doseG: number): number => amountsAt({ ...input, doseG })[target.key] - target.value;
  if (over(DOSE_G.low) > 0 || over(DOSE_G.high) < 0) return null;
  return findRoot({ f: over, low: DOSE_G.low, high: DOSE_G.high, tolerance: 1e-13 * target.value });
}

function solveShape(input: {
  shape: Target;
  at: (ratio: number) => BrewAmounts | null;
}): BrewSolution {
  const { shape, at } = input;
  const valueAt = (ratio: number): number | null => at(ratio)?.[shape.key] ?? null;
  // From the thinnest on: a rinse can give two ratios the same strength, and the thin one is meant.
  const scanned = scanRatios(valueAt);
  const values = scanned.map(({ value }) => value);
  const crossing = scanned.findIndex(
    ({ value }, i) => i > 0 && (value - shape.value) * (scanned[i - 1]!.value - shape.value) <= 0,
  );
  if (crossing === -1)
    return {
      status: 'out_of_reach',
      target: shape,
      low: Math.min(...values),
      high: Math.max(...values),
    };
  const ratio = findRoot({
    f: (candidate) => valueAt(candidate)! / shape.value - 1,
    low: scanned[crossing]!.ratio,
    high: scanned[crossing - 1]!.ratio,
    tolerance: 1e-14,
  });
  return { status: 'solved', amounts: at(ratio)! };
}

/** Values over falling ratios, down to where a bed drinks everything and there is no brew to speak of. */
function scanRatios(valueAt: (ratio: number) => number | null): { ratio: number; value: number }[] {
  const scanned: { ratio: number; value: number }[] = [];
  let ratio: number = RATIO.high;
  for (; ratio >= RATIO.low; ratio /= RATIO_STEP) {
    const value = valueAt(ratio);
    if (value === null) break;
    scanned.push({ ratio, value });
  }
  if (ratio < RATIO.low || scanned.length === 0) return scanned;
  // Close in on where it ends.
  let [bad, good] = [ratio, ratio * RATIO_STEP];
  for (let i = 0; i < 40; i++) {
    const middle = (bad + good) / 2;
    if (valueAt(middle) === null) bad = middle;
    else good = middle;
  }
  return [...scanned, { ratio: good, value: valueAt(good)! }];
}

function outOfReach(step: Step, input: { target: Target; ratio: number }): BrewSolution {
  const { target, ratio } = input;
  const at = (doseG: number) => amountsAt({ ...step, doseG, ratio })[target.key];
  return { status: 'out_of_reach', target, low: at(DOSE_G.low), high: at(DOSE_G.high) };
}

/** Ratio and strength fix each other: either they agree, or one of them has to go. */
function contradiction(step: Step): BrewSolution {
  const [first, second] = step.targets;
  const ratioTarget = [first, second].find(({ key }) => key === 'ratio')!;
  const strengthAt = (ratio: number) => amountsAt({ ...step, doseG: 1000, ratio }).strengthFrac;
  const strength = strengthAt(ratioTarget.value);
  const given = second.key === 'strengthFrac' ? strength : ratioOf(strengthAt, first.value);
  const offFrac = given / second.value - 1;
  if (Math.abs(offFrac) < SAME_FRAC)
    return {
      status: 'solved',
      amounts: amountsAt({ ...step, doseG: 1000, ratio: ratioTarget.value }),
    };
  return { status: 'contradiction', between: [first, second], given, offFrac };
}

function ratioOf(strengthAt: (ratio: number) => number, strengthFrac: number): number {
  const over = (ratio: number): number => strengthAt(ratio) - strengthFrac;
  if (over(RATIO.low) < 0) return RATIO.low;
  if (over(RATIO.high) > 0) return RATIO.high;
  return findRoot({ f: over, low: RATIO.low, high: RATIO.high });
}
