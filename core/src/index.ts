export { CONSTANTS } from './constants.ts';
export { DOMAIN_ERRORS, DomainError, type DomainErrorCode } from './errors.ts';
export {
  batch,
  batchCurve,
  type BatchInput,
  type BatchOutcome,
  type BatchPoint,
} from './brew/batch.ts';
export { batchRange, type BatchRange, type Range } from './brew/batchRange.ts';
export { SEPARATION_NAMES, SEPARATIONS, type SeparationMethod } from './brew/separation.ts';
export { immersionYieldFrac } from './brew/strength.ts';
export { STRENGTH_NAMES, strengthName, type StrengthName } from './brew/strengthName.ts';
export {
  approachingTemperature,
  heldTemperature,
  type TemperatureHistory,
} from './brew/temperature.ts';
export {
  slurryMl,
  vesselFit,
  vesselTimeConstantS,
  waterToLineG,
  type VesselFit,
} from './brew/vessel.ts';
export { WETTING_NAMES, WETTINGS, type Wetting } from './brew/wetting.ts';
export { batchCautions } from './caution/batchCautions.ts';
export type { Caution } from './caution/caution.ts';
export { GRIND_NAMES, GRINDS, looseDensityGPerMl, type Grind } from './coffee/grinds.ts';
export { buildOrder, type BuildStep } from './cup/buildOrder.ts';
export { liquidColour, type Rgb } from './cup/liquidColour.ts';
export { reckonBatch } from './reckon/reckonBatch.ts';
export { drinkInput, reckonDrink } from './reckon/reckonDrink.ts';
export { pouredIds, pouredPaths } from './reckon/pouredIds.ts';
export { drinkRequest } from './reckon/drinkRequest.ts';
export { coffeeOf, type Composition } from './matter/composition.ts';
export {
  ALLERGENS,
  INGREDIENT_IDS,
  INGREDIENT_KINDS,
  INGREDIENTS,
  measuredGPerMl,
  ofMass,
  pick,
  type Allergen,
  type Ingredient,
  type IngredientKind,
  type Pantry,
} from './matter/ingredients.ts';
export {
  compositionOfPackage,
  packageOfComposition,
  type PackageTable,
} from './matter/packageTable.ts';
export { densityGPerMl, energyKcal } from './matter/properties.ts';
export { SERVES, type Serve } from './caution/drinkCautions.ts';
export { drinkCost, type DrinkCost } from './cup/drinkCost.ts';
export { fillTempForC } from './cup/fillTempFor.ts';
export { inBulk, siphonPlan, type Bulk, type SiphonPlan } from './cup/inBulk.ts';
export {
  measuredDrink,
  type BarTools,
  type Measured,
  type MeasuredBy,
  type MeasuredDrink,
} from './cup/measured.ts';
export type { DrinkInput } from './cup/drinkSetting.ts';
export { drinkingWindow } from './cup/drinkingWindow.ts';
export { isFoam } from './cup/buildOrder.ts';
export { solveDrink, type DrinkSolution } from './cup/solveDrink.ts';
export { waysToReach, type Way } from './cup/waysToReach.ts';
export { wayText, type WayWords } from './cup/wayText.ts';
export { ICE_KINDS, type IceKind } from './cup/ice.ts';
export { blended, blendToStrengthG, roomFor, stretched, waterToStrengthG } from './jug/balance.ts';
export { makePart, weigh, type MadePart } from './parts/makePart.ts';
export { resolvePantry, usedBy, type ResolvedPantry } from './parts/resolvePantry.ts';
export { openLife, type OpenLife } from './parts/openLife.ts';
export { menuCautions } from './caution/menuCautions.ts';
export { lifeCautions, type OpenedAt } from './caution/lifeCautions.ts';
export { pouredG, weekNeedG, type ExpectedDrink } from './parts/weekNeed.ts';
export {
  startingProcess,
  startingRecipes,
  type Leftover,
  type StartingRecipe,
} from './parts/startingRecipes.ts';
export { scalePart } from './parts/scalePart.ts';
export { EXPLAINED_OF_DRINK, explainDrink, type ExplainedOfDrink } from './explain/explainDrink.ts';
export { solveRequest, type SolvedDrink } from './reckon/reckonDrink.ts';
export { describeChange } from './reckon/describeChange.ts';
export { STARTING_DRINKS, type StartingDrink } from './reckon/startingDrinks.ts';
export { takeWay } from './reckon/takeWay.ts';
export { ADJUSTMENTS, adjustDrink, type Adjustment } from './reckon/adjustDrink.ts';
export {
  amountSchema,
  housePartSchema,
  processSchema,
  type HousePart,
  type PartAmount,
  type PartInput,
  type PartMethod,
} from './schemas/housePart.ts';
export { storedCoffeeMl } from './matter/properties.ts';
export { convert, UNITS, type UnitId } from './units/units.ts';
export { planInput, reckonPlan, type PlanOutcome } from './reckon/reckonPlan.ts';
export { problemSchema, type Problem } from './schemas/common.ts';
export { idSchema } from './schemas/document.ts';
export { reckonBatchRequest, reckonBatchResponse } from './schemas/reckonBatch.ts';
export { reckonDrinkRequest, reckonDrinkResponse } from './schemas/reckonDrink.ts';
export {
  drinkSchema,
  drinkVersionSchema,
  GLASSES,
  keepDrinkRequest,
  shelfCoffeeSchema,
  shopSchema,
  vesselSchema,
  type Drink,
  type DrinkVersion,
  type KeepDrinkRequest,
  type ShelfCoffee,
  type Shop,
  type Vessel,
} from './schemas/shelf.ts';
export {
  batchSchema,
  planSchema,
  startBatchRequest,
  strainBatchRequest,
  STEEP_PLACES,
  type Batch,
  type Plan,
  type Prediction,
  type StartBatchRequest,
  type StrainBatchRequest,
} from './schemas/batch.ts';
export {
  jugEntryRequest,
  jugEntrySchema,
  jugSchema,
  type Jug,
  type JugEntry,
  type JugEntryRequest,
} from './schemas/jug.ts';
export {
  ingredientSchema,
  ingredientsResponse,
  openedSchema,
  pantryItemSchema,
  type Opened,
  type PantryItem,
} from './schemas/ingredients.ts';
export {
  readAmount,
  type Expected,
  type MisreadAmount,
  type OwnMeasure,
  type ReadAmount,
} from './units/readAmount.ts';
export {
  inOneLine,
  writeMass,
  writeTemp,
  writeVolume,
  type ShopUnits,
  type WrittenAmount,
} from './units/writeAmount.ts';
export { strengthFrac } from './brew/strength.ts';
export { waterDensityGPerMl } from './matter/waterDensity.ts';
export { mix } from './matter/composition.ts';
export type { ReckonDrinkRequest, ReckonDrinkResponse } from './schemas/reckonDrink.ts';
export { fullIceG, ICE_SHAPES, icePieceG } from './cup/ice.ts';
export { reckonRecipe, type ReckonedRecipe } from './reckon/reckonRecipe.ts';
export {
  reckonRecipeRequest,
  reckonRecipeResponse,
  type ReckonRecipeResponse,
} from './schemas/reckonRecipe.ts';
export {
  batchClock,
  crewWindows,
  isManned,
  nearestFits,
  startForReadyMs,
  type BatchEvent,
  type ClockFit,
  type DailyHours,
} from './clock/batchClock.ts';
export { instantOf, localDate, localHours, zoned } from './clock/localTime.ts';
export {
  batchAmounts,
  solveBatch,
  TARGET_KEYS,
  type BatchAmounts,
  type BatchSetting,
  type BatchSolution,
  type Target,
  type TargetKey,
} from './brew/solveBatch.ts';
export {
  createMonteCarlo,
  NARROWED_BY,
  widthLeftFrac,
  type MonteCarloResult,
  type SampledRange,
} from './brew/monteCarlo.ts';
export { pinTarget, setTarget, type HeldTargets } from './brew/heldTargets.ts';
export { batchSetting } from './reckon/reckonPlan.ts';
export { STRAIN_MINUTES } from './clock/batchClock.ts';
export {
  draftSchema,
  saveDraftRequest,
  type Draft,
  type SaveDraftRequest,
} from './schemas/draft.ts';
export {
  EXPLAINED,
  explainPlan,
  markText,
  type Explained,
  type Explanation,
} from './explain/explainPlan.ts';
export { scoopOf } from './reckon/reckonPlan.ts';
export { inWholeMeasures, roundedToBench, splitBatch, type SplitBatch } from './brew/splitBatch.ts';
export { hoursToRelease, hoursToStrength } from './brew/timeTo.ts';
export { MOST_SAMPLES, planOfSample, sampleSet, type SampleJar } from './reckon/sampleSet.ts';
export {
  sampleSetSchema,
  saveSampleSetRequest,
  SCORES,
  type SampleSet,
  type SaveSampleSetRequest,
} from './schemas/sampleSet.ts';
export { keptCourse } from './reckon/keptCourse.ts';
export { understood } from './units/understood.ts';
export { FILTER_KINDS } from './schemas/shelf.ts';
