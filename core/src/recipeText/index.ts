export { type StatedDrink } from './afterBrew.ts';
export { drinkOf } from './drinkOf.ts';
export { type PredictedRecipe, predictRecipe } from './predict.ts';
export { predictRecipeRequest, predictRecipeResponse } from './schema.ts';
