import { allergensOf, drinkCautions, ingredientsOf } from '../caution/drinkCautions.ts';
import type { Caution } from '../caution/caution.ts';
import { caffeineMgPerG } from '../coffee/caffeine.ts';
import { CONSTANTS } from '../constants.ts';
import { fullIceG, type Ice } from '../cup/ice.ts';
import { solveDrink, type DrinkInput } from '../cup/solveDrink.ts';
import type { ReckonDrinkRequest, ReckonDrinkResponse } from '../schemas/reckonDrink.ts';

/** Caffeine over coffee solids in a brew of pure arabica, mg per g: both come out on one curve. */
const ARABICA_MG_PER_SOLIDS_G =
  (caffeineMgPerG({ robustaFrac: 0, decafFrac: 0 }) * CONSTANTS.caffeineOutFrac.value) /
  CONSTANTS.solubleFrac.value;

const ASSUMED: Caution = {
  code: 'caffeine_assumed',
  severity: 'note',
  text: 'No caffeine was given for the concentrate; arabica was assumed.',
};

/**
 * A cup to a strength: how much concentrate and filler, and what becomes of it.
 *
 * @param request a parsed request
 * @returns amounts, strength at the target's minute, the half hour after pouring, what to heed
 */
export function reckonDrink(request: ReckonDrinkRequest): ReckonDrinkResponse {
  const input = drinkInput(request);
  const { mixed, ...solution } = solveDrink(input);
  const cautions = drinkCautions({ input, solution: { ...solution, mixed } });
  if (request.concentrate.caffeineMgPerG === undefined) cautions.push(ASSUMED);
  return {
    ...solution,
    timeline: [...solution.timeline],
    allergens: allergensOf(ingredientsOf(input)),
    cautions,
  };
}

/** @returns the solver's input for a parsed request: ice in grams, caffeine known */
export function drinkInput(request: ReckonDrinkRequest): DrinkInput {
  const { cupMl, concentrate, additions, fillWith, target, roomC, stirredDown } = request;
  return {
    glass: { cupMl, ice: iceOf(request), roomC, stirredDown },
    concentrate: {
      ...concentrate,
      caffeineMgPerG:
        concentrate.caffeineMgPerG ?? concentrate.strengthFrac * ARABICA_MG_PER_SOLIDS_G,
    },
    additions,
    fillWith,
    target,
  };
}

function iceOf({ ice, cupMl }: ReckonDrinkRequest): Ice | null {
  if (ice === null) return null;
  if ('massG' in ice) return ice.massG === 0 ? null : ice;
  const { tempC, coffeeFrac, kind } = ice;
  return { massG: fullIceG({ cupMl, kind }), tempC, coffeeFrac, kind };
}
