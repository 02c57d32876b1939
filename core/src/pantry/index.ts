export {
  type HouseRecipe,
  type HouseRecipeMethod,
  houseRecipeSchema,
  type IngredientAmount,
} from './houseRecipeSchema.ts';
export {
  ALLERGENS,
  type Ingredient,
  INGREDIENT_KINDS,
  INGREDIENTS,
  measuredGPerMl,
  ofMass,
  type Pantry,
  usualTempC,
} from './ingredients.ts';
export { MOST_OF_AN_AMOUNT } from './limits.ts';
export { type MadeRecipe } from './makeHouseRecipe.ts';
export { openLife, type OpenLife } from './openLife.ts';
export { openedCautions } from './openedCautions.ts';
export { compositionOfPackage, PACKAGE_BASES, packageOfComposition } from './packageTable.ts';
export { type ResolvedPantry, resolvePantry, usedBy } from './resolvePantry.ts';
export { largestAmount, scaleHouseRecipe } from './scaleHouseRecipe.ts';
export {
  ingredientsResponse,
  type Opened,
  openedSchema,
  type PantryItem,
  pantryItemSchema,
} from './schema.ts';
export { type Leftover, startingProcess, startingRecipes } from './startingRecipes.ts';
