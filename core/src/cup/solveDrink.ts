import { CONSTANTS } from '../constants.ts';
import { COMPONENT_KEYS, coffeeOf, type Composition } from '../matter/composition.ts';
import { ingredientOf, type IngredientId } from '../matter/ingredients.ts';
import { densityGPerMl, heatCapacityJPerK } from '../matter/properties.ts';
import { findRoot } from '../numeric/findRoot.ts';
import {
  drinkTimeline,
  levelMl,
  mixPours,
  nutrition,
  pourOf,
  type Addition,
  type DrinkPoint,
  type Glass,
  type Pour,
} from './drink.ts';

/** Coffee out of a jug. */
export interface Concentrate {
  readonly strengthFrac: number;
  readonly tempC: number;
  readonly caffeineMgPerG: number;
}

/** What the drink is to be: a coffee strength at a minute, or parts by volume. */
export type DrinkTarget =
  | { readonly strengthFrac: number; readonly atMinutes: number }
  | { readonly parts: { readonly concentrate: number; readonly fill: number } };

export interface DrinkInput {
  readonly glass: Glass;
  readonly concentrate: Concentrate;
  readonly additions: readonly Addition[];
  readonly fillWith: { readonly ingredient: IngredientId; readonly tempC: number };
  readonly target: DrinkTarget;
}

/**
 * How a solution ended. `too_weak`: even a glass filled up with concentrate stays under the target.
 * `no_room`: additions and ice leave no room, or coffee ice alone overshoots the target.
 */
export type DrinkStatus = 'met' | 'too_weak' | 'no_room';

export interface DrinkSolution {
  readonly status: DrinkStatus;
  readonly concentrateG: number;
  readonly concentrateMl: number;
  readonly fillG: number;
  readonly fillMl: number;
  readonly iceG: number;
  /** Coffee strength at the target's minute; for parts at the usual minute. */
  readonly strengthFrac: number;
  /** Strength of the concentrate that would reach the target; null unless too weak. */
  readonly needsStrengthFrac: number | null;
  /** Each minute from 0 to 30; empty for a glass without liquid. */
  readonly timeline: readonly DrinkPoint[];
  readonly energyKcal: number;
  readonly sugarG: number;
  readonly caffeineMg: number;
  /** The mixed liquid as it is poured, before the ice. */
  readonly mixed: Pour;
}

const MINUTES = Array.from({ length: 31 }, (_, minute) => minute);

/** A glass with what is fixed in it, and what a gram of each free part brings. */
interface Setting {
  readonly input: DrinkInput;
  readonly fixed: Heated;
  readonly concentratePerG: Heated;
  readonly fillPerG: Heated;
  readonly atMinutes: number;
}

/** A liquid with its heat above 0 °C (J) and its heat capacity (J/K): both add up in a mixture. */
interface Heated {
  readonly composition: Composition;
  readonly heatJ: number;
  readonly capacityJPerK: number;
}

/**
 * Concentrate and filler that bring a glass to its target, with the ice melting meanwhile.
 *
 * Two equations: the level reaches the fill line, and the strength at the minute is the target.
 * The filler follows from the level; the concentrate is then the root of one rising function.
 *
 * @param input.concentrate strengthFrac 0–1; tempC 0…100
 * @param input.target strengthFrac 0–1, atMinutes 0 or more; or parts, both 0 or more, sum above 0
 * @returns amounts that hold level and target to 1e-9, or the best that can be reached and why
 */
export function solveDrink(input: DrinkInput): DrinkSolution {
  const { target } = input;
  const setting = settingOf(input);
  if (levelOf(setting, { concentrateG: 0, fillG: 0 }) >= input.glass.cupMl)
    return finish(setting, { status: 'no_room', concentrateG: 0, fillG: 0 });
  return 'parts' in target ? solveParts(setting, target.parts) : solveStrength(setting, target);
}

function solveParts(setting: Setting, parts: { concentrate: number; fill: number }): DrinkSolution {
  const perMl = {
    concentrateG: parts.concentrate * pouredDensity(setting.concentratePerG),
    fillG: parts.fill * pouredDensity(setting.fillPerG),
  };
  const whole = parts.concentrate + parts.fill;
  const amounts = (volume: number) => ({
    concentrateG: (perMl.concentrateG * volume) / whole,
    fillG: (perMl.fillG * volume) / whole,
  });
  const volume = findRoot({
    f: (ml) => levelOf(setting, amounts(ml)) - setting.input.glass.cupMl,
    low: 0,
    high: 2 * setting.input.glass.cupMl,
  });
  return finish(setting, { status: 'met', ...amounts(volume) });
}

function solveStrength(setting: Setting, target: { strengthFrac: number }): DrinkSolution {
  const { glass } = setting.input;
  const most = findRoot({
    f: (concentrateG) => levelOf(setting, { concentrateG, fillG: 0 }) - glass.cupMl,
    low: 0,
    high: 2 * glass.cupMl,
  });
  const over = (concentrateG: number): number =>
    strengthOf(setting, { concentrateG, fillG: fillFor(setting, concentrateG, most) }) -
    target.strengthFrac;
  const atMost = over(most);
  if (Math.abs(atMost) < 1e-12)
    return finish(setting, { status: 'met', concentrateG: most, fillG: 0 });
  if (atMost < 0)
    return {
      ...finish(setting, { status: 'too_weak', concentrateG: most, fillG: 0 }),
      needsStrengthFrac: neededStrength(setting, target.strengthFrac),
    };
  if (over(0) > 0)
    return finish(setting, {
      status: 'no_room',
      concentrateG: 0,
      fillG: fillFor(setting, 0, most),
    });
  const concentrateG = findRoot({ f: over, low: 0, high: most });
  return finish(setting, {
    status: 'met',
    concentrateG,
    fillG: fillFor(setting, concentrateG, most),
  });
}

