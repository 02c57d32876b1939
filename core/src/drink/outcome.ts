import { mix, type Composition } from '../matter/composition.ts';
import { energyKcal } from '../matter/properties.ts';
import type { Ingredient } from '../pantry/ingredients.ts';
import type { DrinkStatus } from './amounts.ts';
import { alcoholByVolumeFrac } from './alcohol.ts';
import { drinkTimeline, levelMl, type DrinkPoint, type Pour } from './glass.ts';
import { iceComposition } from './ice.ts';
import {
  caffeineOf,
  mixedOf,
  strengthOf,
  toppingOf,
  type Amounts,
  type Setting,
} from './setting.ts';

/** How a solution ended. */
interface DrinkEnding {
  readonly status: DrinkStatus;
  /** Strength of the concentrate that would reach the target; null unless too weak. */
  readonly needsStrengthFrac: number | null;
}

/** A drink as it stands with given amounts, and what becomes of it while the ice melts. */
export interface DrinkOutcome extends DrinkEnding {
  readonly concentrateG: number;
  readonly concentrateMl: number;
  readonly fillG: number;
  readonly fillMl: number;
  /** Each diluent's amount, in the order of the input. */
  readonly diluents: readonly {
    readonly ingredient: Ingredient;
    readonly massG: number;
    readonly volumeMl: number;
  }[];
  readonly iceG: number;
  /** Coffee strength at the target's minute; for other targets at the usual minute. */
  readonly strengthFrac: number;
  /**
   * Each minute from 0 to 30, worked out when it is first asked for; empty for a glass without
   * liquid. A menu asks for the strength alone.
   */
  readonly timeline: () => readonly DrinkPoint[];
  readonly energyKcal: number;
  readonly sugarG: number;
  readonly caffeineMg: number;
  /** Alcohol by volume at the target's minute, 0–1. */
  readonly alcoholFrac: number;
  /** The mixed liquid as it meets the ice. */
  readonly mixed: Pour;
  /** What stands on top of it. */
  readonly topping: Composition;
  /** How high liquid and ice stand, mL; the fill line where the target is met. */
  readonly levelMl: number;
}

/** Food energy that no composition in the glass tells, kcal. */
function extraKcalOf({ added, input, iceG }: Setting, diluents: DrinkOutcome['diluents']): number {
  const { ice } = input.glass;
  return sumOfExtra(added) + sumOfExtra(diluents) + iceG * (ice?.recipe?.extraKcalPerG ?? 0);
}

const sumOfExtra = (parts: readonly { ingredient: Ingredient; massG: number }[]): number =>
  parts.reduce((sum, { ingredient, massG }) => sum + massG * ingredient.extraKcalPerG, 0);

const MINUTES = Array.from({ length: 31 }, (_, minute) => minute);

/** @returns the drink that given amounts make in a setting, and how its solution ended */
export function drinkOutcome(
  setting: Setting,
  amounts: Amounts & { readonly strengthFrac?: number },
  ending: DrinkEnding,
): DrinkOutcome {
  const { input, concentrateGPerMl, fillGPerMl, iceG } = setting;
  const { concentrateG, fillG } = amounts;
  const { glass, diluents } = input;
  const mixed = mixedOf(setting, amounts);
  const topping = toppingOf(setting);
  const whole = mix([mixed.composition, topping, iceComposition(glass.ice)]);
  const strengthFrac = amounts.strengthFrac ?? strengthOf(setting, amounts);
  const fillMl = fillG / fillGPerMl;
  const proportions = diluents.reduce((sum, { proportion }) => sum + proportion, 0);
  const poured = diluents.map(({ ingredient, proportion }, i) => ({
    ingredient,
    volumeMl: (fillMl * proportion) / proportions,
    massG: fillG * setting.diluentsFrac[i]!,
  }));
  let timeline: readonly DrinkPoint[] | undefined;
  return {
    // Written out: a spread takes longer than all the rest.
    status: ending.status,
    needsStrengthFrac: ending.needsStrengthFrac,
    concentrateG,
    concentrateMl: concentrateG / concentrateGPerMl,
    fillG,
    fillMl,
    diluents: poured,
    iceG,
    strengthFrac,
    timeline: () => (timeline ??= drinkTimeline({ glass, mixed, minutes: MINUTES })),
    energyKcal: energyKcal(whole) + extraKcalOf(setting, poured),
    sugarG: whole.sugarG,
    caffeineMg: caffeineOf(setting, amounts),
    alcoholFrac: alcoholByVolumeFrac({ glass, mixed, minutes: setting.atMinutes }),
    mixed,
    topping,
    levelMl: levelMl({ mixed, iceG }),
  };
}
