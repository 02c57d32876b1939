import { CONSTANTS } from '../constants.ts';
import { coffeeOf, mix, plus, type Composition } from '../matter/composition.ts';
import { isFoam, measuredGPerMl, ofMass, type Ingredient } from '../pantry/ingredients.ts';
import { heatCapacityJPerK } from '../matter/properties.ts';
import {
  levelMl,
  mixPours,
  massOfAdditionG,
  strengthAt,
  type Addition,
  type Glass,
  type Pour,
} from './glass.ts';

/** Coffee out of a jug. */
interface Concentrate {
  readonly strengthFrac: number;
  readonly tempC: number;
  readonly caffeineMgPerG: number;
}

/** Something that dilutes: it takes what room is left, beside the other diluents in proportion. */
interface Diluent {
  readonly ingredient: Ingredient;
  readonly tempC: number;
  /** By volume, above 0, beside those of the other diluents. */
  readonly proportion: number;
}

/**
 * What the drink is to be: a coffee strength at a minute, parts by volume, caffeine in the whole
 * glass, so much concentrate by hand or as a share of the glass, or concentrate to the line. The
 * diluents take the rest in each but the last.
 */
type DrinkTarget =
  | { readonly strengthFrac: number; readonly atMinutes: number }
  | { readonly parts: { readonly concentrate: number; readonly fill: number } }
  | { readonly caffeineMg: number }
  | { readonly concentrateMl: number }
  | { readonly glassFrac: number }
  | { readonly rest: 'concentrate' };

export interface DrinkInput {
  readonly glass: Glass;
  readonly concentrate: Concentrate;
  /** What is fixed, whether it mixes or stands on top as foam. */
  readonly additions: readonly Addition[];
  /** None where every amount is set: the level is then where it comes to stand. */
  readonly diluents: readonly Diluent[];
  readonly target: DrinkTarget;
}

/** The two unknowns of a drink. */
export interface Amounts {
  readonly concentrateG: number;
  /** All diluents together. */
  readonly fillG: number;
}

/** A glass with what is fixed in it, and what a gram of concentrate and of diluent brings. */
export interface Setting {
  readonly input: DrinkInput;
  readonly iceG: number;
  readonly atMinutes: number;
  readonly fixed: Heated;
  readonly concentratePerG: Heated;
  readonly fillPerG: Heated;
  /** Densities as they are measured out, g/mL. */
  readonly concentrateGPerMl: number;
  readonly fillGPerMl: number;
  readonly added: readonly Added[];
  /** Each diluent's part of all of them, by mass, in the order of the input. */
  readonly diluentsFrac: readonly number[];
  /** Caffeine of what is not concentrate: additions, coffee ice, mg; and of a gram of diluent. */
  readonly fixedCaffeineMg: number;
  readonly fillCaffeineMgPerG: number;
}

/** An addition as it goes in. */
interface Added extends Pour {
  readonly ingredient: Ingredient;
  readonly massG: number;
}

/** A liquid with its heat above 0 °C (J) and its heat capacity (J/K): both add up in a mixture. */
interface Heated {
  readonly composition: Composition;
  readonly heatJ: number;
  readonly capacityJPerK: number;
}

/** @returns the setting in which a drink's two unknowns are sought */
export function drinkSetting(input: DrinkInput): Setting {
  const { concentrate, diluents, target, glass } = input;
  const added = input.additions.map(addedOf);
  const blend = blendOf(diluents);
  const black = coffeeOf({ massG: 1, strengthFrac: concentrate.strengthFrac });
  const concentratePerG = heated({ composition: black, tempC: concentrate.tempC });
  return {
    input,
    iceG: glass.ice?.massG ?? 0,
    atMinutes: 'atMinutes' in target ? target.atMinutes : CONSTANTS.targetMinutes.value,
    fixed: heated(mixPours(added.filter(({ ingredient }) => !isFoam(ingredient)))),
    concentratePerG,
    fillPerG: blend.perG,
    concentrateGPerMl: 1 / volumePerG(concentratePerG),
    fillGPerMl: blend.gPerMl,
    added,
    diluentsFrac: blend.partsFrac,
    fixedCaffeineMg:
      added.reduce((sum, one) => sum + one.massG * one.ingredient.caffeineMgPerG, 0) +
      iceCaffeineMg(input),
    fillCaffeineMgPerG: blend.caffeineMgPerG,
  };
}

