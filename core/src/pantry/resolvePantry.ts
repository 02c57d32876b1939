import { DomainError } from '../errors.ts';
import { INGREDIENTS, type Ingredient, type Pantry } from './ingredients.ts';
import type { HouseRecipe } from './houseRecipeSchema.ts';
import { makeHouseRecipe, type MadeRecipe } from './makeHouseRecipe.ts';

/** Everything that a shop can pour, and what became of its recipes. */
export interface ResolvedPantry {
  readonly pantry: Pantry;
  readonly made: Readonly<Record<string, MadeRecipe>>;
  /** Why a house recipe could not be made, by its id. */
  readonly broken: Readonly<Record<string, string>>;
}

/**
 * The built-in ingredients, the shop's own (which may stand in for a built-in one of the same id),
 * and what its house recipes make of them; one may go into another.
 *
 * @returns recipes that need themselves, or what is not there, are in `broken` and not in the pantry
 */
export function resolvePantry(input: {
  own: readonly Ingredient[];
  houseRecipes: readonly HouseRecipe[];
}): ResolvedPantry {
  const pantry: Record<string, Ingredient> = { ...INGREDIENTS };
  for (const one of input.own) pantry[one.id] = one;
  const recipes = new Map(input.houseRecipes.map((recipe) => [recipe.id, recipe]));
  const made: Record<string, MadeRecipe> = {};
  const broken: Record<string, string> = {};
  const visiting = new Set<string>();

  function resolve(recipe: HouseRecipe): void {
    if (made[recipe.id] || broken[recipe.id]) return;
    if (visiting.has(recipe.id)) {
      broken[recipe.id] = `${recipe.name} goes into itself. Take it out of its own inputs.`;
      return;
    }
    visiting.add(recipe.id);
    for (const id of usedBy(recipe)) {
      const inner = recipes.get(id);
      if (inner) resolve(inner);
    }
    visiting.delete(recipe.id);
    if (broken[recipe.id]) return;
    try {
      const result = makeHouseRecipe(recipe, pantry);
      made[recipe.id] = result;
      pantry[recipe.id] = result.ingredient;
    } catch (error) {
      if (!(error instanceof DomainError)) throw error;
      broken[recipe.id] = reasonOf(error, recipes);
    }
  }
  for (const recipe of input.houseRecipes) resolve(recipe);
  return { pantry, made, broken };
}

/** @returns ids of what goes into a house recipe */
export const usedBy = (recipe: HouseRecipe): string[] => [
  ...recipe.inputs.map(({ ingredient }) => ingredient),
  ...(recipe.process.method === 'infuse' ? [recipe.process.match.ingredient] : []),
];

function reasonOf(error: DomainError, recipes: ReadonlyMap<string, HouseRecipe>): string {
  const { name, value, min, max } = error.data;
  if (error.code === 'unknown_name')
    return `${recipes.get(String(value))?.name ?? `“${String(value)}”`} is not there. Choose another input.`;
  if (name === 'toFrac')
    return `It cannot be reduced that far: ${(100 * Number(min)).toFixed(0)} % of the volume is left when all water is gone.`;
  if (name === 'leftG')
    return max === undefined
      ? `So little cannot be left: ${Number(min).toFixed(0)} g of it is no water. Weigh it again.`
      : `More cannot be left than the ${Number(max).toFixed(0)} g that went in. Weigh it again.`;
  return 'Nothing goes in yet. Add an input.';
}
