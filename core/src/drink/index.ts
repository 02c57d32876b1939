export { askedFor, THIS_ONCE, type AskedFor } from './askedFor.ts';
export { adjustDrink, type Adjustment, ADJUSTMENTS } from './adjust.ts';
export { applyRemedy } from './applyRemedy.ts';
export { buildOrder, type BuildStep, topLayer, type TopLayer } from './build.ts';
export { type Bulk, bulkOf, type SiphonPlan, siphonPlan } from './bulk.ts';
export { drinkChanges } from './changes.ts';
export { type DrinkCost, drinkCost } from './cost.ts';
export { drawnG, drinksLeft, fromJugG, pouredFromJug } from './fromJug.ts';
export { diluentTempC } from './diluentTemp.ts';
export { explainDrink } from './explain.ts';
export { EXPLAINED_OF_DRINK, type ExplainedOfDrink } from './explainedOfDrink.ts';
export { type DrinkPoint } from './glass.ts';
export { GLASSES } from './glasses.ts';
export { fullIceG, ICE_KINDS, ICE_SHAPES, type IceKind, icePieceG } from './ice.ts';
export { liquidColour } from './liquidColour.ts';
export { type Measured, type MeasuredBy, type MeasuredDrink, measuredDrink } from './measured.ts';
export { menuCautions } from './menuCautions.ts';
export { createMenuSolver } from './menuSolver.ts';
export { isPourable, pouredIds, pouredPaths } from './poured.ts';
export { drinkingWindowOf, predictDrink, type SolvedDrink, solveRequest } from './predict.ts';
export {
  type PredictDrinkRequest,
  predictDrinkRequest,
  predictDrinkResponse,
} from './predictSchema.ts';
export { remedies } from './remedies.ts';
export type { Remedy } from './remedy.ts';
export { type AmountTexts, remedyText } from './remedyText.ts';
export { drinkRequest } from './request.ts';
export {
  type Drink,
  drinkSchema,
  type DrinkVersion,
  drinkVersionSchema,
  keepDrinkRequest,
  type KeepDrinkRequest,
} from './schema.ts';
export { type Serve, SERVES } from './serve.ts';
export { type DrinkSolution, solveDrink } from './solve.ts';
export { isUsualDrink, STARTING_DRINKS, USUAL_MENU } from './startingDrinks.ts';
export { weekNeedG } from './weekNeed.ts';
