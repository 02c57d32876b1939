export { type PredictedRecipe, predictRecipe } from './predict.ts';
export { predictRecipeRequest, predictRecipeResponse } from './schema.ts';