/** Filler that brings the level to the line over an amount of concentrate, 0 where none fits. */
function fillFor(setting: Setting, concentrateG: number, most: number): number {
  const { cupMl } = setting.input.glass;
  if (concentrateG >= most) return 0;
  const short = (fillG: number) => levelOf(setting, { concentrateG, fillG }) - cupMl;
  // The level is all but straight in the filler: secants from both ends of what can fit.
  let [a, b] = [0, (1 - concentrateG / most) * cupMl];
  let [fa, fb] = [short(a), short(b)];
  for (let i = 0; i < 20 && Math.abs(fb) > 1e-11 * cupMl && fa !== fb; i++) {
    const next = b - (fb * (b - a)) / (fb - fa);
    [a, fa] = [b, fb];
    b = next;
    fb = short(b);
  }
  return Math.max(0, b);
}

/** Strength that the concentrate would need for a glass filled up with it to reach the target. */
function neededStrength(setting: Setting, strengthFrac: number): number | null {
  const { input } = setting;
  const over = (candidate: number): number => {
    const stronger = settingOf({
      ...input,
      concentrate: { ...input.concentrate, strengthFrac: candidate },
    });
    const most = findRoot({
      f: (concentrateG) => levelOf(stronger, { concentrateG, fillG: 0 }) - input.glass.cupMl,
      low: 0,
      high: 2 * input.glass.cupMl,
    });
    return strengthOf(stronger, { concentrateG: most, fillG: 0 }) - strengthFrac;
  };
  if (over(1) < 0) return null;
  return findRoot({ f: over, low: input.concentrate.strengthFrac, high: 1 });
}

interface Amounts {
  readonly concentrateG: number;
  readonly fillG: number;
}

function settingOf(input: DrinkInput): Setting {
  const { concentrate, fillWith, target } = input;
  return {
    input,
    fixed: heated(mixPours(input.additions.map(pourOf))),
    concentratePerG: heated({
      composition: coffeeOf({ massG: 1, strengthFrac: concentrate.strengthFrac }),
      tempC: concentrate.tempC,
    }),
    fillPerG: heated({
      composition: ingredientOf({ ingredient: fillWith.ingredient, massG: 1 }),
      tempC: fillWith.tempC,
    }),
    atMinutes: 'parts' in target ? CONSTANTS.targetMinutes.value : target.atMinutes,
  };
}

function heated(pour: Pour): Heated {
  const capacityJPerK = heatCapacityJPerK(pour);
  return { composition: pour.composition, heatJ: capacityJPerK * pour.tempC, capacityJPerK };
}

function mixedOf(setting: Setting, { concentrateG, fillG }: Amounts): Pour {
  const { fixed, concentratePerG, fillPerG } = setting;
  const sum = (of: (part: Heated) => number): number =>
    of(fixed) + concentrateG * of(concentratePerG) + fillG * of(fillPerG);
  const composition = { ...fixed.composition };
  for (const key of COMPONENT_KEYS) composition[key] = sum((part) => part.composition[key]);
  const capacity = sum((part) => part.capacityJPerK);
  return { composition, tempC: capacity === 0 ? 0 : sum((part) => part.heatJ) / capacity };
}

const iceG = (input: DrinkInput): number => input.glass.ice?.massG ?? 0;

const levelOf = (setting: Setting, amounts: Amounts): number =>
  levelMl({ mixed: mixedOf(setting, amounts), iceG: iceG(setting.input) });

function strengthOf(setting: Setting, amounts: Amounts): number {
  const { glass } = setting.input;
  const mixed = mixedOf(setting, amounts);
  const [point] = drinkTimeline({ glass, mixed, minutes: [setting.atMinutes] });
  return point?.strengthFrac ?? 0;
}

/** Density of a free part as it is poured, g/mL. */
const pouredDensity = (perG: Heated): number =>
  densityGPerMl({
    composition: perG.composition,
    tempC: perG.heatJ / perG.capacityJPerK,
  });

function finish(setting: Setting, result: Amounts & { status: DrinkStatus }): DrinkSolution {
  const { glass, concentrate } = setting.input;
  const { status, concentrateG, fillG } = result;
  const mixed = mixedOf(setting, result);
  return {
    status,
    concentrateG,
    concentrateMl: concentrateG / pouredDensity(setting.concentratePerG),
    fillG,
    fillMl: fillG / pouredDensity(setting.fillPerG),
    iceG: iceG(setting.input),
    strengthFrac: strengthOf(setting, result),
    needsStrengthFrac: null,
    timeline: drinkTimeline({ glass, mixed, minutes: MINUTES }),
    ...nutrition({ mixed, ice: glass.ice }),
    caffeineMg:
      concentrateG * concentrate.caffeineMgPerG + caffeineOfIceMg({ ice: glass.ice, concentrate }),
    mixed,
  };
}

// Coffee ice is taken to carry caffeine in the concentrate's own proportion to solids.
function caffeineOfIceMg(input: { ice: Glass['ice']; concentrate: Concentrate }): number {
  const { ice, concentrate } = input;
  if (!ice || ice.coffeeFrac === 0 || concentrate.strengthFrac === 0) return 0;
  return (ice.massG * ice.coffeeFrac * concentrate.caffeineMgPerG) / concentrate.strengthFrac;
}
