import { allergensOf, drinkCautions } from '../caution/drinkCautions.ts';
import type { Caution } from '../caution/caution.ts';
import { caffeineMgPerG } from '../coffee/caffeine.ts';
import { CONSTANTS } from '../constants.ts';
import { drinkingWindow, type DrinkingWindow } from '../cup/drinkingWindow.ts';
import type { DrinkInput } from '../cup/drinkSetting.ts';
import { fullIceG, type Ice } from '../cup/ice.ts';
import { solveDrink, type DrinkSolution } from '../cup/solveDrink.ts';
import { waysToReach } from '../cup/waysToReach.ts';
import { wayText } from '../cup/wayText.ts';
import { INGREDIENTS, pick, type Allergen, type Pantry } from '../matter/ingredients.ts';
import type { ReckonDrinkRequest, ReckonDrinkResponse } from '../schemas/reckonDrink.ts';
import { inOneLine, writeMass, writeTemp, writeVolume } from '../units/writeAmount.ts';

/** Caffeine over coffee solids in a brew of pure arabica, mg per g: both come out on one curve. */
const ARABICA_MG_PER_SOLIDS_G =
  (caffeineMgPerG({ robustaFrac: 0, decafFrac: 0 }) * CONSTANTS.caffeineOutFrac.value) /
  CONSTANTS.solubleFrac.value;

const ASSUMED: Caution = {
  code: 'caffeine_assumed',
  severity: 'note',
  text: 'No caffeine was given for the concentrate; arabica was assumed.',
};

const METRIC = {
  mass: (massG: number) => inOneLine(writeMass({ massG, units: 'metric' })),
  volume: (volumeMl: number) => inOneLine(writeVolume({ volumeMl, units: 'metric' })),
  temp: (tempC: number) => inOneLine(writeTemp({ tempC, units: 'metric' })),
};

/** A drink solved, with what it was solved from and what to know about it. */
export interface SolvedDrink {
  readonly input: DrinkInput;
  readonly solution: DrinkSolution;
  readonly window: DrinkingWindow | null;
  readonly allergens: readonly Allergen[];
  readonly cautions: readonly Caution[];
}

/**
 * A cup to a strength: how much of each free part, what becomes of it, what to heed.
 *
 * @param request a parsed request
 * @param pantry what its ingredients are
 * @throws {DomainError} unknown_name for an ingredient that the pantry does not hold
 */
export function solveRequest(request: ReckonDrinkRequest, pantry: Pantry): SolvedDrink {
  const input = drinkInput(request, pantry);
  const solution = solveDrink(input);
  const { target } = input;
  const cautions = drinkCautions({
    input,
    solution,
    shares: request.shares,
    serve: request.serve,
  });
  if (request.concentrate.caffeineMgPerG === undefined) cautions.push(ASSUMED);
  const meant = 'strengthFrac' in target ? target.strengthFrac : solution.strengthFrac;
  return {
    input,
    solution,
    window:
      meant > 0
        ? drinkingWindow({
            timeline: solution.timeline,
            strengthFrac: meant,
            atMinutes: 'atMinutes' in target ? target.atMinutes : CONSTANTS.targetMinutes.value,
          })
        : null,
    allergens: allergensOf(input),
    cautions,
  };
}

/**
 * The same as other programs see it.
 *
 * @param request a parsed request
 * @returns amounts, strength at the target's minute, the half hour after pouring, what to heed
 */
export function reckonDrink(
  request: ReckonDrinkRequest,
  pantry: Pantry = INGREDIENTS,
): ReckonDrinkResponse {
  const { input, solution, window, allergens, cautions } = solveRequest(request, pantry);
  const { mixed: _, topping: __, fills, timeline, ...amounts } = solution;
  return {
    ...amounts,
    fills: fills.map(({ ingredient, massG, volumeMl }) => ({
      ingredient: ingredient.id,
      massG,
      volumeMl,
    })),
    timeline: [...timeline],
    window,
    ways: waysToReach(input, solution).map((way) => ({
      way: way.way,
      text: wayText(way, METRIC),
    })),
    allergens: [...allergens],
    cautions: [...cautions],
  };
}

/** @returns the solver's input for a parsed request: ice in grams, caffeine and ingredients known */
export function drinkInput(request: ReckonDrinkRequest, pantry: Pantry = INGREDIENTS): DrinkInput {
  const { cupMl, concentrate, additions, fillWith, fillAlso, target, roomC } = request;
  const { stirredDown, chilledToC } = request;
  return {
    glass: { cupMl, ice: iceOf(request, pantry), roomC, stirredDown, chilledToC },
    concentrate: {
      ...concentrate,
      caffeineMgPerG:
        concentrate.caffeineMgPerG ?? concentrate.strengthFrac * ARABICA_MG_PER_SOLIDS_G,
    },
    additions: additions.map((one) => ({ ...one, ingredient: pick(pantry, one.ingredient) })),
    fills: [fillWith, ...fillAlso].map((one) => ({
      ...one,
      ingredient: pick(pantry, one.ingredient),
    })),
    target,
  };
}

function iceOf({ ice, cupMl }: ReckonDrinkRequest, pantry: Pantry): Ice | null {
  if (ice === null) return null;
  const { tempC, kind } = ice;
  const part = ice.part === undefined ? undefined : pick(pantry, ice.part);
  const coffeeFrac = part ? part.per100G.coffeeG / 100 : ice.coffeeFrac;
  const massG = 'massG' in ice ? ice.massG : fullIceG({ cupMl, kind });
  return massG === 0 ? null : { massG, tempC, coffeeFrac, kind, part };
}
