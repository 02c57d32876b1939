import { CONSTANTS } from '../constants.ts';
import type { DrinkInput } from './setting.ts';
import { solveDrink, type DrinkSolution } from './solve.ts';

/** One change that brings a drink that is out of reach to its target. */
export type Remedy =
  | { readonly remedy: 'less_ice'; readonly iceG: number }
  | { readonly remedy: 'larger_ice' }
  | { readonly remedy: 'freezer_ice'; readonly tempC: number }
  | { readonly remedy: 'coffee_ice'; readonly coffeeFrac: number }
  | { readonly remedy: 'water_ice' }
  | { readonly remedy: 'chill'; readonly tempC: number }
  | { readonly remedy: 'stronger_batch'; readonly strengthFrac: number }
  | { readonly remedy: 'less_added'; readonly keepFrac: number }
  | { readonly remedy: 'another_glass'; readonly cupMl: number };

const LARGEST_CUP = 4;
const STEP_ML = 10;
const STEP_ICE_G = 5;
const STEP_FRAC = 1e-4;

/**
 * What would bring a drink to its target where it is out of reach: less ice, larger or colder ice,
 * coffee ice of the jug's own strength, colder ingredients, a stronger batch, less added, another glass.
 *
 * @param input as it was solved
 * @param solution how it ended
 * @returns each single change that meets the target, tried by solving with it; none where it is met
 */
export function remedies(input: DrinkInput, solution: DrinkSolution): Remedy[] {
  if (solution.status === 'met') return [];
  const tried: (Remedy | null)[] = [
    lessIce(input),
    simple(input, { remedy: 'larger_ice' }),
    simple(input, { remedy: 'freezer_ice', tempC: CONSTANTS.freezerIceC.value }),
    simple(input, { remedy: 'chill', tempC: CONSTANTS.chilledC.value }),
    simple(input, { remedy: 'coffee_ice', coffeeFrac: input.concentrate.strengthFrac }),
    simple(input, { remedy: 'water_ice' }),
    strongerBatch(input, solution),
    lessAdded(input),
    anotherGlass(input),
  ];
  return tried.filter((remedy) => remedy !== null);
}

/** @returns the drink with one remedy applied */
export function withRemedy(input: DrinkInput, remedy: Remedy): DrinkInput {
  const { glass, concentrate } = input;
  const ice = glass.ice;
  const iced = (part: Partial<NonNullable<typeof ice>>): DrinkInput =>
    ice ? { ...input, glass: { ...glass, ice: { ...ice, ...part } } } : input;
  switch (remedy.remedy) {
    case 'less_ice':
      return remedy.iceG === 0
        ? { ...input, glass: { ...glass, ice: null } }
        : iced({ massG: remedy.iceG });
    case 'larger_ice':
      return iced({ kind: 'large' });
    case 'freezer_ice':
      return iced({ tempC: remedy.tempC });
    case 'coffee_ice':
      return iced({ coffeeFrac: remedy.coffeeFrac });
    case 'water_ice':
      return iced({ coffeeFrac: 0, recipe: undefined });
    case 'chill':
      return { ...input, glass: { ...glass, chilledToC: remedy.tempC } };
    case 'stronger_batch': {
      // Caffeine comes with the solids.
      const per = remedy.strengthFrac / concentrate.strengthFrac;
      return {
        ...input,
        concentrate: {
          ...concentrate,
          strengthFrac: remedy.strengthFrac,
          caffeineMgPerG: concentrate.caffeineMgPerG * per,
        },
      };
    }
    case 'less_added':
      return {
        ...input,
        additions: input.additions.map((one) => ({
          ...one,
          volumeMl: one.volumeMl * remedy.keepFrac,
        })),
      };
    case 'another_glass':
      return { ...input, glass: { ...glass, cupMl: remedy.cupMl } };
  }
}

const reaches = (input: DrinkInput, remedy: Remedy): boolean =>
  solveDrink(withRemedy(input, remedy)).status === 'met';

/** A change that has no amount to seek: does it change anything, and does it do? */
function simple(input: DrinkInput, remedy: Remedy): Remedy | null {
  const { ice, chilledToC } = input.glass;
  const changes = {
    larger_ice: ice !== null && ice.kind !== 'large' && ice.coffeeFrac === 0,
    freezer_ice: ice !== null && ice.tempC > CONSTANTS.freezerIceC.value,
    coffee_ice: ice !== null && ice.coffeeFrac === 0,
    water_ice: ice !== null && ice.coffeeFrac > 0,
    chill: chilledToC === null && ice !== null,
  } as Partial<Record<Remedy['remedy'], boolean>>;
  return changes[remedy.remedy] && reaches(input, remedy) ? remedy : null;
}

/** The most ice, in whole steps, with which the target is met. */
function lessIce(input: DrinkInput): Remedy | null {
  const now = input.glass.ice?.massG ?? 0;
  if (now === 0) return null;
  const remedyOf = (steps: number): Remedy => ({ remedy: 'less_ice', iceG: steps * STEP_ICE_G });
  return mostThat({ below: now / STEP_ICE_G, remedyOf, input });
}

/** The largest share of what is added, in twentieths, with which the target is met. */
function lessAdded(input: DrinkInput): Remedy | null {
  if (input.additions.length === 0) return null;
  const remedyOf = (steps: number): Remedy => ({ remedy: 'less_added', keepFrac: steps / 20 });
  return mostThat({ below: 20, remedyOf, input });
}

/** Bisection over whole steps: what works for many steps works for fewer. */
function mostThat(search: {
  below: number;
  remedyOf: (steps: number) => Remedy;
  input: DrinkInput;
}): Remedy | null {
  const { below, remedyOf, input } = search;
  if (!reaches(input, remedyOf(0))) return null;
  let [low, high] = [0, Math.ceil(below)];
  while (high - low > 1) {
    const middle = Math.floor((low + high) / 2);
    if (reaches(input, remedyOf(middle))) low = middle;
    else high = middle;
  }
  return remedyOf(low);
}

function strongerBatch(input: DrinkInput, { needsStrengthFrac }: DrinkSolution): Remedy | null {
  if (needsStrengthFrac === null || input.concentrate.strengthFrac === 0) return null;
  const remedy: Remedy = {
    remedy: 'stronger_batch',
    strengthFrac: Math.ceil(needsStrengthFrac / STEP_FRAC - 1e-9) * STEP_FRAC,
  };
  return remedy.strengthFrac < 0.2 && reaches(input, remedy) ? remedy : null;
}

/** The smallest glass of whole 10 mL that does, with the ice as it is. */
function anotherGlass(input: DrinkInput): Remedy | null {
  const remedyOf = (steps: number): Remedy => ({ remedy: 'another_glass', cupMl: steps * STEP_ML });
  let low = Math.floor(input.glass.cupMl / STEP_ML);
  let high = LARGEST_CUP * (low + 1);
  if (!reaches(input, remedyOf(high))) return null;
  while (high - low > 1) {
    const middle = Math.floor((low + high) / 2);
    if (reaches(input, remedyOf(middle))) high = middle;
    else low = middle;
  }
  return remedyOf(high);
}
