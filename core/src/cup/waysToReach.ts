import { CONSTANTS } from '../constants.ts';
import type { DrinkInput } from './drinkSetting.ts';
import { solveDrink, type DrinkSolution } from './solveDrink.ts';

/** One change that would bring a drink out of reach to its target. */
export type Way =
  | { readonly way: 'less_ice'; readonly iceG: number }
  | { readonly way: 'larger_ice' }
  | { readonly way: 'freezer_ice'; readonly tempC: number }
  | { readonly way: 'coffee_ice'; readonly coffeeFrac: number }
  | { readonly way: 'water_ice' }
  | { readonly way: 'chill'; readonly tempC: number }
  | { readonly way: 'stronger_batch'; readonly strengthFrac: number }
  | { readonly way: 'less_added'; readonly keepFrac: number }
  | { readonly way: 'another_glass'; readonly cupMl: number };

const LARGEST_CUP = 4;
const STEP_ML = 10;
const STEP_ICE_G = 5;
const STEP_FRAC = 1e-4;

/**
 * What would bring a drink to its target where it is out of reach: less ice, larger or colder ice,
 * coffee ice of the jug's own strength, colder parts, a stronger batch, less added, another glass.
 *
 * @param input as it was solved
 * @param solution how it ended
 * @returns each single change that meets the target, tried by solving with it; none where it is met
 */
export function waysToReach(input: DrinkInput, solution: DrinkSolution): Way[] {
  if (solution.status === 'met') return [];
  const ways: (Way | null)[] = [
    lessIce(input),
    simple(input, { way: 'larger_ice' }),
    simple(input, { way: 'freezer_ice', tempC: CONSTANTS.freezerIceC.value }),
    simple(input, { way: 'chill', tempC: CONSTANTS.chilledC.value }),
    simple(input, { way: 'coffee_ice', coffeeFrac: input.concentrate.strengthFrac }),
    simple(input, { way: 'water_ice' }),
    strongerBatch(input, solution),
    lessAdded(input),
    anotherGlass(input),
  ];
  return ways.filter((way) => way !== null);
}

/** @returns the drink with one way taken */
export function withWay(input: DrinkInput, way: Way): DrinkInput {
  const { glass, concentrate } = input;
  const ice = glass.ice;
  const iced = (part: Partial<NonNullable<typeof ice>>): DrinkInput =>
    ice ? { ...input, glass: { ...glass, ice: { ...ice, ...part } } } : input;
  switch (way.way) {
    case 'less_ice':
      return way.iceG === 0
        ? { ...input, glass: { ...glass, ice: null } }
        : iced({ massG: way.iceG });
    case 'larger_ice':
      return iced({ kind: 'large' });
    case 'freezer_ice':
      return iced({ tempC: way.tempC });
    case 'coffee_ice':
      return iced({ coffeeFrac: way.coffeeFrac });
    case 'water_ice':
      return iced({ coffeeFrac: 0, part: undefined });
    case 'chill':
      return { ...input, glass: { ...glass, chilledToC: way.tempC } };
    case 'stronger_batch': {
      // Caffeine comes with the solids.
      const per = way.strengthFrac / concentrate.strengthFrac;
      return {
        ...input,
        concentrate: {
          ...concentrate,
          strengthFrac: way.strengthFrac,
          caffeineMgPerG: concentrate.caffeineMgPerG * per,
        },
      };
    }
    case 'less_added':
      return {
        ...input,
        additions: input.additions.map((one) => ({
          ...one,
          volumeMl: one.volumeMl * way.keepFrac,
        })),
      };
    case 'another_glass':
      return { ...input, glass: { ...glass, cupMl: way.cupMl } };
  }
}

const reaches = (input: DrinkInput, way: Way): boolean =>
  solveDrink(withWay(input, way)).status === 'met';

/** A change that has no amount to seek: does it change anything, and does it do? */
function simple(input: DrinkInput, way: Way): Way | null {
  const { ice, chilledToC } = input.glass;
  const changes = {
    larger_ice: ice !== null && ice.kind !== 'large' && ice.coffeeFrac === 0,
    freezer_ice: ice !== null && ice.tempC > CONSTANTS.freezerIceC.value,
    coffee_ice: ice !== null && ice.coffeeFrac === 0,
    water_ice: ice !== null && ice.coffeeFrac > 0,
    chill: chilledToC === null && ice !== null,
  } as Partial<Record<Way['way'], boolean>>;
  return changes[way.way] && reaches(input, way) ? way : null;
}

/** The most ice, in whole steps, with which the target is met. */
function lessIce(input: DrinkInput): Way | null {
  const now = input.glass.ice?.massG ?? 0;
  if (now === 0) return null;
  const wayOf = (steps: number): Way => ({ way: 'less_ice', iceG: steps * STEP_ICE_G });
  return mostThat({ below: now / STEP_ICE_G, wayOf, input });
}

/** The largest share of what is added, in twentieths, with which the target is met. */
function lessAdded(input: DrinkInput): Way | null {
  if (input.additions.length === 0) return null;
  const wayOf = (steps: number): Way => ({ way: 'less_added', keepFrac: steps / 20 });
  return mostThat({ below: 20, wayOf, input });
}

/** Bisection over whole steps: what works for many steps works for fewer. */
function mostThat(search: {
  below: number;
  wayOf: (steps: number) => Way;
  input: DrinkInput;
}): Way | null {
  const { below, wayOf, input } = search;
  if (!reaches(input, wayOf(0))) return null;
  let [low, high] = [0, Math.ceil(below)];
  while (high - low > 1) {
    const middle = Math.floor((low + high) / 2);
    if (reaches(input, wayOf(middle))) low = middle;
    else high = middle;
  }
  return wayOf(low);
}

function strongerBatch(input: DrinkInput, { needsStrengthFrac }: DrinkSolution): Way | null {
  if (needsStrengthFrac === null || input.concentrate.strengthFrac === 0) return null;
  const way: Way = {
    way: 'stronger_batch',
    strengthFrac: Math.ceil(needsStrengthFrac / STEP_FRAC - 1e-9) * STEP_FRAC,
  };
  return way.strengthFrac < 0.2 && reaches(input, way) ? way : null;
}

/** The smallest glass of whole 10 mL that does, with the ice as it is. */
function anotherGlass(input: DrinkInput): Way | null {
  const wayOf = (steps: number): Way => ({ way: 'another_glass', cupMl: steps * STEP_ML });
  let low = Math.floor(input.glass.cupMl / STEP_ML);
  let high = LARGEST_CUP * (low + 1);
  if (!reaches(input, wayOf(high))) return null;
  while (high - low > 1) {
    const middle = Math.floor((low + high) / 2);
    if (reaches(input, wayOf(middle))) high = middle;
    else low = middle;
  }
  return wayOf(high);
}
