import { caffeineAtStrength } from '../coffee/caffeineAtStrength.ts';
import { CONSTANTS } from '../constants.ts';
import { changeOf, type Remedy } from './remedy.ts';
import { solveAmounts } from './amounts.ts';
import { drinkSetting, type DrinkInput } from './setting.ts';
import type { DrinkSolution } from './solve.ts';

const LARGEST_CUP = 4;
const STEP_ML = 10;
const STEP_ICE_G = 5;
const STEP_FRAC = 1e-4;
/** Below this a concentrate is water, and no times of it are a stronger one. */
const LEAST_FRAC = 1e-9;

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
  const { glass, concentrate, additions } = input;
  const { ice, keepFrac, strengthFrac, ...vessel } = changeOf(remedy);
  return {
    ...input,
    glass: {
      ...glass,
      ...vessel,
      ice: ice === undefined || !glass.ice ? glass.ice : ice && { ...glass.ice, ...ice },
    },
    additions:
      keepFrac === undefined
        ? additions
        : additions.map((one) => ({ ...one, volumeMl: one.volumeMl * keepFrac })),
    concentrate:
      strengthFrac === undefined
        ? concentrate
        : {
            ...concentrate,
            strengthFrac,
            caffeineMgPerG: caffeineAtStrength({ ...concentrate, wantedFrac: strengthFrac }),
          },
  };
}

const reaches = (input: DrinkInput, remedy: Remedy): boolean =>
  solveAmounts(drinkSetting(withRemedy(input, remedy))).status === 'met';

/** A change that has no amount to seek: does it change anything, and does it do? */
function simple(input: DrinkInput, remedy: Remedy): Remedy | null {
  const { ice, chilledToC } = input.glass;
  const changes = {
    larger_ice: ice !== null && ice.kind !== 'large',
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
  const remedyOf = (steps: number): Remedy => ({ remedy: 'less_ice', iceG: steps * STEP_ICE_G });
  return nearest({ from: Math.ceil(now / STEP_ICE_G), to: 0, remedyOf, input });
}

/** The largest share of what is added, in twentieths, with which the target is met. */
function lessAdded(input: DrinkInput): Remedy | null {
  if (input.additions.length === 0) return null;
  const remedyOf = (steps: number): Remedy => ({ remedy: 'less_added', keepFrac: steps / 20 });
  return nearest({ from: 20, to: 0, remedyOf, input });
}

const LOOKS = 24;

/**
 * The smallest change that does, in whole steps from how it is now to as far as it goes. It need not
 * do from there on (with less coffee ice a drink can be too strong, right, and too weak in turn), so
 * it is looked for in even strides, and then between the last that did not and the first that did.
 */
function nearest(search: {
  from: number;
  to: number;
  remedyOf: (steps: number) => Remedy;
  input: DrinkInput;
}): Remedy | null {
  const { from, to, remedyOf, input } = search;
  const does = (steps: number): boolean => reaches(input, remedyOf(steps));
  const looks = Math.min(LOOKS, Math.abs(to - from));
  let before = from;
  for (let look = 1; look <= looks; look++) {
    let first = Math.round(from + ((to - from) * look) / looks);
    if (!does(first)) {
      before = first;
      continue;
    }
    while (Math.abs(first - before) > 1) {
      const middle = Math.trunc((first + before) / 2);
      if (does(middle)) first = middle;
      else before = middle;
    }
    return remedyOf(first);
  }
  return null;
}

function strongerBatch(input: DrinkInput, { needsStrengthFrac }: DrinkSolution): Remedy | null {
  if (needsStrengthFrac === null || input.concentrate.strengthFrac < LEAST_FRAC) return null;
  const remedy: Remedy = {
    remedy: 'stronger_batch',
    strengthFrac: Math.ceil(needsStrengthFrac / STEP_FRAC - 1e-9) * STEP_FRAC,
  };
  return remedy.strengthFrac < 0.2 && reaches(input, remedy) ? remedy : null;
}

/** The smallest glass of whole 10 mL that does, with the ice as it is. */
function anotherGlass(input: DrinkInput): Remedy | null {
  const remedyOf = (steps: number): Remedy => ({ remedy: 'another_glass', cupMl: steps * STEP_ML });
  const from = Math.floor(input.glass.cupMl / STEP_ML);
  return nearest({ from, to: LARGEST_CUP * (from + 1), remedyOf, input });
}
