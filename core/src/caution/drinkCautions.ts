import { STRENGTH_NAMES } from '../brew/strengthName.ts';
import { CONSTANTS } from '../constants.ts';
import type { DrinkInput, DrinkSolution } from '../cup/solveDrink.ts';
import { INGREDIENTS, type Allergen, type IngredientId } from '../matter/ingredients.ts';
import type { Caution } from './caution.ts';

const HOT_C = 60;
/** From here on a drink is concentrate. */
const UNDILUTED_FRAC = STRENGTH_NAMES.find(({ name }) => name === 'strong')!.uptoFrac;

interface SolvedDrink {
  readonly input: DrinkInput;
  readonly solution: DrinkSolution;
}

type Rule = (drink: SolvedDrink) => Caution | null;

const pct = (frac: number): string => `${(100 * frac).toFixed(2)} %`;

const outOfReach: Rule = ({ input, solution }) => {
  if (solution.status === 'met' || 'parts' in input.target)
    return solution.status === 'no_room' ? noRoom : null;
  if (solution.status === 'no_room') return solution.strengthFrac > 0 ? overshot : noRoom;
  const wanted = pct(input.target.strengthFrac);
  const best = pct(solution.strengthFrac);
  const needs =
    solution.needsStrengthFrac === null
      ? 'No concentrate is strong enough in this glass.'
      : `It takes a concentrate of ${pct(Math.ceil(solution.needsStrengthFrac * 1e4) / 1e4)}${
          input.glass.ice ? ', less ice, or colder parts' : ''
        }.`;
  return {
    code: 'too_weak',
    severity: 'warn',
    text: `Even filled up with concentrate this glass reaches ${best}, not ${wanted}. ${needs}`,
  };
};

const noRoom: Caution = {
  code: 'no_room',
  severity: 'warn',
  text: 'Additions and ice fill the glass before any coffee. Take less of them, or a larger glass.',
};

const overshot: Caution = {
  code: 'ice_over_target',
  severity: 'warn',
  text: 'The coffee ice alone melts to more than the target. Take less of it, or water ice.',
};

const caffeine: Rule = ({ solution }) =>
  solution.caffeineMg > CONSTANTS.singleCaffeineMg.value
    ? {
        code: 'caffeine_over_200_mg',
        severity: 'warn',
        text: `About ${Math.round(solution.caffeineMg)} mg of caffeine: above 200 mg at once for adults, and above a whole day’s limit in pregnancy (EFSA 2015). Offer a smaller or weaker one.`,
      }
    : null;

const undiluted: Rule = ({ solution }) =>
  solution.strengthFrac > UNDILUTED_FRAC
    ? {
        code: 'served_undiluted',
        severity: 'warn',
        text: 'This is concentrate, hardly diluted. Serve it only as a small measure, and say so.',
      }
    : null;

const warmConcentrate: Rule = ({ input }) =>
  input.concentrate.tempC > CONSTANTS.coldHoldingC.value
    ? {
        code: 'concentrate_above_5_c',
        severity: 'warn',
        text: 'The concentrate is warmer than 5 °C, the usual limit for cold holding. Chill it, and check how long it stood; the local food code decides.',
      }
    : null;

const allergens: Rule = ({ input }) => {
  const found = allergensOf(ingredientsOf(input));
  return found.length > 0
    ? {
        code: 'contains_allergens',
        severity: 'note',
        text: `Contains ${found.join(', ')}. Check the package of your own brand.`,
      }
    : null;
};

const quinine: Rule = ({ input }) =>
  ingredientsOf(input).some((id) => INGREDIENTS[id].kind === 'tonic')
    ? {
        code: 'contains_quinine',
        severity: 'note',
        text: 'Tonic contains quinine, which some people must avoid. Say so on the menu.',
      }
    : null;

const hot: Rule = ({ solution }) =>
  solution.mixed.tempC > HOT_C
    ? {
        code: 'hot_liquid_in_glass',
        severity: 'note',
        text: 'Hot liquid cracks cold glass and scalds. Use a warmed mug or heat-proof glass.',
      }
    : null;

/** Rules about one drink, what stops it first. */
export const DRINK_RULES: readonly Rule[] = [
  outOfReach,
  warmConcentrate,
  caffeine,
  undiluted,
  hot,
  allergens,
  quinine,
];

/** @returns what to heed about a drink, each with its reason and what to do */
export const drinkCautions = (drink: SolvedDrink): Caution[] =>
  DRINK_RULES.map((rule) => rule(drink)).filter((caution) => caution !== null);

/** @returns ids of what is poured beside the concentrate */
export const ingredientsOf = (input: DrinkInput): IngredientId[] => [
  ...input.additions.map(({ ingredient }) => ingredient),
  input.fillWith.ingredient,
];

/** @returns the allergens of ingredients, each once */
export const allergensOf = (ids: readonly IngredientId[]): Allergen[] => [
  ...new Set(ids.flatMap((id): readonly Allergen[] => INGREDIENTS[id].allergens)),
];
