import type { DrinkSolution } from './solve.ts';
import { percentText } from '../units/percent.ts';
import type { Caution } from '../caution.ts';
import { ALCOHOL_MEANS, CAFFEINE_MEANS } from './cautions.ts';

/** A drink of a menu, solved, with its cautions. */
interface MenuDrink {
  readonly name: string;
  readonly servings: number;
  readonly solution: DrinkSolution;
  readonly cautions: readonly Caution[];
}

/** Cautions with a figure: the sentence for the whole menu, and the figure of one drink. */
const WITH_FIGURE: Readonly<
  Record<string, { text: string; figure: (drink: MenuDrink) => string }>
> = {
  caffeine_over_200_mg: {
    text: `Caffeine ${CAFFEINE_MEANS}`,
    figure: ({ solution, servings }) => `${Math.round(solution.caffeineMg / servings)} mg`,
  },
  contains_alcohol: {
    text: `By volume, ${ALCOHOL_MEANS}`,
    figure: ({ solution }) => percentText(solution.alcoholFrac, 1),
  },
};

/** Why one drink is out of reach, and its allergens, stand with the drink. */
const WITH_THE_DRINK: readonly string[] = [
  'too_weak',
  'no_room',
  'ice_over_target',
  'contains_allergens',
];

/**
 * Cautions about a whole menu: each once, with the drinks that it is about.
 *
 * @param drinks in the order of the menu
 * @returns in the order in which they are first met; a drink stands with its figure where one counts
 */
export function menuCautions(drinks: readonly MenuDrink[]): { text: string; drinks: string[] }[] {
  const byText = new Map<string, string[]>();
  for (const drink of drinks)
    for (const { code, text } of drink.cautions) {
      if (WITH_THE_DRINK.includes(code)) continue;
      const own = WITH_FIGURE[code];
      const about = own ? `${drink.name} ${own.figure(drink)}` : drink.name;
      const said = own?.text ?? text;
      byText.set(said, [...(byText.get(said) ?? []), about]);
    }
  return [...byText].map(([text, about]) => ({ text, drinks: about }));
}