function addedOf(addition: Addition): Added {
  const { ingredient, tempC } = addition;
  const massG = massOfAdditionG(addition);
  return { ingredient, massG, tempC, composition: ofMass({ ingredient, massG }) };
}

/** What all diluents together are, in their proportion by volume. */
function blendOf(diluents: readonly Diluent[]): {
  perG: Heated;
  gPerMl: number;
  caffeineMgPerG: number;
  partsFrac: readonly number[];
} {
  if (diluents.length === 0) return NO_BLEND;
  const weighed = diluents.map(({ ingredient, tempC, proportion }) => ({
    ingredient,
    tempC,
    massG: proportion * measuredGPerMl({ ingredient, tempC }),
  }));
  const whole = weighed.reduce((sum, { massG }) => sum + massG, 0);
  const proportions = diluents.reduce((sum, { proportion }) => sum + proportion, 0);
  const mixed = mixPours(
    weighed.map(({ ingredient, tempC, massG }) => ({
      composition: ofMass({ ingredient, massG: massG / whole }),
      tempC,
    })),
  );
  const caffeineMg = weighed.reduce((sum, p) => sum + p.massG * p.ingredient.caffeineMgPerG, 0);
  return {
    perG: heated(mixed),
    gPerMl: whole / proportions,
    caffeineMgPerG: caffeineMg / whole,
    partsFrac: weighed.map(({ massG }) => massG / whole),
  };
}

/** Stands in where nothing takes the rest: there is none of it. */
const NO_BLEND = {
  perG: heated({ composition: mix([]), tempC: 0 }),
  gPerMl: 1,
  caffeineMgPerG: 0,
  partsFrac: [],
};

// A house recipe knows its own caffeine; other coffee ice is taken to carry the concentrate's,
// in proportion to its solids.
function iceCaffeineMg({ glass: { ice }, concentrate }: DrinkInput): number {
  if (ice?.recipe) return ice.massG * ice.recipe.caffeineMgPerG;
  if (!ice || ice.coffeeFrac === 0 || concentrate.strengthFrac === 0) return 0;
  return (ice.massG * ice.coffeeFrac * concentrate.caffeineMgPerG) / concentrate.strengthFrac;
}

function heated(pour: Pour): Heated {
  const capacityJPerK = heatCapacityJPerK(pour);
  return { composition: pour.composition, heatJ: capacityJPerK * pour.tempC, capacityJPerK };
}

const volumePerG = ({ composition, heatJ, capacityJPerK }: Heated): number =>
  levelMl({ mixed: { composition, tempC: heatJ / capacityJPerK }, iceG: 0 });

/** @returns the liquid of a glass as it meets the ice */
export function mixedOf(setting: Setting, { concentrateG, fillG }: Amounts): Pour {
  const { fixed, concentratePerG, fillPerG, input } = setting;
  const coffee = plus(fixed.composition, concentrateG, concentratePerG.composition);
  const composition = plus(coffee, fillG, fillPerG.composition);
  const capacity =
    fixed.capacityJPerK +
    concentrateG * concentratePerG.capacityJPerK +
    fillG * fillPerG.capacityJPerK;
  const heatJ = fixed.heatJ + concentrateG * concentratePerG.heatJ + fillG * fillPerG.heatJ;
  const mixedC = capacity === 0 ? 0 : heatJ / capacity;
  const { chilledToC } = input.glass;
  return { composition, tempC: chilledToC === null ? mixedC : Math.min(mixedC, chilledToC) };
}

/** @returns how high the glass stands, mL */
export const levelOf = (setting: Setting, amounts: Amounts): number =>
  levelMl({ mixed: mixedOf(setting, amounts), iceG: setting.iceG });

/** @returns coffee strength at the target's minute, 0 for an empty glass */
export const strengthOf = (setting: Setting, amounts: Amounts): number =>
  strengthAt({
    glass: setting.input.glass,
    mixed: mixedOf(setting, amounts),
    minutes: setting.atMinutes,
  });

/** @returns caffeine of everything in the glass, mg */
export const caffeineOf = (setting: Setting, { concentrateG, fillG }: Amounts): number =>
  setting.fixedCaffeineMg +
  concentrateG * setting.input.concentrate.caffeineMgPerG +
  fillG * setting.fillCaffeineMgPerG;

/** @returns what stands on top of a drink and does not mix */
export const toppingOf = ({ added }: Setting): Composition =>
  mix(added.filter(({ ingredient }) => isFoam(ingredient)).map(({ composition }) => composition));
