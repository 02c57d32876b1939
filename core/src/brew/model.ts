import type { CoffeeTraits } from '../coffee/schema.ts';
import { caffeineMgPerG } from '../coffee/caffeine.ts';
import { GRIND_NAMES, GRINDS, WHOLE_BEAN_DENSITY_G_PER_ML } from '../coffee/grinds.ts';
import type { CoffeeForm, Grind } from '../coffee/grinds.ts';
import { CONSTANTS } from '../constants.ts';
import { FILTRATION_METHODS, FILTRATIONS, type FiltrationMethod } from './filtration.ts';

/**
 * What the model takes for a coffee and the bench that it is brewed at: the tables' values, or what a
 * shop knows better. Plain data, so that it can be stored with a batch and sent to a worker.
 */
export interface BrewModel {
  /** Extraction yield at equilibrium of a very thin slurry, share of the dose. */
  readonly equilibriumYieldFrac: number;
  /** Rate: apparent diffusivity of the whole bed at 22 °C, m²/s. */
  readonly diffusivity22M2PerS: number;
  /** Liquid retained by the grounds, g per g of coffee, by filtration. */
  readonly retainedGPerG: Readonly<Record<FiltrationMethod, number>>;
  /**
   * Water that goes without coffee, over the water poured: vapour; below 0 what a wet bag brings along.
   * Left out for none.
   */
  readonly lossFrac?: number | undefined;
  /** Loose density of ground coffee by grind, and of whole beans. */
  readonly looseDensityGPerMl: Readonly<Record<Grind | 'beans', number>>;
  /** Caffeine in the dry coffee. */
  readonly caffeineMgPerG: number;
  /** How well its parts are known from the shop's own log; left out for the handbook's alone. */
  readonly learned?:
    | {
        /** Of what was learned, from 1. */
        readonly version: number;
        /** Standard deviations: of the logarithms of yield and rate, of the liquid retained. */
        readonly yieldSigma: number;
        readonly rateSigma: number;
        readonly correlationFrac: number;
        readonly retainedSigmaGPerG: Readonly<Partial<Record<FiltrationMethod, number>>>;
        /** Of the water that goes without coffee; left out where it was never learned. */
        readonly lossSigmaFrac?: number | undefined;
        /** Loose density as a logarithm over the table's; left out where no scoop was weighed. */
        readonly looseLog?: { readonly value: number; readonly sigma: number } | undefined;
      }
    | undefined;
}

const RETAINED = Object.freeze(
  Object.fromEntries(
    FILTRATION_METHODS.map((method) => [method, FILTRATIONS[method].retainedGPerG]),
  ) as Record<FiltrationMethod, number>,
);

const ofEachGrind = (valueOf: (grind: Grind) => number): Record<Grind, number> =>
  Object.fromEntries(GRIND_NAMES.map((grind) => [grind, valueOf(grind)])) as Record<Grind, number>;

const LOOSE_DENSITIES = Object.freeze({
  ...ofEachGrind((grind) => GRINDS[grind].looseDensityGPerMl),
  beans: WHOLE_BEAN_DENSITY_G_PER_ML,
});

/**
 * The model of a coffee of which nothing was fitted yet: its own traits, and the tables for the rest.
 *
 * @param coffee solubleFrac 0.01…0.4; robustaFrac and decafFrac 0–1; looseDensityGPerMl as the shop
 *   weighed its loose grounds, g/mL, where it did
 */
export function modelOf(
  coffee: CoffeeTraits & { readonly looseDensityGPerMl?: number | null },
): BrewModel {
  const { looseDensityGPerMl = null } = coffee;
  return {
    equilibriumYieldFrac: coffee.solubleFrac,
    diffusivity22M2PerS: CONSTANTS.diffusivity22M2PerS.value,
    retainedGPerG: RETAINED,
    looseDensityGPerMl:
      looseDensityGPerMl === null
        ? LOOSE_DENSITIES
        : { ...LOOSE_DENSITIES, ...ofEachGrind(() => looseDensityGPerMl) },
    caffeineMgPerG: caffeineMgPerG(coffee),
  };
}

/** The model of a coffee of which nothing is known: an arabica with the usual yield. */
export const USUAL_MODEL: BrewModel = Object.freeze(
  modelOf({ solubleFrac: CONSTANTS.solubleFrac.value, robustaFrac: 0, decafFrac: 0 }),
);

/**
 * Mass of loose coffee in a volume, as the model takes its density.
 *
 * @param input.grind the grind that ground coffee has
 * @returns g; a scooped volume spreads ±12 % around it (95 %)
 */
export function looseMassG(
  input: { volumeMl: number; form: CoffeeForm; grind: Grind },
  model: BrewModel,
): number {
  const { volumeMl, form, grind } = input;
  return volumeMl * model.looseDensityGPerMl[form === 'beans' ? 'beans' : grind];
}
