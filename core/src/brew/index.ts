export { BATCH_LIMITS } from './limits.ts';
export { brew, brewCurve, type BrewInput, type BrewPoint } from './brew.ts';
export { slurryStrengthFrac } from './readings.ts';
export { NO_DEVIATION } from './release.ts';
export { learnedModel } from './learned.ts';
export { type Learned, learnedSchema } from './learnedSchema.ts';
export { FILTRATION_METHODS, FILTRATIONS } from './filtration.ts';
export { type BrewModel, looseMassG, modelOf } from './model.ts';
export {
  createMonteCarlo,
  type MonteCarloResult,
  NARROWED_BY,
  widthLeftFrac,
} from './monteCarlo.ts';
export { type Vessel, vesselSchema } from './schema.ts';
export { brewAmounts, type BrewSolution, solveBrew, type Target, type TargetKey } from './solve.ts';
export { immersionYieldFrac } from './strength.ts';
export { STRENGTH_NAMES } from './strengthName.ts';
export { lockTarget, setTarget, type TargetPair } from './targets.ts';
export { hoursToRelease, hoursToStrength } from './timeTo.ts';
export {
  ANY_VESSEL_ID,
  anyVessel,
  bedMlOf,
  jarOf,
  slurryMl,
  vesselFit,
  vesselTakesMl,
} from './vessel.ts';
export { WETTING_NAMES, WETTINGS } from './wetting.ts';
