import type { DrinkSolution } from '../cup/solveDrink.ts';
import type { Caution } from './caution.ts';
import { ALCOHOL_MEANS, CAFFEINE_MEANS } from './drinkCautions.ts';

/** A drink of a menu, solved, with what there is to heed about it. */
interface HeededDrink {
  readonly name: string;
  readonly shares: number;
  readonly solution: DrinkSolution;
  readonly cautions: readonly Caution[];
}

/** Cautions that tell a figure: the sentence for the whole menu, and the figure of one drink. */
const WITH_FIGURE: Readonly<
  Record<string, { text: string; figure: (drink: HeededDrink) => string }>
> = {
  caffeine_over_200_mg: {
    text: `Caffeine ${CAFFEINE_MEANS}`,
    figure: ({ solution, shares }) => `${Math.round(solution.caffeineMg / shares)} mg`,
  },
  contains_alcohol: {
    text: `By volume, ${ALCOHOL_MEANS}`,
    figure: ({ solution }) => `${(100 * solution.alcoholFrac).toFixed(1)} %`,
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
 * What there is to heed about a whole menu: each thing once, with the drinks that it is about.
 *
 * @param drinks in the order of the menu
 * @returns in the order in which they are first met; a drink stands with its figure where one counts
 */
export function menuCautions(drinks: readonly HeededDrink[]): { text: string; drinks: string[] }[] {
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
