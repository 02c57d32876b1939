import { allergensOf, drinkCautions } from './cautions.ts';
import type { Caution } from '../caution.ts';
import { USUAL_MODEL } from '../brew/model.ts';
import { ratioForStrength } from '../brew/solveRatio.ts';
import { yieldAtRatioFrac } from '../brew/strength.ts';
import { CONSTANTS } from '../constants.ts';
import { drinkingWindow, type DrinkingWindow } from './drinkingWindow.ts';
import type { DrinkInput } from './setting.ts';
import { fullIceG, type Ice } from './ice.ts';
import { solveDrink, type DrinkSolution } from './solve.ts';
import { remedies } from './remedies.ts';
import { remedyText } from './remedyText.ts';
import { INGREDIENTS, pick, type Allergen, type Pantry } from '../pantry/ingredients.ts';
import type { PredictDrinkRequest, PredictDrinkResponse } from './predictSchema.ts';
import { amountText, writeMass, writeTemp, writeVolume } from '../units/writeAmount.ts';

/** Share of its equilibrium that a whole steep has given, as the model is anchored. */
const USUAL_RELEASE_FRAC = 0.93;

/**
 * Caffeine of an arabica concentrate of which only the strength is known: both came out on one curve,
 * at the ratio that gives such a strength.
 *
 * @param strengthFrac 0–1
 * @returns mg/g
 */
function assumedCaffeineMgPerG(strengthFrac: number): number {
  const ratio = ratioForStrength({
    strengthFrac,
    releasedFrac: USUAL_RELEASE_FRAC,
    equilibriumYieldFrac: USUAL_MODEL.equilibriumYieldFrac,
  });
  const yieldFrac = yieldAtRatioFrac({
    ratio: ratio ?? (strengthFrac > THICK_FRAC ? LEAST_RATIO : MOST_RATIO),
    equilibriumYieldFrac: USUAL_MODEL.equilibriumYieldFrac,
  });
  const perSolidsG = (USUAL_MODEL.caffeineMgPerG * CONSTANTS.caffeineOutFrac.value) / yieldFrac;
  return Math.min(MOST_MG_PER_G, strengthFrac * perSolidsG);
}
/** Beyond these ratios nothing is steeped. */
const LEAST_RATIO = 0.5;
const MOST_RATIO = 100;
const THICK_FRAC = 0.05;
const MOST_MG_PER_G = 30;

const ASSUMED: Caution = {
  code: 'caffeine_assumed',
  severity: 'note',
  text: 'No caffeine was given for the concentrate; arabica was assumed.',
};

const METRIC = {
  mass: (massG: number) => amountText(writeMass({ massG, units: 'metric' })),
  volume: (volumeMl: number) => amountText(writeVolume({ volumeMl, units: 'metric' })),
  temp: (tempC: number) => amountText(writeTemp({ tempC, units: 'metric' })),
};

/** A drink solved, with what it was solved from and what to know about it. */
export interface SolvedDrink {
  readonly input: DrinkInput;
  readonly solution: DrinkSolution;
  readonly allergens: readonly Allergen[];
  readonly cautions: readonly Caution[];
}

/**
 * A cup to a strength: how much concentrate and diluent, what becomes of it, its cautions.
 *
 * @param request a parsed request
 * @param pantry what its ingredients are
 * @throws {DomainError} unknown_name for an ingredient that the pantry does not hold
 */
export function solveRequest(request: PredictDrinkRequest, pantry: Pantry): SolvedDrink {
  const input = drinkInput(request, pantry);
  const solution = solveDrink(input);
  const cautions = drinkCautions({
    input,
    solution,
    servings: request.servings,
    serve: request.serve,
  });
  if (request.concentrate.caffeineMgPerG === undefined) cautions.push(ASSUMED);
  return {
    input,
    solution,
    allergens: allergensOf(input),
    cautions,
  };
}

/** @returns when a solved drink tastes as it was meant; null where it never does */
export function drinkingWindowOf({
  input: { target },
  solution,
}: Pick<SolvedDrink, 'input' | 'solution'>): DrinkingWindow | null {
  const strengthFrac = 'strengthFrac' in target ? target.strengthFrac : solution.strengthFrac;
  if (strengthFrac <= 0) return null;
  const atMinutes = 'atMinutes' in target ? target.atMinutes : CONSTANTS.targetMinutes.value;
  return drinkingWindow({ timeline: solution.timeline(), strengthFrac, atMinutes });
}

/**
 * The same as other programs see it.
 *
 * @param request a parsed request
 * @returns amounts, strength at the target's minute, the half hour after pouring, cautions
 */
export function predictDrink(
  request: PredictDrinkRequest,
  pantry: Pantry = INGREDIENTS,
): PredictDrinkResponse {
  const { input, solution, allergens, cautions } = solveRequest(request, pantry);
  const { mixed: _, topping: __, diluents, timeline, ...amounts } = solution;
  return {
    ...amounts,
    diluents: diluents.map(({ ingredient, massG, volumeMl }) => ({
      ingredient: ingredient.id,
      massG,
      volumeMl,
    })),
    timeline: [...timeline()],
    window: drinkingWindowOf({ input, solution }),
    remedies: remedies(input, solution).map((remedy) => ({
      remedy: remedy.remedy,
      text: remedyText(remedy, METRIC),
    })),
    allergens: [...allergens],
    cautions: [...cautions],
  };
}

/** @returns the solver's input for a parsed request: ice in grams, caffeine and ingredients known */
export function drinkInput(request: PredictDrinkRequest, pantry: Pantry = INGREDIENTS): DrinkInput {
  const { cupMl, concentrate, additions, target, roomC } = request;
  const { stirredDown, chilledToC } = request;
  return {
    glass: { cupMl, ice: iceOf(request, pantry), roomC, stirredDown, chilledToC },
    concentrate: {
      ...concentrate,
      caffeineMgPerG: concentrate.caffeineMgPerG ?? assumedCaffeineMgPerG(concentrate.strengthFrac),
    },
    additions: additions.map((one) => ({ ...one, ingredient: pick(pantry, one.ingredient) })),
    diluents: diluentsOf(request).map((one) => ({
      ...one,
      ingredient: pick(pantry, one.ingredient),
    })),
    target,
  };
}

/** What dilutes it: a list, one thing, or water. */
const diluentsOf = ({ fillWith, diluents }: PredictDrinkRequest) =>
  diluents ?? [fillWith ?? { ingredient: 'water', tempC: 4, proportion: 1 }];

function iceOf({ ice, cupMl }: PredictDrinkRequest, pantry: Pantry): Ice | null {
  if (ice === null) return null;
  const { tempC, kind } = ice;
  const recipe = ice.recipe === undefined ? undefined : pick(pantry, ice.recipe);
  const coffeeFrac = recipe ? recipe.per100G.coffeeG / 100 : ice.coffeeFrac;
  const massG = 'massG' in ice ? ice.massG : fullIceG({ cupMl, kind });
  return massG === 0 ? null : { massG, tempC, coffeeFrac, kind, recipe };
}
