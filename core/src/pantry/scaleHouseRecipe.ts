import type { HouseRecipe, IngredientAmount } from './houseRecipeSchema.ts';

/**
 * A recipe times a factor: to what the week needs, or to what is left of one input.
 *
 * @param input.factor above 0
 * @returns the same one with every amount scaled; shares, ratios and overrun stay
 */
export function scaleHouseRecipe(input: { recipe: HouseRecipe; factor: number }): HouseRecipe {
  const { recipe, factor } = input;
  const { process } = recipe;
  const amount = (one: IngredientAmount): IngredientAmount =>
    'massG' in one ? { massG: one.massG * factor } : { volumeMl: one.volumeMl * factor };
  return {
    ...recipe,
    inputs: recipe.inputs.map((one) => ({ ...one, amount: amount(one.amount) })),
    process:
      process.method === 'infuse'
        ? { ...process, leftG: process.leftG === null ? null : process.leftG * factor }
        : process.method === 'freeze'
          ? { ...process, leftoverG: process.leftoverG * factor }
          : process,
  };
}

/** @returns the largest single amount of a recipe, g or mL; to be stored it is at most `MOST_OF_AN_AMOUNT` */
export const largestAmount = ({ inputs, process }: HouseRecipe): number =>
  Math.max(
    0,
    ...inputs.map(({ amount }) => ('massG' in amount ? amount.massG : amount.volumeMl)),
    process.method === 'infuse' ? (process.leftG ?? 0) : 0,
    process.method === 'freeze' ? process.leftoverG : 0,
  );
